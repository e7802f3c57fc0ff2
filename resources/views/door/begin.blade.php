<x-door title="Create your account">
    @if ($isHere)
        <p class="soft mb-0">The first account owns the collection. Helpers and viewers can be added later. The address is only used to sign
            in: Destino sends no mail and asks no other host.</p>
        <form method="post" action="{{ route('begin.store') }}" class="stack" data-module="once">
            @csrf
            <x-field name="name" label="Your name" :value="old('name')" maxlength="80" autocomplete="name"/>
            <x-field name="email" label="E-mail address" type="email" :value="old('email')" autocomplete="username"/>
            <x-field name="password" label="Password" type="password" hint="At least 10 characters; a few words are good."
                autocomplete="new-password"/>
            <x-field name="password_confirmation" label="The password again" type="password" autocomplete="new-password"/>
            <div><button class="button main" type="submit">Begin</button></div>
        </form>
    @else
        <p class="mb-0">This installation has no owner yet. The first account can only be made at the machine on which Destino runs.</p>
    @endif
</x-door>
