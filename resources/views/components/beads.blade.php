@props(['beads', 'named' => false]) {{-- the beads of one animal or outcome; with named, each beside its words --}}
<span {{ $attributes->class('beads') }}>
@foreach ($beads as $bead)
    @if ($named)
        <span class="named-bead"><x-bead :bead="$bead" class="large" aria-hidden="true"/> {{ $bead->label }}</span>
    @else
        <x-bead :bead="$bead"/>
    @endif
@endforeach
</span>
