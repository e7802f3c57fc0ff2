<li>
    <form method="post" action="{{ route('racks.update', $rack) }}" class="rack-line">
        @csrf @method('put')
        <input type="hidden" name="version" value="{{ $rack->version }}">
        @foreach (['name', 'rows', 'columns'] as $name)
            <div class="field">
                <label for="{{ $name }}-{{ $rack->id }}">{{ ucfirst($name) }}</label>
                <input class="input" id="{{ $name }}-{{ $rack->id }}" name="{{ $name }}" value="{{ $typed($name) }}"
                    @if ($name === 'name') maxlength="60" @else inputmode="numeric" @endif
                    @if ($bag->has($name)) aria-invalid="true" aria-describedby="rack-{{ $rack->id }}-error" @endif>
            </div>
        @endforeach
        <button class="button" type="submit">Save</button>
    </form>
    <x-field-error :id="'rack-'.$rack->id.'-error'" :message="implode(' ', $bag->all()) ?: null"/>
    <div class="row-flow">
        <span class="soft small">{{ $rack->animals_count }} of {{ $rack->rows * $rack->columns }} tubs taken</span>
        <form class="ms-auto" method="post" action="{{ route('racks.destroy', $rack) }}">
            @csrf @method('delete')
            <button class="quiet" type="submit" aria-label="Remove {{ $rack->name }}">Remove</button>
        </form>
    </div>
</li>
