<svg {{ $attributes->class('tray') }} viewBox="0 0 {{ $tray->width }} {{ $tray->height }}" role="group"
    aria-label="All outcomes as one area; each piece is as large as its chance">
    <defs><pattern id="dead-{{ $tray->width }}" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
    <path d="M0 0 V9" stroke="var(--danger)" stroke-width="3" opacity=".4"/></pattern></defs>
    @foreach ($tray->pieces as $piece)
        <a href="#outcome-{{ $piece->row->number }}"
            @class(['scute', 'is-hit' => $piece->row->isHit(), 'is-dead' => $piece->row->outcome->isLethal])
            transform="{{ $piece->tile->move() }}" @if ($piece->lines === []) aria-label="{{ $piece->name() }}" @endif
            data-reading="{{ $piece->reading($tray->unit) }}">
            <rect class="ground" width="{{ $piece->tile->width }}" height="{{ $piece->tile->height }}" rx="{{ $piece->tile->radius() }}"/>
            <rect class="tint fill-{{ $piece->row->tone->value ?? 'none' }}" width="{{ $piece->tile->width }}"
                height="{{ $piece->tile->height }}" rx="{{ $piece->tile->radius() }}"/>
            @if ($piece->row->outcome->isLethal)<rect width="{{ $piece->tile->width }}" height="{{ $piece->tile->height }}"
                rx="{{ $piece->tile->radius() }}" fill="url(#dead-{{ $tray->width }})"/>@endif
            <rect class="edge" x="1.5" y="1.5" width="{{ round(max(0, $piece->tile->width - 3), 2) }}"
                height="{{ round(max(0, $piece->tile->height - 3), 2) }}" rx="{{ $piece->tile->radius(11) }}"/>
            @if ($piece->share !== '')
                <text class="share" x="{{ $piece->size < 14 ? 8 : 11 }}" y="24" font-size="{{ $piece->size }}">{{ $piece->share }}</text>
            @endif
            @foreach ($piece->lines as $k => $line)
                <text x="11" y="{{ 45 + 17 * $k }}" font-size="14" font-weight="550">{{ $line }}</text>
            @endforeach
            @if ($piece->showsGenes)
                @foreach (array_slice($piece->row->marks, 0, $piece->marksThatFit()) as $k => $mark)
                    <g class="gene" transform="translate({{ 10 + 20 * $k }} {{ round($piece->tile->height - 26, 2) }})"
                        aria-hidden="true"><rect class="fill-{{ $mark->value }}" width="16" height="16" rx="8"/>
                    <text class="ink-{{ $mark->value }}" x="8" y="11.6">{{ strtoupper($mark->value[0]) }}</text></g>
                @endforeach
            @endif
            @if ($piece->showsSex())
                <text x="11" y="{{ 46 + 17 * count($piece->lines) }}" font-size="12.5">{{ $piece->sex() }}</text>
            @endif
            @if ($prints && $piece->drawing() !== null)
                <svg x="8" y="{{ round($piece->tile->height - ($piece->showsGenes ? 32 : 8) - $piece->drawing(), 2) }}"
                    width="{{ round($piece->tile->width - 16, 2) }}" height="{{ $piece->drawing() }}"
                    preserveAspectRatio="xMinYMid">
                    {!! $prints->inDrawing($piece->row->outcome->forms, $piece->tile->width > 240) !!}
                </svg>
            @endif
        </a>
    @endforeach
    @foreach ($tray->rests as $rest)
        <g @class(['scute', 'is-hit' => $rest['isHit']]) transform="{{ $rest['tile']->move() }}">
            <rect class="fill-none" width="{{ $rest['tile']->width }}" height="{{ $rest['tile']->height }}"
                rx="{{ $rest['tile']->radius() }}" opacity=".55"/>
            @if ($rest['isHit'])<rect class="edge" x="1.5" y="1.5" width="{{ round(max(0, $rest['tile']->width - 3), 2) }}"
                height="{{ round(max(0, $rest['tile']->height - 3), 2) }}" rx="{{ $rest['tile']->radius(11) }}"/>@endif
            @foreach ($rest['lines'] as $k => $line)
                <text class="ink-none" x="11" y="{{ 24 + 17 * $k }}" font-size="13">{{ $line }}</text>
            @endforeach
        </g>
    @endforeach
</svg>
