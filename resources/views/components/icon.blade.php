{{-- an icon of the shipped set; decorative unless it has a label --}}
<svg {{ $attributes }} viewBox="0 0 16 16" fill="currentColor" @if ($label) role="img" aria-label="{{ $label }}" @else aria-hidden="true" @endif>{!! $paths !!}</svg>
