<li>
    <form method="post" action="{{ route('racks.update', $rack) }}" class="rack-line">@csrf @method('put')<input type="hidden" name="version" value="{{ $rack->version }}">
        <div class="field"><label for="name-{{ $rack->id }}">Name</label><input class="input" id="name-{{ $rack->id }}" name="name" value="{{ $typed('name') }}" @if ($bag->has('name')) aria-invalid="true" aria-describedby="rack-{{ $rack->id }}-error" @endif maxlength="60"></div>
        <div class="field"><label for="rows-{{ $rack->id }}">Rows</label><input class="input" id="rows-{{ $rack->id }}" name="rows" value="{{ $typed('rows') }}" @if ($bag->has('rows')) aria-invalid="true" aria-describedby="rack-{{ $rack->id }}-error" @endif inputmode="numeric"></div>
        <div class="field"><label for="columns-{{ $rack->id }}">Columns</label><input class="input" id="columns-{{ $rack->id }}" name="columns" value="{{ $typed('columns') }}" @if ($bag->has('columns')) aria-invalid="true" aria-describedby="rack-{{ $rack->id }}-error" @endif inputmode="numeric"></div>
        <button class="button" type="submit">Save</button>
    </form>
    <x-field-error :id="'rack-'.$rack->id.'-error'" :message="implode(' ', $bag->all()) ?: null"/>
    <div class="row-flow"><span class="soft small">{{ $rack->animals_count }} of {{ $rack->rows * $rack->columns }} tubs taken</span>
        <form class="ms-auto" method="post" action="{{ route('racks.destroy', $rack) }}">@csrf @method('delete')<button class="quiet" type="submit" aria-label="take down {{ $rack->name }}">take down</button></form></div>
</li>
