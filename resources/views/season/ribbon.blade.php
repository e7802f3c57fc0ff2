@php([$left, $wide, $row, $top] = [210, 790, 34, 30])
@php($high = $top + $row * count($ribbon->bands) + 8)
@php($x = fn (float $at): float => round($left + $wide * $at, 1))
<div class="scroll" tabindex="0" role="region" aria-label="The season over the months">
<svg class="ribbon" viewBox="0 0 1000 {{ $high }}" role="group" aria-labelledby="ribbon-title" style="min-width:46rem;width:100%">
    <title id="ribbon-title">{{ count($ribbon->bands) }} {{ Str::plural('pair', count($ribbon->bands)) }} over the months: together, gravid, eggs, and what is to be expected</title>
    @foreach ($ribbon->months as $month)<line class="month" x1="{{ $x($month['at']) }}" x2="{{ $x($month['at']) }}" y1="{{ $top - 8 }}" y2="{{ $high - 8 }}"/><text class="name" x="{{ $x($month['at']) + 4 }}" y="16">{{ $month['name'] }}</text>@endforeach
    @foreach ($ribbon->bands as $i => $band)
        @php($y = $top + $row * $i)
        <a href="{{ route('clutches.show', $band['clutch']) }}"><title>{{ $band['words'] }}</title>
            <text class="who" x="0" y="{{ $y + 20 }}">{{ App\Drawing\TextFit::lines(trim($band['clutch']->sires->map(fn ($sire) => $sire->title())->implode(' or ').' × '.$band['clutch']->dam->name, ' ×'), 200, 13, 1)[0] ?? '' }}</text>
            @foreach ($band['spans'] as $span)
                <rect class="span {{ $span['phase'] }}" x="{{ $x($span['from']) }}" y="{{ $y + 6 }}" width="{{ max(3, round($wide * ($span['to'] - $span['from']), 1)) }}" height="{{ $row - 14 }}" rx="5"><title>{{ $span['words'] }}</title></rect>
                @if ($span['phase'] !== 'expected' && $wide * ($span['to'] - $span['from']) > 62)<text class="phase" x="{{ $x($span['from']) + 7 }}" y="{{ $y + 19 }}">{{ $span['phase'] }}</text>@endif
            @endforeach
            @foreach ($band['marks'] as $mark)<circle class="mark" cx="{{ $x($mark['at']) }}" cy="{{ $y + 26 }}" r="3.5"><title>{{ $mark['words'] }}</title></circle>@endforeach
        </a>
    @endforeach
    @if ($ribbon->now !== null)<line class="now" x1="{{ $x($ribbon->now) }}" x2="{{ $x($ribbon->now) }}" y1="{{ $top - 8 }}" y2="{{ $high - 8 }}"/><text class="name now" x="{{ $x($ribbon->now) }}" y="{{ $high }}" text-anchor="middle" dy="-1">today</text>@endif
</svg></div>
<p class="soft small mb-0 mt-2">A dot is something logged; an open end is what is to be expected, as on Today. Tap a row for the clutch.</p>
