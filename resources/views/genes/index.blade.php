<x-station title="Genes" station="genes">
    <x-slot:actions>@can('manage')<a class="button" href="{{ route('genes.own') }}"><x-icon name="plus-lg"/>Add a
        gene</a>@endcan</x-slot:actions>
    <x-gene-tabs here="genes"/>
    <form @class(['find mb-3', 'is-folded' => ! $search->isNarrowed()]) method="get" role="search" data-module="autosend filters">
        <div class="field"><label for="find">Find by name, nickname or look</label><input class="input" id="find" type="search" name="find"
            value="{{ $search->words }}" placeholder="caramel"></div>
        <div class="field"><label for="complex">Complex</label><select class="input" id="complex" name="complex">
            <option value="">any</option>@foreach ($complexes as $locus)<option value="{{ $locus->key }}"
            @selected($search->locus === $locus->key)>{{ $locus->name }}</option>@endforeach</select></div>
        <div class="field"><label for="kind">Inheritance</label><select class="input" id="kind" name="kind">
            <option value="">any</option>@foreach ($lists->inheritances() as $kind)<option value="{{ $kind->value }}"
            @selected($search->inheritance === $kind)>{{ $kind->words($house->saysCoDominant()) }}</option>@endforeach</select></div>
        <div class="field"><label for="effect">What it changes</label><select class="input" id="effect" name="effect">
            <option value="">any</option>@foreach ($lists->effects() as $effect)<option value="{{ $effect->value }}"
            @selected($search->effect === $effect)>{{ $effect->value }}</option>@endforeach</select></div>
        <div><button class="button high"><x-icon name="search"/>Find</button></div>
        <button class="button filters-button" type="button" data-filters aria-expanded="false">Filters</button>
    </form>
    <p class="soft small">{{ count($genes) }} of {{ count($catalogue->alleles) }} genes. @if (count($genes) < count($catalogue->alleles))<a
        href="{{ route('genes.index') }}">Show all</a>@endif</p>
    @if ($genes === [])
        <section class="sheet empty"><p class="answer">No gene fits all of that.</p><p class="soft mb-0">Use fewer words, or
            <a href="{{ route('genes.index') }}">start again</a>.</p></section>
    @endif
    @foreach ($walls as $name => $wall)
        @if ($name === 'all')<ul class="cards gene-wall">@foreach ($wall as $allele)@include('genes.card')@endforeach</ul>
        @elseif ($name === 'yours')<h2 class="wall-title">In your collection <span class="soft small">{{ count($wall) }}</span></h2>
            <ul class="cards gene-wall">@foreach ($wall as $allele)@include('genes.card')@endforeach</ul>
        @else<details class="wall-fold"><summary>All other genes <span class="soft small">{{ count($wall) }}, A to Z</span></summary>
            <ul class="cards gene-wall mt-2">@foreach ($wall as $allele)@include('genes.card')@endforeach</ul></details>
        @endif
    @endforeach
</x-station>
