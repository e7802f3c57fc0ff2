<x-station title="People" station="house">
    <x-house-tabs here="people"/>
    <div class="two">
        <section class="sheet">
            <div class="head"><h2>Who works here</h2></div>
            <ul class="plain">
                <li><strong>{{ $keeper->name }}</strong> <span class="tag">owner</span>
                    <span class="soft small">{{ $keeper->role->sentence() }}</span></li>
                @foreach ($people as $person)
                    <li class="row-flow"><span class="breaks"><strong>{{ $person->name }}</strong>
                        <span class="soft small">{{ $person->email }}</span></span>
                        <form method="post" action="{{ route('people.update', $person) }}" class="row-flow ms-auto">@csrf @method('put')
                            <select class="input slim" name="role"
                                aria-label="What {{ $person->name }} may do">@foreach ($lists->roles() as $role)<option
                                value="{{ $role->value }}"
                                @selected($person->role === $role)>{{ $role->value }}</option>@endforeach</select>
                            <button class="button slim" type="submit">Change</button></form>
                        <form method="post" action="{{ route('people.destroy', $person) }}">@csrf @method('delete')<button class="quiet"
                            type="submit" aria-label="remove {{ $person->name }}">Remove</button></form></li>
                @endforeach
            </ul>
            @if ($people->isEmpty())<p class="soft mt-2 mb-0">Only you so far. A helper can log feeding and weighing rounds from a phone
                without being able to change a genotype or a price.</p>@endif
        </section>
        <section class="sheet">
            <div class="head"><h2>Add a person</h2></div>
            <form method="post" action="{{ route('people.store') }}" class="stack" data-module="once">
                @csrf
                <x-field name="name" label="Name" :value="old('name')" maxlength="80" autocomplete="off"/>
                <x-field name="email" label="E-mail address" type="email" :value="old('email')" autocomplete="off"/>
                <x-field name="password" label="Password" type="password"
                    hint="At least 10 characters. Tell it to the person, who can change it." autocomplete="new-password"/>
                <x-choice name="role" label="May" :value="old('role', 'helper')" :options="$lists->roleOptions()"/>
                <div><button class="button main" type="submit">Add</button></div>
            </form>
        </section>
    </div>
</x-station>
