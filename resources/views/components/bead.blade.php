@props(['bead']) {{-- a locus as a capsule of two halves; the letters say what the gene does to the look. Shapes come from the page's defs --}}
@php
    $drawn = '';
    foreach ([[$bead->left, '#bead-left', 12, 1], [$bead->right, '#bead-right', 30, 21]] as [$half, $shape, $middle, $x]) {
        if ($half['effect'] === null || $half['fill'] <= 0) {
            continue;
        }
        $effect = $half['effect']->value;
        if ($half['fill'] < 1) {
            $height = round(20 * $half['fill'], 1);
            $drawn .= '<svg x="0" y="'.(21 - $height).'" width="42" height="'.$height.'" viewBox="0 '.(21 - $height).' 42 '.$height.'"><use href="'.$shape.'" class="fill-'.$effect.'"/></svg>';
        } else {
            $drawn .= '<use href="'.$shape.'" class="fill-'.$effect.'"/>';
        }
        $drawn .= '<text x="'.$middle.'" y="14.5" class="'.($half['fill'] < .6 ? 'half-text' : "ink-{$effect}").'">'.($half['fill'] < 1 ? '?' : $half['letter']).'</text>';
    }
@endphp
<svg {{ $attributes->class('bead') }} viewBox="0 0 42 22" role="img" aria-label="{{ $bead->label }}"><use href="#bead-left" class="empty"/><use href="#bead-right" class="empty"/>{!! $drawn !!}<use href="#bead-rim" class="rim"/></svg>
