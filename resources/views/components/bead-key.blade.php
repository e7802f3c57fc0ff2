@props(['sides' => true]) {{-- what the colours and letters of the beads mean --}}
<p class="key">
    @foreach (Destino\Genome\Effect::cases() as $effect)
        <span><svg class="bead" viewBox="0 0 42 22" aria-hidden="true"><use href="#bead-left" class="fill-{{ $effect->value }}"/><use href="#bead-right" class="empty"/><text class="ink-{{ $effect->value }}" x="12" y="14.5">{{ strtoupper($effect->value[0]) }}</text><use href="#bead-rim" class="rim"/></svg> {{ $effect->value }}</span>
    @endforeach
    <span>{{ $sides ? 'Left half from the sire, right half from the dam. ' : '' }}Full: sure. Partly filled: a chance. Empty: wild type.</span>
</p>
