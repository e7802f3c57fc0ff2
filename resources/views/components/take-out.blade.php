@props(['kind', 'record', 'label']) {{-- a quiet button that takes a record out; it can be undone --}}
<form method="post" action="{{ route('records.destroy', [$kind, $record->id]) }}" {{ $attributes->class('ms-auto') }}>@csrf @method('delete')<button class="quiet" type="submit" aria-label="take out: {{ $label }}">take out</button></form>
