<p class="key">
    @foreach ($lists->effects() as $effect)
        <span><svg class="bead" viewBox="0 0 42 22" aria-hidden="true">
            <use href="#bead"/><use href="#bead-left" class="fill-{{ $effect->value }}"/>
            <use href="#bead-right" class="fill-{{ $effect->value }}"/>
            <use href="#bead-rim"/>
        </svg> {{ $effect->value }}</span>
    @endforeach
    <span>{{ $sides ? 'Left half from the sire, right half from the dam. ' : '' }}Full: sure. Partly filled: a chance. Empty: wild type.
        Two letters of the gene; ? where several may lie there.</span>
</p>
