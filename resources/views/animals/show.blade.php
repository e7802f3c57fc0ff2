@php($animal = $card->animal)
<x-station :title="$animal->name" station="animals" crumb="Animals" :crumb-link="route('animals.index')">
    <x-slot:actions>
        <a class="button" href="{{ route('animals.edit', $animal) }}"><x-icon name="pencil"/>Change</a>
        <a class="button main" href="{{ route('pair', [($animal->sex->value === 'male' ? 'sire' : 'dam').'_id' => $animal->id]) }}"><x-icon name="grid-3x3"/>Pair {{ $animal->sex->value === 'male' ? 'him' : 'her' }}</a>
    </x-slot:actions>
    <div class="two">
        <div class="stack">
        <section class="sheet">
            <div class="head"><h2>What {{ $animal->sex->value === 'male' ? 'he' : 'she' }} carries</h2></div>
            <p class="answer mb-3">{{ $card->genotype() }}</p>
            @foreach ($card->reading->errors as $error)<p class="field-error"><x-icon name="exclamation-triangle"/><span>{{ $error->getMessage() }}</span></p>@endforeach
            <x-beads :beads="$card->beads()" named/>
            @foreach ($card->reading->notes as $note)<p class="soft small mb-0 mt-2">{{ $note }}</p>@endforeach
            <div class="mt-3"><x-bead-key :sides="false"/></div>
        </section>
        <section class="sheet">
            <div class="head"><h2>What {{ $animal->sex->value === 'male' ? 'he' : 'she' }} passes on</h2><span class="soft small">chance per egg</span></div>
            @if ($card->passesOn() === [])<p class="soft mb-0">No gene: every egg gets the wild type from {{ $animal->sex->value === 'male' ? 'him' : 'her' }}.</p>@endif
            <table class="list"><caption class="visually-hidden">Genes passed on, with the chance per egg</caption><tbody>
                @foreach ($card->passesOn() as [$allele, $chance])
                    <tr><td><a href="{{ route('genes.show', $allele->key) }}">{{ $allele->name }}</a></td><td class="num"><strong>{{ $chance->toString() }}</strong></td><td class="num soft">{{ App\Pairing\OddsWords::oneIn($chance) }}</td></tr>
                @endforeach
            </tbody></table>
        </section>
        </div>
        <div class="stack">
        <section class="sheet">
            <div class="head"><h2>Record</h2></div>
            <dl class="facts">
                <dt>Sex</dt><dd>{{ $animal->sex->value }}</dd>
                <dt>Hatched</dt><dd>{{ $animal->hatched_on?->format('j F Y') ?? 'not known' }}{{ $card->age() === '' ? '' : ', '.$card->age().' old' }}</dd>
                @if (trim($animal->genotype) !== $card->genotype())<dt>As typed</dt><dd>{{ $animal->genotype }}</dd>@endif
                <dt>Notes</dt><dd style="white-space:pre-line">{{ $animal->notes ?: 'none' }}</dd>
            </dl>
        </section>
        <section class="sheet">
            <div class="head"><h2>Pair {{ $animal->sex->value === 'male' ? 'him' : 'her' }} with</h2><span class="soft small">{{ count($mates) }} {{ $animal->sex->value === 'male' ? 'females' : 'males' }}</span></div>
            @if ($mates === [])<p class="soft mb-0">No {{ $animal->sex->value === 'male' ? 'female' : 'male' }} in the collection yet. <a href="{{ route('animals.create') }}">Add one</a>, or type one on the pairing page.</p>@endif
            <ul class="plain">
                @foreach ($mates as $mate)
                    <li><a href="{{ route('pair', $animal->sex->value === 'male' ? ['sire_id' => $animal->id, 'dam_id' => $mate->animal->id] : ['sire_id' => $mate->animal->id, 'dam_id' => $animal->id]) }}">{{ $mate->animal->name }}</a> <span class="soft small">{{ $mate->genotype() }}</span></li>
                @endforeach
            </ul>
        </section>
        </div>
    </div>
    @include('animals.care')
    <section class="sheet mt-3">
        <div class="head"><h2>Family</h2>
            @php($f = $family->inbreeding($animal))
            <span class="soft small">{{ $tree->isKnown() ? 'Inbreeding coefficient F = '.$f->toString().($f->isZero() ? ', as far as the records go' : ' ('.App\Pairing\OddsWords::percent($f).')') : 'No parents recorded' }}</span>
        </div>
        @if ($tree->isKnown())
            <div class="scroll" tabindex="0" role="region" aria-label="Pedigree"><x-pedigree :tree="$tree"/></div>
        @else
            <p class="soft mb-0"><a href="{{ route('animals.edit', $animal) }}">Record the parents</a> to see the pedigree, and to be told when a pair is closely related.</p>
        @endif
        @if ($offspring !== [])
            <h3 class="mt-3 mb-2">Young in the collection</h3>
            <ul class="plain">
                @foreach ($offspring as $young)
                    @php($other = $family->animal($animal->sex->value === 'male' ? $young->animal->dam_id : $young->animal->sire_id)->name ?? ($animal->sex->value === 'male' ? $young->animal->dam_name : $young->animal->sire_name))
                    <li><a href="{{ route('animals.show', $young->animal) }}">{{ $young->animal->name }}</a> <x-beads :beads="$young->beads()" aria-hidden="true"/> <span class="small">{{ $young->genotype() }}</span> <span class="soft small">{{ $young->animal->sex->value }}{{ $young->animal->hatched_on ? ', '.$young->animal->hatched_on->format('Y') : '' }}{{ $other ? ', with '.$other : '' }}</span></li>
                @endforeach
            </ul>
        @endif
    </section>
</x-station>
