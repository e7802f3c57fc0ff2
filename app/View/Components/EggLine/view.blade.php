@if ($drawn === null)
<svg {{ $attributes->class('egg-line') }} viewBox="0 0 {{ 22 * max(1, count($line->shells)) }} 26" role="img"
    aria-label="{{ $line->words() }}" style="width: {{ 1.05 * max(1, count($line->shells)) }}rem">
    @foreach ($line->shells as $i => $shell)<g class="egg is-{{ $shell['state']->value }}"
        transform="translate({{ 11 + 22 * $i }} 13)"><ellipse class="shell" rx="{{ $size($shell['state'])[0] }}"
        ry="{{ $size($shell['state'])[1] }}"/>@if ($sign($shell['state']))<path class="sign" d="{{ $sign($shell['state']) }}"/>@endif</g>
    @endforeach
</svg>
@else
<ul {{ $attributes->class('egg-row-large') }} aria-label="{{ $line->words() }}">
    @foreach ($line->shells as $shell)
        <li>@if ($shell['animal'])<a href="{{ route('animals.show', $shell['animal']) }}" class="hatched">{!! $drawn($shell['animal']) !!}
            <svg class="half-shell" viewBox="0 0 60 22" aria-hidden="true"><path
            d="M3 2l8 6l9 -6l10 6l10 -6l9 6l8 -6q2 18 -27 18t-27 -18z"/></svg>
            <span class="small">{{ $shell['animal']->name }}</span></a>
        @else<svg class="egg is-{{ $shell['state']->value }}" viewBox="-13 -15 26 30" role="img"
            aria-label="{{ $shell['number'] === null ? '' : "Egg {$shell['number']}: " }}{{ $shell['state']->words() }}"><ellipse
            class="shell" rx="{{ $size($shell['state'])[0] }}" ry="{{ $size($shell['state'])[1] }}"/>@if ($sign($shell['state']))<path
            class="sign" d="{{ $sign($shell['state']) }}"/>@endif @if ($shell['number'] !== null)<text class="number"
            y="1.5">{{ $shell['number'] }}</text>@endif</svg>@endif</li>
    @endforeach
</ul>
@endif
