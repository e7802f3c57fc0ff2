<span {{ $attributes->class('beads') }}>
@foreach ($beads as $bead)
    @if ($named)
        <span class="named-bead">{!! $bead->svg('large', true) !!} {{ $bead->label }}</span>
    @else
        {!! $bead->svg() !!}
    @endif
@endforeach
</span>
