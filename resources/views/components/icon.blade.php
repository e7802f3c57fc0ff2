@props(['name', 'label' => null]) {{-- an icon of the shipped set; decorative unless it has a label --}}
@php
    static $icons = [];
    $icons[$name] ??= is_file(public_path("vendor/icons/{$name}.svg")) ? preg_replace(['/<svg[^>]*>/', '/<\/svg>/'], '', file_get_contents(public_path("vendor/icons/{$name}.svg"))) : '';
@endphp
<svg {{ $attributes }} viewBox="0 0 16 16" fill="currentColor" @if ($label) role="img" aria-label="{{ $label }}" @else aria-hidden="true" @endif>{!! $icons[$name] !!}</svg>
