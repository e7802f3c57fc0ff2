@if (! $isEmpty())
<figure class="money-months">
    <svg viewBox="0 0 {{ $wide }} {{ $high }}" role="img" aria-label="{{ $sentence() }}">
        @foreach ($bars() as $bar)<rect class="{{ $bar['class'] }}" x="{{ $bar['x'] }}" y="{{ $bar['y'] }}" width="{{ $bar['width'] }}"
            height="{{ $bar['height'] }}" rx="3"><title>{{ $bar['says'] }}</title></rect>@endforeach
        <path class="floor" d="M0 {{ $floor() }}H{{ $wide }}"/>
        <polyline class="balance" points="{{ $line() }}"/>
        @foreach ($months as $i => $one)<text @class(['is-odd' => $i % 2 === 1]) x="{{ $middle($i) }}" y="{{ $high - 6 }}"
            text-anchor="middle">{{ $name($one['month']) }}</text>@endforeach
    </svg>
    <figcaption class="small soft"><i class="income"></i> income <i class="costs"></i> costs <i class="balance"></i> balance since
        January</figcaption>
</figure>
@endif
