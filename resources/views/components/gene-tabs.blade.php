@props(['here']) {{-- the rooms of the genes --}}
<nav class="tabs no-print" aria-label="Genes">
    @foreach (['genes' => ['All genes', route('genes.index')], 'compare' => ['Compare', route('looks.compare')], 'design' => ['Design', route('looks.design')], 'confusions' => ['Masks and confusions', route('looks.confusions')], 'train' => ['Train', route('train')]] as $key => [$words, $link])
        <a href="{{ $link }}" @if ($here === $key) aria-current="page" @endif>{{ $words }}</a>
    @endforeach
</nav>
