<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

class SignInRequest extends FormRequest
{
    public function authorize(): bool
    {
        return true; // whoever knows the password; too many tries are turned away by the route
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'max:160'], 'password' => ['required', 'string', 'max:200']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['email' => 'Give your e-mail address.', 'password' => 'Give your password.'];
    }

    /**
     * An address that nobody has takes as much work as one with a wrong password: how long it takes tells nobody who signs in here.
     *
     * @throws ValidationException when the two do not belong together
     */
    public function signIn(): void
    {
        $password = (string) $this->validated('password');
        $person = User::query()->where('email', $this->validated('email'))->first();
        if (! Hash::check($password, $person->password ?? self::ofNobody()) || $person === null) {
            throw ValidationException::withMessages(['email' => 'Wrong email address or password.']);
        }
        if (Hash::needsRehash($person->password)) {
            DB::transaction(fn () => $person->update(['password' => $password]));
        }
        Auth::login($person, $this->boolean('remember'));
        $this->session()->regenerate();
    }

    /** A hash of the same cost, which no password has. */
    private static function ofNobody(): string
    {
        return sprintf('$2y$%02d$%s', (int) config('hashing.bcrypt.rounds', 12), str_repeat('.', 53));
    }
}
