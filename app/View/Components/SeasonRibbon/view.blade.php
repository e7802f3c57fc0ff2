<div class="scroll" tabindex="0" role="region" aria-label="The season over the months">
<svg class="ribbon" viewBox="0 0 1000 {{ $height() }}" role="group" aria-labelledby="ribbon-title">
    <title id="ribbon-title">{{ count($ribbon->bands) }} {{ Str::plural('pair', count($ribbon->bands)) }} over the months: paired,
        gravid, eggs, and what is to be expected</title>
    @foreach ($ribbon->months as $month)<line class="month" x1="{{ $x($month['at']) }}" x2="{{ $x($month['at']) }}" y1="{{ $top() }}"
        y2="{{ $height() - 8 }}"/><text class="name" x="{{ $x($month['at']) + 4 }}" y="16">{{ $month['name'] }}</text>@endforeach
    @foreach ($ribbon->bands as $i => $band)
        <a href="{{ route('clutches.show', $band['clutch']) }}"><title>{{ $band['words'] }}</title>
            <text class="who" x="0" y="{{ $y($i) + 20 }}">{{ $pair($band['clutch']) }}</text>
            @foreach ($band['spans'] as $span)
                <rect class="span {{ $span['phase'] }}" x="{{ $x($span['from']) }}" y="{{ $y($i) + 6 }}" width="{{ $width($span) }}"
                    height="20" rx="5"><title>{{ $span['words'] }}</title></rect>
                @if ($isNamed($span))<text class="phase" x="{{ $x($span['from']) + 7 }}"
                    y="{{ $y($i) + 19 }}">{{ $span['phase'] }}</text>@endif
            @endforeach
            @foreach ($band['marks'] as $mark)<circle class="mark" cx="{{ $x($mark['at']) }}" cy="{{ $y($i) + 26 }}" r="3.5">
            <title>{{ $mark['words'] }}</title></circle>@endforeach
        </a>
    @endforeach
    @if ($ribbon->now !== null)
        <line class="now" x1="{{ $x($ribbon->now) }}" x2="{{ $x($ribbon->now) }}" y1="{{ $top() }}" y2="{{ $height() - 8 }}"/>
        <text class="name now" x="{{ $x($ribbon->now) }}" y="{{ $height() }}" text-anchor="middle" dy="-4">today</text>
    @endif
</svg></div>
<p class="soft small mb-0 mt-2">A dot is something logged; an open end is what is to be expected, as on Today. Tap a row for the clutch.</p>
