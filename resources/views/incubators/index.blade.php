<x-station title="Incubators" station="season">
    <x-season-tabs here="incubators"/>
    <div class="stack">
    @if ($cards === [])<section class="sheet empty"><p class="answer">No incubators yet.</p><p class="soft">With one here, the days in which
        eggs are due follow the warmth that they really had, and a door left open or a failed heater shows under
        Today.</p></section>@endif
    <ul class="cards">
        @foreach ($cards as $card)
            <li><a class="card-link" href="{{ route('incubators.show', $card->incubator) }}"><span
                class="title">{{ $card->incubator->name }} @if ($card->alarms !== [])<span class="tag dead">look</span>@endif</span>
                <span class="answer">{{ $card->latest['temperature'] ? $house->temperature($card->latest['temperature']->value)
                    : 'not measured' }}{{ $card->latest['humidity'] ? ', '.number_format($card->latest['humidity']->value).' %'
                    : '' }}</span>
                <span class="soft small">{{ $card->latest['temperature'] ? $card->latest['temperature']->at->diffForHumans().'; ' : '' }}set
                    to {{ $house->temperature($card->incubator->celsius) }}</span>
                @foreach ($card->alarms as $alarm)<span class="small text-odd">{{ ucfirst($alarm) }}</span>@endforeach
                <span class="small">{{ $card->hasEggs()
                    ? $card->incubator->clutches->reject->isOut()->map(fn ($clutch) => $clutch->title())->implode('; ')
                    : 'no eggs in it' }}</span></a></li>
        @endforeach
    </ul>
    @if ($unclaimed !== [])<section class="sheet"><p class="mb-0">Readings come from {{ implode(', ', array_map(fn ($place) => "“{$place}”",
        array_slice($unclaimed, 0, 5))) }}, which no incubator here has as its place. Note an incubator with that name and they stand with
        it.</p></section>@endif
    @can('manage')<section class="sheet measure"><div class="head"><h2>An incubator, or a box with a probe of its
        own</h2></div><x-incubator-form :house="$house" :token="$token" :place="$unclaimed[0] ?? ''"/></section>@endcan
    <p class="soft small mb-0">Commonly 31 to 32 °C; a degree less takes about five days longer. Keep water away from the heater's wiring,
        use a thermostat of its own, and let nothing that heats run without one.</p>
    </div>
</x-station>
