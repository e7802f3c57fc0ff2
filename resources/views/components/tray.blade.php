@props(['page', 'prints' => null, 'width', 'height', 'most' => 24]) {{-- the whole of a pairing as one area, cut by share; hits are outlined --}}
@php
    $rows = array_slice($page->rows, 0, $most);
    $shares = array_map(fn ($row) => $row->outcome->probability->toFloat(), $rows);
    $rest = max(0, 1 - array_sum($shares));
    $hasRest = count($rows) < (float) (string) $page->space->total();
    $tiles = $hasRest ? App\Drawing\Treemap::cutWithRest($shares, $rest, $width, $height) : App\Drawing\Treemap::cut($shares, $width, $height);
    $more = $page->space->total()->minus(count($rows));
@endphp
<svg {{ $attributes->class('tray') }} viewBox="0 0 {{ $width }} {{ $height }}" role="group" aria-label="All outcomes as one area; each piece is as large as its chance">
    <defs><pattern id="dead-{{ $width }}" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path d="M0 0 V9" stroke="var(--danger)" stroke-width="3" opacity=".4"/></pattern></defs>
    @foreach ($rows as $i => $row)
        @php
            $tile = $tiles[$i];
            [$w, $h] = [max(0, $tile['width'] - 4), max(0, $tile['height'] - 4)];
            $tone = $row->tone->value ?? 'none';
            $showsGenes = $row->marks !== [] && $w > 60 && $h > 112;
            $fits = max(1, (int) floor(($w - 20) / 20));
            $lines = App\Drawing\TextFit::lines($row->outcome->label, $w - 20, 14, (int) floor(($h - ($showsGenes ? 66 : 40)) / 17));
            $size = $w > 110 && $h > 60 ? 19 : 14;
            $fraction = App\Words\OddsWords::fraction($row->outcome->probability);
            $share = ($row->isHit() ? '★ ' : '').(mb_strlen($fraction) * $size * .58 + ($row->isHit() ? 20 : 0) > $w - 20 ? $row->percent() : $fraction);
            $sexMark = $row->outcome->sex === null ? '' : ' '.$row->outcome->sex->value;
        @endphp
        <a href="#outcome-{{ $row->number }}" @class(['scute', 'is-hit' => $row->isHit(), 'is-dead' => $row->outcome->isLethal]) transform="translate({{ round($tile['x'] + 2, 2) }} {{ round($tile['y'] + 2, 2) }})" @if ($lines === []) aria-label="{{ $fraction }} {{ $row->outcome->label }}{{ $sexMark }}" @endif data-reading="{{ $row->outcome->label }}{{ $row->knownAs() === '' ? '' : ' ('.$row->knownAs().')' }}{{ $sexMark }}: {{ $fraction }} per {{ $page->unit() }}, {{ $row->percent() }}, {{ $row->oneIn() }}.{{ $row->outcome->isLethal ? ' Does not live.' : '' }}{{ $row->isHit() ? ($row->share->isOne() ? ' Meets the target.' : ' May meet the target.') : '' }}">
            <rect class="ground" width="{{ round($w, 2) }}" height="{{ round($h, 2) }}" rx="{{ min(12, $w / 3, $h / 3) }}"/>
            <rect class="tint fill-{{ $tone }}" width="{{ round($w, 2) }}" height="{{ round($h, 2) }}" rx="{{ min(12, $w / 3, $h / 3) }}"/>
            @if ($row->outcome->isLethal)<rect width="{{ round($w, 2) }}" height="{{ round($h, 2) }}" rx="{{ min(12, $w / 3, $h / 3) }}" fill="url(#dead-{{ $width }})"/>@endif
            <rect class="edge" x="1.5" y="1.5" width="{{ round(max(0, $w - 3), 2) }}" height="{{ round(max(0, $h - 3), 2) }}" rx="{{ min(11, $w / 3, $h / 3) }}"/>
            @if ($w > 44 && $h > 28)
                <text class="share" x="11" y="24" font-size="{{ $size }}">{{ $share }}</text>
            @endif
            @foreach ($lines as $k => $line)
                <text x="11" y="{{ 45 + 17 * $k }}" font-size="14" font-weight="550">{{ $line }}</text>
            @endforeach
            @if ($showsGenes)
                @foreach (array_slice($row->marks, 0, $fits) as $k => $mark)
                    <g class="gene" transform="translate({{ 10 + 20 * $k }} {{ round($h - 26, 2) }})" aria-hidden="true"><rect class="fill-{{ $mark->value }}" width="16" height="16" rx="8"/><text class="ink-{{ $mark->value }}" x="8" y="11.6">{{ strtoupper($mark->value[0]) }}</text></g>
                @endforeach
            @endif
            @if ($sexMark !== '' && $lines !== [] && $h > ($showsGenes ? 92 : 66) + 17 * count($lines) && $w > 80)
                <text x="11" y="{{ 46 + 17 * count($lines) }}" font-size="12.5">{{ trim($sexMark) }}</text>
            @endif
            @php($free = $h - (48 + 17 * count($lines)) - ($showsGenes ? 30 : 6) - ($sexMark === '' ? 0 : 18))
            @if ($prints && ! $row->outcome->isLethal && $w > 96 && $free > 18)<svg x="8" y="{{ round($h - ($showsGenes ? 32 : 8) - min($free, ($w - 16) * .15), 2) }}" width="{{ round($w - 16, 2) }}" height="{{ round(min($free, ($w - 16) * .15), 2) }}" preserveAspectRatio="xMinYMid">{!! $prints->inDrawing($row->outcome->forms, $w > 240) !!}</svg>@endif
        </a>
    @endforeach
    @if ($hasRest)
        @php([$tile, $w, $h] = [end($tiles), max(0, end($tiles)['width'] - 4), max(0, end($tiles)['height'] - 4)])
        <g class="scute" transform="translate({{ round($tile['x'] + 2, 2) }} {{ round($tile['y'] + 2, 2) }})">
            <rect class="fill-none" width="{{ round($w, 2) }}" height="{{ round($h, 2) }}" rx="{{ min(12, $w / 3, $h / 3) }}" opacity=".55"/>
            @foreach (App\Drawing\TextFit::lines('all the rest: '.number_format((float) (string) $more).' more, '.round(100 * $rest).' %', $w - 20, 13, (int) floor(($h - 12) / 17)) as $k => $line)
                <text class="ink-none" x="11" y="{{ 24 + 17 * $k }}" font-size="13">{{ $line }}</text>
            @endforeach
        </g>
    @endif
</svg>
