<x-door title="Sign in">
    <form method="post" action="{{ route('login.attempt') }}" class="stack" data-module="once">
        @csrf
        <x-field name="email" label="E-mail address" type="email" :value="old('email')" autocomplete="username" autofocus/>
        <x-field name="password" label="Password" type="password" autocomplete="current-password"/>
        <label class="switch"><input type="checkbox" name="remember" value="1" @checked(old('remember'))> Stay signed in on this
            device</label>
        <div><button class="button main" type="submit">Sign in</button></div>
    </form>
    <p class="soft small mb-0">Password lost? Whoever runs this installation sets a new one with <code>bin/destino password</code>.</p>
</x-door>
