<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Enums\Right;
use App\Models\User;
use App\People\SafePassword;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** One's own account: the password, and tokens for programs. */
class AccountController extends Controller
{
    public function show(#[CurrentUser] User $person): View
    {
        $this->authorize('read');

        return view('people.account', ['person' => $person, 'tokens' => $person->tokens()->orderBy('name')->get()]);
    }

    /** Asked by whoever stands before the server (App\Front), when somebody wants to send much: whether he is signed in. */
    public function maySend(): Response
    {
        $this->authorize('read');

        return response()->noContent();
    }

    public function password(Request $request, #[CurrentUser] User $person): RedirectResponse
    {
        $this->authorize('read');
        $valid = $request->validate([
            'current_password' => ['required', 'current_password'],
            'password' => ['required', 'confirmed', 'max:200', 'string', new SafePassword($person->email)],
        ],
        [
            'current_password' => 'Your current password is wrong.', 'password.confirmed' => 'The two new passwords differ.',
            'password.required' => 'Give a new password.', 'password.max' => 'A password has at most 200 characters.',
        ]);
        Auth::logoutOtherDevices($valid['current_password']);
        DB::transaction(function () use ($person, $valid): void {
            $person->update(['password' => $valid['password']]);
            $person->tokens()->delete(); // whoever learned the old password may have made one
        });
        $request->session()->regenerate();

        return redirect()->route('account')->with(
            'said', 'Your password is changed. Other devices have to sign in again; tokens and calendar links open nothing any more.',
        );
    }

    public function token(Request $request, #[CurrentUser] User $person): RedirectResponse
    {
        $this->authorize('read');
        $valid = $request->validate(
            ['token_name' => ['required', 'string', 'max:60']],
            ['token_name' => 'Say what the token is for, in at most 60 characters.'],
        );
        $abilities = array_keys(array_filter(['read' => true, 'log' => $person->has(Right::Log)]));
        $token = DB::transaction(fn () => $person->createToken($valid['token_name'], $abilities));

        return redirect()->route('account')
            ->with('said', 'The token is below. It is shown this once.')
            ->with('token', $token->plainTextToken);
    }

    public function calendar(#[CurrentUser] User $person): RedirectResponse
    {
        $this->authorize('read');
        $token = DB::transaction(fn () => $person->createToken('calendar, made '.now()->format('j M Y'), ['calendar']));
        $link = route('api.calendar', ['token' => Str::after($token->plainTextToken, '|')]);

        return redirect()->route('account')->with('said', 'The link is below. It is shown this once.')->with('calendar', $link);
    }

    public function revoke(int $token, #[CurrentUser] User $person): RedirectResponse
    {
        $this->authorize('read');
        $found = $person->tokens()->findOrFail($token);
        DB::transaction(fn () => $found->delete());

        return redirect()->route('account')->with('said', "Token “{$found->getAttribute('name')}” revoked.");
    }
}
