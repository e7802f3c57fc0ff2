<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Auth;
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

    /** @throws ValidationException when the two do not belong together */
    public function signIn(): void
    {
        if (! Auth::attempt($this->safe()->only(['email', 'password']), $this->boolean('remember'))) {
            throw ValidationException::withMessages(['email' => 'The address and the password do not belong together.']);
        }
        $this->session()->regenerate();
    }
}
