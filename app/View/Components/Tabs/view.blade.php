<nav class="tabs no-print" aria-label="{{ $label() }}">
    @foreach ($rooms() as $room => [$words, $address])
        <a href="{{ $address }}" @if ($here === $room) aria-current="page" @endif>{{ $words }}</a>
    @endforeach
</nav>
