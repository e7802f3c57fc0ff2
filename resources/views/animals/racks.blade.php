{{-- the racks as they stand: drag an animal to another tub, or choose the tub on its page --}}
<div class="row-flow mb-3">
    <nav class="choices" aria-label="Colour">@foreach (['status' => 'Status', 'readiness' => 'Readiness'] as $colour => $words)<a
        href="{{ route('animals.index', ['colour' => $colour] + $search->query()) }}" @if ($rackView->colour === $colour)
        aria-current="true" @endif>{{ $words }}</a>@endforeach</nav>
    <span class="key">@foreach ($rackView->key() as $mark => [$letter, $words])<span><i class="mark mark-{{ $mark }}">{{ $letter }}</i>
        {{ $words }}</span>@endforeach</span>
</div>
@if ($rackView->racks === [])
    <section class="sheet empty"><p class="answer">No racks yet.</p><p class="soft">Build your racks as they stand in the room, then give
        every animal its tub.</p>@can('manage')<p><a class="button main" href="{{ route('racks.index') }}">Add a
            rack</a></p>@endcan</section>
@endif
<svg class="beside" width="0" height="0" aria-hidden="true"><defs>@foreach (['male' => 'gender-male', 'female' => 'gender-female',
    'unknown' => 'question-circle'] as $sex => $icon)<g id="sex-{{ $sex }}"><x-icon :name="$icon"/></g>@endforeach</defs></svg>
<div class="racks" @can('log') data-module="rack" data-token="{{ csrf_token() }}" @endcan>
    <p class="visually-hidden" data-said role="status"></p>
    @foreach ($rackView->racks as ['rack' => $rack, 'tubs' => $tubs, 'loose' => $loose])
        <section class="sheet rack" aria-label="{{ $rack->name }}">
            <div class="head"><h2>{{ $rack->name }}</h2><span class="soft small">@can('log')<a
                href="{{ route('round.create', ['feed', 'rack' => $rack->id]) }}">feed</a> ·
                <a href="{{ route('round.create', ['weight', 'rack' => $rack->id]) }}">weigh</a>@endcan</span></div>
            <div class="tubs" style="--columns: {{ $rack->columns }}">
                @foreach ($tubs as $row => $columns)
                    @foreach ($columns as $column => $card)
                        <div class="tub" data-tub="{{ $rack->id }}:{{ $row }}:{{ $column }}">
                            @if ($card){!! $rackView->tub($card) !!}@else<span class="tub-empty">{{ $row }}·{{ $column }}</span>@endif
                        </div>
                    @endforeach
                @endforeach
            </div>
            @if ($loose !== [])<div class="loose" data-tub="">@foreach ($loose as $card){!! $rackView->tub($card) !!}@endforeach</div>@endif
        </section>
    @endforeach
    @if ($rackView->unplaced !== [])
        <section class="sheet rack unplaced" aria-label="Without a tub">
            <div class="head"><h2>Without a tub</h2><span class="soft small">{{ count($rackView->unplaced) }}</span></div>
            <div class="loose" data-tub="">@foreach ($rackView->unplaced as $card){!! $rackView->tub($card) !!}@endforeach</div>
        </section>
    @endif
</div>
