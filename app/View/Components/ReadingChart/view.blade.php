<figure class="mb-3">
    <svg class="reading-chart" viewBox="0 0 {{ $chart::WIDTH }} {{ $chart::HEIGHT }}" role="img" aria-label="{{ $chart->sentence() }}">
        @if ($chart->limits() !== [])<rect class="right" x="62" width="{{ $chart::WIDTH - 74 }}" y="{{ $chart->y($chart->limits()[1]) }}"
            height="{{ $chart->y($chart->limits()[0]) - $chart->y($chart->limits()[1]) }}"/>@endif
        @foreach ($chart->grid() as $line)<path class="grid" d="M62 {{ $line['y'] }}H{{ $chart::WIDTH - 12 }}"/>
        <text x="56" y="{{ $line['y'] + 4 }}" text-anchor="end">{{ $line['label'] }}</text>@endforeach
        @foreach ($chart->times() as $time)<text x="{{ $time['x'] }}" y="{{ $chart::HEIGHT - 8 }}"
            text-anchor="middle">{{ $time['label'] }}</text>@endforeach
        @foreach ($chart->gaps() as $gap)<rect class="gap" x="{{ $gap['from'] }}" width="{{ max(1, $gap['to'] - $gap['from']) }}" y="14"
            height="{{ $chart::HEIGHT - 42 }}"/>@endforeach
        @foreach ($chart->limits() as $limit)<path class="limit" d="M62 {{ $chart->y($limit) }}H{{ $chart::WIDTH - 12 }}"/>@endforeach
        <path class="band" d="{{ $chart->band() }}"/><path class="line" d="{{ $chart->line() }}"/>
    </svg>
    <figcaption class="soft small">{{ $chart->sentence() }}
        @if ($chart->limits() !== [])
            Range: {{ $chart->words($chart->limits()[0]) }} to {{ $chart->words($chart->limits()[1]) }}.
        @endif
    </figcaption>
</figure>
