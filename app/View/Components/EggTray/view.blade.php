<svg {{ $attributes->class('egg-tray') }} viewBox="0 0 {{ $wide }} {{ $deep }}" role="group"
    aria-label="The box with {{ $tray->eggs->count() }} eggs">
    <rect class="box" x="1" y="1" width="{{ $wide - 2 }}" height="{{ $deep - 2 }}" rx="7"/>
    <path class="grain" d="{{ $grain() }}"/>
    @foreach ($clumps() as $points)<polyline class="clump" points="{{ $points }}"/>@endforeach
    @foreach ($tray->eggs as $egg)
        <a href="{{ route('eggs', [$egg->clutch_id, 'egg' => $egg->id]) }}#egg" class="egg is-{{ $egg->state()->value }}"
            @if ($isInHand($egg)) aria-current="true" @endif aria-label="{{ $tray->words($egg) }}"
            data-egg="{{ route('eggs.update', $egg) }}" transform="translate({{ implode(' ', $at($egg)) }})">
            <title>{{ $tray->words($egg) }}</title>
            @if ($isInHand($egg))<ellipse class="halo" rx="12" ry="14.5"/>@endif
            <ellipse class="shell" rx="{{ $size($egg)[0] }}" ry="{{ $size($egg)[1] }}"/>
            @if ($sign($egg))<path class="sign" d="{{ $sign($egg) }}"/>@endif
            @if ($egg->marked)<path class="top" d="M-2.5 {{ 2.5 - $size($egg)[1] }}h5"/>@endif
            @foreach ($egg->troubles() as $i => $kind)<path class="trouble" transform="translate({{ -6 + 6 * $i }} -7)"
                d="{{ $trouble($kind) }}"/>@endforeach
            <text class="number" y="1.5">{{ $egg->number }}</text>
        </a>
    @endforeach
</svg>
