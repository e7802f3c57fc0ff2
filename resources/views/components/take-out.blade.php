@props(['kind', 'record', 'label']) {{-- a quiet button that removes a record; it can be undone --}}
<form method="post" action="{{ route('records.destroy', [$kind, $record->id]) }}" {{ $attributes->class('ms-auto') }}>@csrf @method('delete')<button class="quiet" type="submit" aria-label="remove {{ $label }}">remove</button></form>
