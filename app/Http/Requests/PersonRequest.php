<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Enums\Role;
use App\Models\User;
use App\People\SafePassword;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;

/** Somebody who works in the collection of its owner. */
class PersonRequest extends RecordRequest
{
    public const MESSAGES = [
        'name' => 'Give a name of at most 80 characters.', 'email.unique' => 'Somebody signs in with this address already.',
        'email' => 'Give an e-mail address; it is only used to sign in.',
        'password.confirmed' => 'The passwords do not match.', 'password.max' => 'A password has at most 200 characters.',
        'password.required' => 'Give a password.', 'role' => 'Choose what this person may do.',
    ];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'], 'email' => ['required', 'email', 'max:160', 'unique:users'],
            'password' => ['required', 'max:200', 'string', new SafePassword],
            'role' => ['required', Rule::in([Role::Helper->value, Role::Viewer->value])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return self::MESSAGES;
    }

    public function addTo(User $keeper): User
    {
        return DB::transaction(fn (): User => User::create($this->validated() + ['owner_id' => $keeper->id]));
    }
}
