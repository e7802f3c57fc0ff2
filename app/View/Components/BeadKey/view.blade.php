<details class="key-fold"><summary class="small">What the beads mean</summary>
<p class="key mt-1">
    @foreach ($lists->effects() as $effect)
        <span><svg class="bead" viewBox="0 0 42 22" aria-hidden="true">
            <use href="#bead"/><use href="#bead-left" class="fill-{{ $effect->value }}"/>
            <use href="#bead-right" class="fill-{{ $effect->value }}"/>
            <use href="#bead-rim"/>
        </svg> {{ $effect->value }}</span>
    @endforeach
    <span>{{ $sides ? 'Left half from the sire, right half from the dam. ' : '' }}Full: certain. Part: possible. Empty: normal. The
        letters name the gene; ? means more than one gene is possible.</span>
</p></details>
