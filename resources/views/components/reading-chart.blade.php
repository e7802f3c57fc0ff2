@props(['chart']) {{-- readings over time with their limits; gaps stay open --}}
@php($limits = $chart->limits())
<figure class="mb-3">
    <svg class="reading-chart" viewBox="0 0 {{ App\Incubation\Chart::WIDTH }} {{ App\Incubation\Chart::HEIGHT }}" role="img" aria-label="{{ $chart->sentence() }}">
        @if ($limits !== [])<rect class="right" x="62" width="{{ App\Incubation\Chart::WIDTH - 74 }}" y="{{ $chart->y($limits[1]) }}" height="{{ $chart->y($limits[0]) - $chart->y($limits[1]) }}"/>@endif
        @foreach ($chart->grid() as $line)<path class="grid" d="M62 {{ $line['y'] }}H{{ App\Incubation\Chart::WIDTH - 12 }}"/><text x="56" y="{{ $line['y'] + 4 }}" text-anchor="end">{{ $line['label'] }}</text>@endforeach
        @foreach ($chart->times() as $time)<text x="{{ $time['x'] }}" y="{{ App\Incubation\Chart::HEIGHT - 8 }}" text-anchor="middle">{{ $time['label'] }}</text>@endforeach
        @foreach ($chart->gaps() as $gap)<rect class="gap" x="{{ $gap['from'] }}" width="{{ max(1, $gap['to'] - $gap['from']) }}" y="14" height="{{ App\Incubation\Chart::HEIGHT - 42 }}"/>@endforeach
        @foreach ($limits as $limit)<path class="limit" d="M62 {{ $chart->y($limit) }}H{{ App\Incubation\Chart::WIDTH - 12 }}"/>@endforeach
        <path class="band" d="{{ $chart->band() }}"/><path class="line" d="{{ $chart->line() }}"/>
    </svg>
    <figcaption class="soft small">{{ $chart->sentence() }}@if ($limits !== []) Right is {{ $chart->words($limits[0]) }} to {{ $chart->words($limits[1]) }}.@endif</figcaption>
</figure>
