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
        <section class="sheet">
            <div class="head"><h2>{{ $season === '' ? 'Planned' : $season }}</h2><span class="soft small">{{ $clutches->count() }}
                {{ Str::plural('clutch', $clutches->count()) }}, {{ $clutches->sum('eggs_good') }} good eggs,
                {{ $clutches->sum('hatched') }} hatched</span>@if ($season !== '')<a class="button ms-auto"
                href="{{ route('season.reckoning', $season) }}">Season summary</a>@endif</div>
            <div class="scroll" tabindex="0" role="region" aria-label="Clutches of {{ $season === '' ? 'the plans' : $season }}">
                <table class="list stacked">
                <thead><tr><th>Pairing</th><th>Stage</th><th>Laid</th><th class="num">Good</th><th class="num">Slugs</th>
                    <th>Hatched on</th><th class="num">Hatched</th><th>Kept and counted</th></tr></thead>
                <tbody>@foreach ($clutches as $clutch)
                    <tr><td data-label="Pairing"><a
                        href="{{ route('clutches.show',
                        $clutch) }}">{{ $clutch->sires->map(fn ($sire) => $sire->title())->implode(' or ') ?: 'sire not known' }} ×
                        {{ $clutch->dam->name }}</a>@if ($clutch->label) <span class="soft small">{{ $clutch->label }}</span>@endif</td>
                        <td data-label="Stage"><span class="tag">{{ $clutch->stage() }}</span></td>
                        <td data-label="Laid">{{ $clutch->laid_on?->format('j M Y') }}</td><td class="num"
                            data-label="Good eggs">{{ $clutch->eggs_good }}</td><td class="num"
                            data-label="Slugs">{{ $clutch->eggs_infertile }}</td>
                            <td data-label="Hatched on">{{ $clutch->hatched_on?->format('j M Y') }}</td><td class="num"
                            data-label="Hatched">{{ $clutch->hatched }}</td>
                        <td data-label="Kept and counted">{{ $clutch->hatchlings_count }} kept, {{ $clutch->counts->sum('count') }}
                            counted</td></tr>
                @endforeach</tbody>
            </table></div>
        </section>
    @endforeach
    </div>
</x-station>
