<x-station title="Your account" station="house">
    <x-slot:actions><form method="post" action="{{ route('logout') }}">@csrf<button class="button" type="submit"><x-icon
        name="box-arrow-right"/>Sign out</button></form></x-slot:actions>
    <x-house-tabs here="account"/>
    <div class="two">
        <section class="sheet">
            <div class="head"><h2>{{ $person->name }}</h2><span class="soft small">{{ $person->email }}, {{ $person->role->value }}:
                {{ $person->role->sentence() }}</span></div>
            <h3 class="mb-2">Another password</h3>
            <p class="soft small">Other devices have to sign in again with it, and your tokens and calendar links end.</p>
            <form method="post" action="{{ route('account.password') }}" class="stack" data-module="once">
                @csrf @method('put')
                <x-field name="current_password" label="Your password now" type="password" autocomplete="current-password"/>
                <x-field name="password" label="New password" type="password" hint="At least 10 characters." autocomplete="new-password"/>
                <x-field name="password_confirmation" label="New password again" type="password" autocomplete="new-password"/>
                <div><button class="button" type="submit">Change the password</button></div>
            </form>
        </section>
        <section class="sheet">
            <div class="head"><h2>Tokens for programs</h2></div>
            <p class="soft">A scale or a probe signs in with a token. It can do what you can do in the log, and nothing else: no records, no
                rules.</p>
            @if (session('token'))<p class="said" role="status">Copy it now: <code class="breaks">{{ session('token') }}</code></p>@endif
            <ul class="plain mb-3">
                @foreach ($tokens as $token)
                    <li class="row-flow"><strong>{{ $token->name }}</strong>
                        <span class="soft small">{{ implode(', ', $token->abilities) }};
                        {{ $token->last_used_at ? 'last used '.$token->last_used_at->format('j M Y H:i') : 'not used yet' }}</span>
                        <form class="ms-auto" method="post" action="{{ route('tokens.destroy', $token->id) }}">@csrf
                            @method('delete')<button class="quiet" type="submit"
                            aria-label="revoke {{ $token->name }}">Revoke</button></form></li>
                @endforeach
            </ul>
            <form method="post" action="{{ route('tokens.store') }}" class="stack" data-module="once">
                @csrf
                <x-field name="token_name" label="What it is for" :value="old('token_name')" maxlength="60"
                    placeholder="scale in the snake room"/>
                <div><button class="button" type="submit">Make a token</button></div>
            </form>
            <h3 class="mt-4 mb-2">The season in your calendar</h3>
            <p class="soft">A private link that a calendar on your phone follows: what happened, what is to be expected and when, and
                reviews. Whoever has the link sees these and nothing else; revoke it above like a token.</p>
            @if (session('calendar'))<p class="said" role="status">Copy it now:
                <code class="breaks">{{ session('calendar') }}</code></p>@endif
            <form method="post" action="{{ route('tokens.calendar') }}" data-module="once">@csrf<button class="button" type="submit">Make a
                calendar link</button></form>
        </section>
    </div>
</x-station>
