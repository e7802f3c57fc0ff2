<x-station title="Animals" station="animals">
    <x-slot:actions>@if ($all > 0)<a class="button" href="{{ route('round.create', 'weight') }}">Weighing round</a><a class="button" href="{{ route('round.create', 'feed') }}">Feeding round</a>@endif<a class="button main" href="{{ route('animals.create') }}"><x-icon name="plus-lg"/>Add an animal</a></x-slot:actions>
    @if ($all === 0)
        <section class="sheet empty">
            <p class="answer">No animals yet.</p>
            <p class="soft">Add the first one: a name, its sex and what it carries are enough. Then pair it.</p>
            <p><a class="button main" href="{{ route('animals.create') }}"><x-icon name="plus-lg"/>Add an animal</a></p>
        </section>
    @else
        <form class="find mb-3" method="get" role="search">
            <div class="field" data-module="reading" data-address="{{ route('read') }}"><label for="genes">Find by genes</label>
                <input class="input" id="genes" name="genes" value="{{ $search->genes }}" data-reads="target" spellcheck="false" autocapitalize="off" placeholder="carries Clown, female" aria-describedby="genes-error genes-reading" @if ($search->error) aria-invalid="true" @endif>
                <x-field-error id="genes-error" :message="$search->error"/>
                <div class="reading" style="min-height:0" id="genes-reading" data-reading aria-live="polite"></div></div>
            <div class="field"><label for="find">by name or note</label><input class="input" id="find" type="search" name="find" value="{{ $search->words }}"></div>
            <div><button class="button" style="min-height:2.75rem"><x-icon name="search"/>Find</button></div>
        </form>
        <p class="soft small">{{ $pages->total() }} of {{ $all }} {{ Str::plural('animal', $all) }}{{ $search->isNarrowed() ? ' fit. ' : '.' }} @if ($search->isNarrowed())<a href="{{ route('animals.index') }}">Show all</a>@endif</p>
        <ul class="cards">
            @foreach ($cards as $card)
                <li><a class="card-link" href="{{ route('animals.show', $card->animal) }}">
                    <span class="title">{{ $card->animal->name }} <x-icon :name="'gender-'.$card->animal->sex->value" :label="$card->animal->sex->value" class="sex"/></span>
                    <span>{{ $card->genotype() }}</span>
                    @if ($card->chance && ! $card->chance->isOne())<span><span class="tag doubt">fits with {{ App\Pairing\OddsWords::percent($card->chance) }}</span></span>@endif
                    @if ($card->reading->errors !== [])<span class="tag dead">cannot be read any more</span>@endif
                    <x-beads :beads="$card->beads()" aria-hidden="true"/>
                    @if ($card->age() !== '')<span class="soft small">{{ $card->age() }}</span>@endif
                </a></li>
            @endforeach
        </ul>
        <div class="mt-3">{{ $pages->links() }}</div>
        <div class="mt-3"><x-bead-key :sides="false"/></div>
    @endif
</x-station>
