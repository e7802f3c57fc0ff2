@props(['bead', 'class' => '']) {{-- a locus as a capsule of two halves --}}
{!! $bead->svg($class, $attributes->has('aria-hidden')) !!}
