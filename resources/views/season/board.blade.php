<x-station title="Season plan" station="season">
    <x-slot:actions>@if ($may)<a class="button" href="{{ route('pair') }}"><x-icon name="grid-3x3"/>Find a
        pairing</a>@endif</x-slot:actions>
    <x-season-tabs here="plan"/>
    <div class="stack">
    @if ($board->males === [])<section class="sheet empty"><p class="answer">No pairings yet.</p><p class="soft">Pairings that you
        note as planned come here, and those that your projects ask for.</p><p><a class="button main" href="{{ route('pair') }}">Find a
        pairing</a></p></section>@endif
    <ul class="cards board">
        @foreach ($board->males as $male)
            <li class="sheet">
                <div class="head"><h2><a href="{{ route('animals.show', $male['sire']) }}">{{ $male['sire']->name }}</a></h2><span
                    @class(['small', 'soft' => count($male['places']) <= $male['most'],
                    'text-odd' => count($male['places']) > $male['most']])>{{ $male['serves'] }}
                    planned{{ count($male['places']) > $male['serves'] ? ', '.(count($male['places']) - $male['serves']).' suggested' : ''
                        }},
                    {{ $male['most'] }} at most</span></div>
                <ol class="plain lines">
                    @foreach ($male['places'] as $place)
                        <li><div class="row-flow"><a href="{{ $place['clutch'] ? route('clutches.show', $place['clutch']) : route('pair',
                            array_filter(['sire_id' => $male['sire']->id, 'dam_id' => $place['dam']->id,
                            'target' => $place['hope']])) }}"><strong>{{ $place['dam']->name }}</strong></a>
                            <span class="tag">{{ $place['stage'] }}</span>@if ($place['stance']->value !== 'inform')<span
                            @class(['tag', 'dead' => $place['stance']->value === 'refuse',
                            'doubt' => $place['stance']->value === 'warn'])>house rules {{ $place['stance']->value === 'refuse' ? 'refuse'
                            : 'warn' }}</span>@endif <span class="soft small">{{ $place['related'] }}</span></div>
                            <span class="d-block small">{{ $place['egg'] && ! $place['egg']->isZero()
                                ? "{$place['gives']}: ".$say->perEgg($place['egg'])
                                : $place['gives'] }}</span>
                            @if (($seen = $board->season->seenBefore("a{$male['sire']->id}", "a{$place['dam']->id}")) !== '')<span
                                class="field-error"><x-icon name="exclamation-triangle"/><span>{{ ucfirst($seen) }}.</span></span>@endif
                            @foreach ($place['ready'] as $why)<span class="d-block small soft"><x-icon name="hourglass-split"/>
                                {{ $why }}</span>@endforeach
                            @if ($may && $place['stage'] === 'planned')<x-event-taps :clutch="$place['clutch']" :taps="[$introduced]"/>
                            @elseif ($may && $place['clutch'] === null && $place['stance']->value === 'inform')<form method="post"
                                action="{{ route('clutches.store') }}" class="taps" data-module="once">@csrf<input type="hidden"
                                name="form_token" value="{{ Str::uuid() }}"><input type="hidden" name="dam_id"
                                value="{{ $place['dam']->id }}"><input type="hidden" name="sires[]" value="{{ $male['sire']->id }}"><input
                                type="hidden" name="target" value="{{ $place['hope'] }}"><button class="button slim" type="submit">Plan
                                    this pairing</button></form>
                            @elseif ($may && $place['clutch'] === null)<a class="small"
                                href="{{ route('clutches.create', ['sire_id' => $male['sire']->id, 'dam_id' => $place['dam']->id,
                                'target' => $place['hope']]) }}">Plan this pairing</a>@endif</li>
                    @endforeach
                </ol>
                @foreach ($male['instead'] as $says)<p class="field-error mb-0 mt-2"><x-icon
                    name="exclamation-triangle"/><span>{{ $says }}.</span></p>@endforeach
            </li>
        @endforeach
    </ul>
    @if ($board->season->waiting !== [])<section class="sheet"><div class="head"><h2>Asked for, and not given</h2></div>
        <ul class="plain lines">@foreach ($board->season->waiting as $one)<li>{{ $board->season->name($one['sire']) }} ×
        {{ $board->season->name($one['dam']) }} for {{ $one['project']->name }}:
        <span class="soft">{{ $one['why'] }}.</span></li>@endforeach</ul></section>@endif
    @if ($board->free !== [])<section class="sheet"><div class="head"><h2>Ready but not paired</h2><span
        class="soft small">{{ count($board->free) }}</span></div><p class="mb-0">@foreach (array_slice($board->free, 0, 40) as $dam)<a
        href="{{ route('pair', ['dam_id' => $dam->id]) }}">{{ $dam->name }}</a>{{ $loop->last ? '' : ', ' }}@endforeach
        @if (count($board->free) > 40)<span class="soft">and {{ count($board->free) - 40 }} more</span>@endif</p></section>@endif
    </div>
</x-station>
