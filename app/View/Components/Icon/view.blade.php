<svg {{ $attributes }} viewBox="0 0 16 16" fill="currentColor" @if ($label) role="img" aria-label="{{ $label }}" @else aria-hidden="true"
    @endif>{!! $paths !!}</svg>
