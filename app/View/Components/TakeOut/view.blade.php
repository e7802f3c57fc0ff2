<form method="post" action="{{ route('records.destroy', [$kind, $record->id]) }}" {{ $attributes->class('ms-auto') }}>
    @csrf @method('delete')
    <button class="quiet" type="submit" aria-label="remove {{ $label }}">Remove</button>
</form>
