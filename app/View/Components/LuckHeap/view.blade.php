<figure class="heap">
    <svg viewBox="0 {{ $top() }} {{ $width() }} {{ 206 - $top() }}" role="img" aria-label="{{ $heap->sentence() }}"
        style="max-width: {{ $width() * 1.35 }}px">
        @foreach ($heap->columns as $i => $column)
            @foreach ($dots($i) as [$x, $y])<circle @class(['is-tail' => $column['inTail']]) cx="{{ $x }}" cy="{{ $y }}"
            r="4.4"/>@endforeach
            <text @class(['is-here' => $column['isHere']]) x="{{ $middle($i) }}" y="184" text-anchor="middle">{{ $column['hits'] }}</text>
            @if ($column['isHere'])<text class="is-here" x="{{ $middle($i) }}" y="200" text-anchor="middle">you</text>@endif
        @endforeach
    </svg>
    <figcaption class="small soft">{{ $heap->sentence() }} Below each column: hits.</figcaption>
</figure>
