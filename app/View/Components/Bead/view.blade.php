{!! $bead->svg($class, $attributes->has('aria-hidden')) !!}
