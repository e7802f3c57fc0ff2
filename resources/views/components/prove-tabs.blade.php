@props(['here']) {{-- the rooms of proving --}}
<nav class="tabs no-print" aria-label="Prove">
    @foreach (['desk' => ['The desk', route('prove')], 'luck' => ['Luck', route('luck')]] as $key => [$words, $link])
        <a href="{{ $link }}" @if ($here === $key) aria-current="page" @endif>{{ $words }}</a>
    @endforeach
</nav>
