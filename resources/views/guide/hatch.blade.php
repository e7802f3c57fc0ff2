<p>Lay the eggs out as they are in the box: each keeps its place, its top mark, its weight and what happens to it. With an
    <a href="{{ route('incubators.index') }}">incubator</a> noted, readings come from a probe, a file or your hand; a door left open or a
        failed heater shows under Today.</p>
<p><strong>Worked:</strong> eggs at 31.5 °C for 58 days are as far as eggs at 30.5 °C after {{ number_format(58 * 58 / $warmth->grown, 0) }}
    days. The window of first pips follows the warmth that was measured.</p>
<p class="mb-0">Keepers differ on opening eggs: never, after the first has pipped, or from a chosen day. Choose under
    <a href="{{ route('house') }}">House</a>; opening earlier than that is asked about first.</p>
