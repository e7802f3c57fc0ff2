@php($animal = $card->animal)
<x-station :title="$animal->name" station="animals" crumb="Animals" :crumb-link="route('animals.index')">
    <x-slot:actions>
        <a class="button" href="{{ route('animals.edit', $animal) }}"><x-icon name="pencil"/>Change</a>
        <a class="button main" href="{{ route('pair', [($animal->sex->value === 'male' ? 'sire' : 'dam').'_id' => $animal->id]) }}"><x-icon name="grid-3x3"/>Pair {{ $animal->sex->value === 'male' ? 'him' : 'her' }}</a>
    </x-slot:actions>
    <div class="two">
        <section class="sheet">
            <div class="head"><h2>What {{ $animal->sex->value === 'male' ? 'he' : 'she' }} carries</h2></div>
            <p class="answer mb-3">{{ $card->genotype() }}</p>
            @foreach ($card->reading->errors as $error)<p class="field-error"><x-icon name="exclamation-triangle"/><span>{{ $error->getMessage() }}</span></p>@endforeach
            <x-beads :beads="$card->beads()" named/>
            @foreach ($card->reading->notes as $note)<p class="soft small mb-0 mt-2">{{ $note }}</p>@endforeach
            <div class="mt-3"><x-bead-key :sides="false"/></div>
        </section>
        <section class="sheet">
            <div class="head"><h2>Record</h2></div>
            <dl class="facts">
                <dt>Sex</dt><dd>{{ $animal->sex->value }}</dd>
                <dt>Hatched</dt><dd>{{ $animal->hatched_on?->format('j F Y') ?? 'not known' }}{{ $card->age() === '' ? '' : ', '.$card->age().' old' }}</dd>
                @if (trim($animal->genotype) !== $card->genotype())<dt>As typed</dt><dd>{{ $animal->genotype }}</dd>@endif
                <dt>Notes</dt><dd style="white-space:pre-line">{{ $animal->notes ?: 'none' }}</dd>
            </dl>
        </section>
    </div>
</x-station>
