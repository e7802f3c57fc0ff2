<x-station title="Racks" station="house">
    <x-slot:actions><a class="button" href="{{ route('animals.index', ['view' => 'rack']) }}"><x-icon name="grid"/>See the racks</a></x-slot:actions>
    <x-house-tabs here="racks"/>
    <div class="two">
        <section class="sheet">
            <div class="head"><h2>Your racks</h2></div>
            @if ($racks->isEmpty())<p class="soft mb-0">No racks yet. Build them as they stand in the room: rows from the top, tubs from the left. Then every animal has a place, and rounds follow it.</p>@endif
            <ul class="plain">
                @php($isOfRack = false)
                @foreach ($racks as $rack)
                    @php($bag = $errors->getBag("rack-{$rack->id}"))
                    @php($typed = fn (string $field) => $bag->isEmpty() ? $rack->{$field} : old($field, $rack->{$field}))
                    @php($isOfRack = $isOfRack || $bag->isNotEmpty())
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
                @endforeach
            </ul>
        </section>
        <section class="sheet">
            <div class="head"><h2>Build a rack</h2></div>
            <form method="post" action="{{ route('racks.store') }}" class="stack" data-module="once">
                @csrf
                <input type="hidden" name="form_token" value="{{ old('form_token', $token) }}">
                <x-field name="name" label="Name" :value="$isOfRack ? '' : old('name')" maxlength="60" placeholder="Rack A"/>
                <div class="two">
                    <x-field name="rows" label="Rows, from the top" :value="$isOfRack ? 5 : old('rows', 5)" inputmode="numeric"/>
                    <x-field name="columns" label="Tubs in a row" :value="$isOfRack ? 3 : old('columns', 3)" inputmode="numeric"/>
                </div>
                <div><button class="button main" type="submit">Build it</button></div>
            </form>
        </section>
    </div>
</x-station>
