@props(['bead']) {{-- a locus as a capsule of two halves; the letters say what the gene does to the look --}}
<svg {{ $attributes->class('bead') }} viewBox="0 0 42 22" role="img" aria-label="{{ $bead->label }}">
    @foreach ([[$bead->left, 1, 'M21 1 H11 A10 10 0 0 0 11 21 H21 Z'], [$bead->right, 21, 'M21 1 H31 A10 10 0 0 1 31 21 H21 Z']] as $i => [$half, $x, $path])
        @php($id = 'b'.substr(md5($bead->label.$i.$half['fill'].$half['letter']), 0, 8))
        <path class="empty" d="{{ $path }}"/>
        @if ($half['effect'] !== null && $half['fill'] > 0)
            @if ($half['fill'] < 1)
                <clipPath id="{{ $id }}"><rect x="{{ $x }}" y="{{ 1 + 20 * (1 - $half['fill']) }}" width="20" height="{{ 20 * $half['fill'] }}"/></clipPath>
                <path class="fill-{{ $half['effect']->value }}" d="{{ $path }}" clip-path="url(#{{ $id }})"/>
            @else
                <path class="fill-{{ $half['effect']->value }}" d="{{ $path }}"/>
            @endif
            <text class="{{ $half['fill'] < .6 ? 'half-text' : 'ink-'.$half['effect']->value }}" x="{{ $x + ($i === 0 ? 11 : 9) }}" y="14.5">{{ $half['fill'] < 1 ? '?' : $half['letter'] }}</text>
        @endif
    @endforeach
    <path class="rim" d="M11 1 H31 A10 10 0 0 1 31 21 H11 A10 10 0 0 1 11 1 Z M21 1 V21"/>
</svg>
