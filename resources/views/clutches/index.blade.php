<x-station title="Clutches" station="season">
    <x-slot:actions>@can('log')<a class="button main" href="{{ route('clutches.create') }}"><x-icon name="plus-lg"/>Add a
        clutch</a>@endcan</x-slot:actions>
    <x-season-tabs here="clutches"/>
    @if ($seasons->isEmpty())
        <section class="sheet empty"><p class="answer">No clutches yet.</p><p class="soft">Record past seasons too, as well as you know
            them: what hatched says what the parents carry.</p>@can('log')<p><a class="button main"
            href="{{ route('clutches.create') }}"><x-icon name="plus-lg"/>Add a clutch</a></p>@endcan</section>
    @endif
    <div class="stack">
    @foreach ($seasons as $season => $clutches)
        <details class="sheet folded" @if ($season === '' || (string) $season >= $now || $loop->index < 2) open @endif>
            <summary><h2>{{ $season === '' ? 'Planned' : $season }}</h2><span class="soft small">{{ $clutches->count() }}
                {{ Str::plural('clutch', $clutches->count()) }}{{ $clutches->sum('eggs_good') > 0
                ? ', '.$clutches->sum('eggs_good').' good '.Str::plural('egg', $clutches->sum('eggs_good')) : '' }}{{
                $clutches->sum('hatched') > 0 ? ', '.$clutches->sum('hatched').' hatched' : '' }}</span></summary>
            <ul class="plain clutch-list mt-2">@foreach ($clutches as $clutch)
                <li><div class="row-flow"><a href="{{ route('clutches.show', $clutch) }}"><strong>{{ $clutch->sires->map(
                    fn ($sire) => $sire->title())->implode(' or ') ?: 'sire not known' }} × {{ $clutch->dam->name }}</strong></a>
                    <span class="tag">{{ $clutch->stage() }}</span>@if ($clutch->label)
                    <span class="soft small">{{ $clutch->label }}</span>@endif</div>
                    @if ($clutch->eggs_good || $clutch->hatched || $clutch->hatchlings->isNotEmpty())<x-egg-line
                        :line="$line($clutch)"/>@endif
                    <span class="small soft">{{ ucfirst(implode(' · ', array_filter([
                        isset($due[$clutch->id]) ? ucfirst($due[$clutch->id]->isOverdue ? $due[$clutch->id]->words()
                            : 'next: '.$due[$clutch->id]->words()) : null,
                        $clutch->hatched_on ? 'hatched '.$clutch->hatched_on->format('j M Y') : ($clutch->laid_on
                            ? 'laid '.$clutch->laid_on->format('j M Y') : ($clutch->paired_on
                            ? 'paired '.$clutch->paired_on->format('j M Y') : null)),
                        $clutch->hatchlings->isEmpty() ? null : $clutch->hatchlings->count().' kept as animals',
                        $clutch->counts->isEmpty() ? null : $clutch->counts->sum('count').' counted']))) }}</span></li>
            @endforeach</ul>
            @if ($season !== '')<p class="mb-0 mt-2"><a href="{{ route('season.reckoning', $season) }}">Results of
                {{ $season }}</a></p>@endif
        </details>
    @endforeach
    </div>
</x-station>
