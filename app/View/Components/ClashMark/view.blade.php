<a class="tag dead" href="{{ route('animals.show', $animal) }}#puzzle" data-module="clash-mark"
    data-address="{{ route('animals.puzzle', $animal) }}" data-title="{{ $animal->name }}">{{ $words }}</a>
