<x-station title="Season plan" station="season">
    <x-slot:actions>@if ($may)<a class="button" href="{{ route('pair') }}"><x-icon name="grid-3x3"/>Find a
        pairing</a>@endif</x-slot:actions>
    <x-season-tabs here="plan"/>
    <div class="stack">
    @if ($board->males === [])<section class="sheet empty"><p class="answer">No pairings yet.</p><p class="soft">Pairings that you
        note as planned come here, and those that your projects ask for.</p><p><a class="button main" href="{{ route('pair') }}">Find a
        pairing</a></p></section>@endif
    @if ($board->males !== [])@include('season.grid')@endif
    <details class="by-male" id="by-male" open @if ($grid->isWhole()) data-module="fold-wide" @endif><summary>All pairings, male by male
        <span class="soft">{{ collect($board->males)->sum(fn ($male) => count($male['places'])) }}</span></summary>
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
                        <li>@include('season.place', ['sire' => $male['sire']])</li>
                    @endforeach
                </ol>
                @foreach ($male['instead'] as $says)<p class="field-error mb-0 mt-2"><x-icon
                    name="exclamation-triangle"/><span>{{ $says }}.</span></p>@endforeach
            </li>
        @endforeach
    </ul></details>
    @if ($board->season->waiting !== [])<section class="sheet"><div class="head"><h2>Asked for, and not given</h2></div>
        <ul class="plain lines">@foreach ($board->season->waiting as $one)<li>{{ $board->season->name($one['sire']) }} ×
        {{ $board->season->name($one['dam']) }} for {{ $one['project']->name }}:
        <span class="soft">{{ $one['why'] }}.</span></li>@endforeach</ul></section>@endif
    @if ($board->free !== [])<section class="sheet"><div class="head"><h2>Ready but not paired</h2><span
        class="soft small">{{ count($board->free) }}</span></div><p class="mb-0">@foreach (array_slice($board->free, 0, 40) as $dam)<a
        href="{{ route('pair', ['dam_id' => $dam->id]) }}">{{ $dam->name }}</a>{{ $loop->last ? '' : ', ' }}@endforeach
        @if (count($board->free) > 40)<span class="soft">and {{ count($board->free) - 40 }} more</span>@endif</p></section>@endif
    </div>
    {!! $prints->symbols() !!}
</x-station>
