<svg @class(['plan-curves', 'has-money' => $money['most'] > 0]) role="img"
    viewBox="-16 0 {{ $chart::WIDTH + 16 }} {{ $chart::HEIGHT + ($money['most'] > 0 ? 92 : 0) }}"
    aria-label="Chance of having the target by year{{ $money['most'] > 0 ? ', and money spent' : '' }}">
    @foreach ([0, .25, .5, .75, 1] as $share)
        <path class="grid" d="M44 {{ $chart->y($share) }} H{{ $chart::WIDTH - 24 }}"/>
        <text x="38" y="{{ $chart->y($share) + 4 }}" text-anchor="end">{{ 100 * $share }} %</text>
    @endforeach
    @for ($season = 1; $season <= $project->horizon; $season++)
        <text x="{{ $chart->x($season) }}" y="{{ $chart::HEIGHT - 6 }}" text-anchor="middle">{{ $page->year($season) }}</text>
    @endfor
    @foreach ($chart->curves() as $i => $curve)
        <polygon class="band tone-{{ $i }}" points="{{ $curve['band'] }}"/>
        <polyline class="curve-line tone-{{ $i }}" points="{{ $curve['points'] }}" @if ($curve['dash'])
            stroke-dasharray="{{ $curve['dash'] }}" @endif/>
        <text class="curve-name" x="{{ $curve['end'][0] + 6 }}" y="{{ $curve['end'][1] + 4 }}">{{ $i === 0 ? 'all' : chr(64 + $i) }}</text>
    @endforeach
    @if ($money['most'] > 0)
        <g transform="translate(0 {{ $chart::HEIGHT + 18 }})">
            <text x="48" y="3">money spent up to each year</text>
            <path class="grid" d="M44 64 H{{ $chart::WIDTH - 24 }}"/><path class="grid" d="M44 10 H{{ $chart::WIDTH - 24 }}"/>
            <text x="38" y="68" text-anchor="end">{{ $house->money(0) }}</text>
            <text x="38" y="14" text-anchor="end">{{ $house->money((int) round(100 * $money['most'])) }}</text>
            @foreach ($money['curves'] as $i => $curve)
                <polyline class="curve-line tone-{{ $i }}" points="{{ $curve['points'] }}" @if ($curve['dash'])
                    stroke-dasharray="{{ $curve['dash'] }}" @endif/>
            @endforeach
        </g>
    @endif
</svg>
