<li><a class="card-link" href="{{ route('genes.show', $allele->key) }}">
    {!! $prints->loose($gallery->ofForms([$shown($allele)])) !!}
    <span class="title">{{ $allele->name }} <x-bead :bead="$bead($catalogue->oneCopy($allele))" aria-hidden="true"/></span>
    @if (isset($owned[$allele->key]) && $name === 'all')<span><span class="tag">in your collection</span></span>@endif
    <span class="soft small">{{ $allele->inheritance->words($house->saysCoDominant()) }}<span class="at-desk"> ·
        {{ $allele->effect->value }}{{ $catalogue->locus($allele->locus)->isComplex()
        ? ' · '.$catalogue->locus($allele->locus)->name : '' }}</span></span>
    <span class="small at-desk">{{ $allele->summary }}</span>
    @if ($catalogue->twoCopies($allele)->isLethal())<span><span class="tag dead">two copies do not live</span></span>@endif
</a></li>
