<x-station title="Racks" station="house">
    <x-slot:actions><a class="button" href="{{ route('animals.index', ['view' => 'rack']) }}"><x-icon name="grid"/>See the
        racks</a></x-slot:actions>
    <x-house-tabs here="racks"/>
    <div class="two">
        <section class="sheet">
            <div class="head"><h2>Your racks</h2></div>
            @if ($racks->isEmpty())<p class="soft mb-0">No racks yet. Build them as they stand in the room: rows from the top, tubs from the
                left. Then every animal has a place, and rounds follow it.</p>@endif
            <ul class="plain">
                @foreach ($racks as $rack)<x-rack-line :rack="$rack"/>@endforeach
            </ul>
        </section>
        <section class="sheet">
            <div class="head"><h2>Add a rack</h2></div>
            <form method="post" action="{{ route('racks.store') }}" class="stack" data-module="once">
                @csrf
                <input type="hidden" name="form_token" value="{{ old('form_token', $token) }}">
                <x-field name="name" label="Name" :value="$isOfRack ? '' : old('name')" maxlength="60" placeholder="Rack A"/>
                <div class="two">
                    <x-field name="rows" label="Rows, from the top" :value="$isOfRack ? 5 : old('rows', 5)" inputmode="numeric"/>
                    <x-field name="columns" label="Tubs in a row" :value="$isOfRack ? 3 : old('columns', 3)" inputmode="numeric"/>
                </div>
                <div><button class="button main" type="submit">Add rack</button></div>
            </form>
        </section>
    </div>
</x-station>
