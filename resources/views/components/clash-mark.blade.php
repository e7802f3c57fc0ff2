@props(['animal', 'words' => 'conflict']) {{-- the mark of an animal whose records do not fit: it opens what may explain it in place --}}
<a class="tag dead" href="{{ route('animals.show', $animal) }}#puzzle" data-module="explain" data-address="{{ route('animals.puzzle', $animal) }}" data-title="{{ $animal->name }}">{{ $words }}</a>
