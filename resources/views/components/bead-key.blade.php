@props(['sides' => true]) {{-- what the colours and letters of the beads mean --}}
<p class="key">
    @foreach (Destino\Genome\Effect::cases() as $effect)
        <span><svg class="bead" viewBox="0 0 42 22" aria-hidden="true"><path class="fill-{{ $effect->value }}" d="M21 1 H11 A10 10 0 0 0 11 21 H21 Z"/><text class="ink-{{ $effect->value }}" x="12" y="14.5">{{ strtoupper($effect->value[0]) }}</text><path class="rim" d="M11 1 H31 A10 10 0 0 1 31 21 H11 A10 10 0 0 1 11 1 Z M21 1 V21"/></svg> {{ $effect->value }}</span>
    @endforeach
    <span>{{ $sides ? 'Left half from the sire, right half from the dam. ' : '' }}Full: sure. Partly filled: a chance. Empty: wild type.</span>
</p>
