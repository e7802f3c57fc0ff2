<div class="row-flow">@if (! ($isFull ?? false))<a href="{{ $place['clutch'] ? route('clutches.show', $place['clutch']) : route('pair',
    array_filter(['sire_id' => $sire->id, 'dam_id' => $place['dam']->id,
    'target' => $place['hope']])) }}"><strong>{{ $place['dam']->name }}</strong></a>@endif
    <span class="tag">{{ $place['stage'] }}</span>@if ($place['stance']->value !== 'inform')<span @class(['tag',
    'dead' => $place['stance']->value === 'refuse', 'doubt' => $place['stance']->value === 'warn'])>house rules
    {{ $place['stance']->value === 'refuse' ? 'refuse' : 'warn' }}</span>@endif
    <span class="soft small">{{ $place['related'] }}</span>@if (($isFull ?? false) && $place['clutch'])<a class="ms-auto small"
    href="{{ route('clutches.show', $place['clutch']) }}">Open the clutch</a>@endif</div>
<span class="d-block small">{{ $place['egg'] && ! $place['egg']->isZero() ? "{$place['gives']}: ".$say->perEgg($place['egg'])
    : ucfirst($place['gives']) }}</span>
@if (($seen = $board->season->seenBefore("a{$sire->id}", "a{$place['dam']->id}")) !== '')<span class="field-error"><x-icon
    name="exclamation-triangle"/><span>{{ ucfirst($seen) }}.</span></span>@endif
@foreach ($place['ready'] as $why)<span class="d-block small soft"><x-icon name="hourglass-split"/> {{ $why }}</span>@endforeach
@if ($may && $place['stage'] === 'planned')<x-event-taps :clutch="$place['clutch']" :taps="[$introduced]"/>
@elseif ($may && $place['clutch'] === null && $place['stance']->value === 'inform')<form method="post"
    action="{{ route('clutches.store') }}" class="taps mt-2" data-module="once">@csrf<input type="hidden" name="form_token"
    value="{{ Str::uuid() }}"><input type="hidden" name="dam_id" value="{{ $place['dam']->id }}"><input type="hidden" name="sires[]"
    value="{{ $sire->id }}"><input type="hidden" name="target" value="{{ $place['hope'] }}"><button @class(['button',
    'slim' => ! ($isFull ?? false), 'main' => $isFull ?? false]) type="submit">Plan this pairing</button></form>
@elseif ($may && $place['clutch'] === null)<a class="small" href="{{ route('clutches.create', ['sire_id' => $sire->id,
    'dam_id' => $place['dam']->id, 'target' => $place['hope']]) }}">Plan this pairing</a>@endif
