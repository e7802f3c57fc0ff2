<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Middleware\EnterCollection;
use App\Models\User;
use App\People\SafePassword;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\DB;

/** The first start makes the owner, and only somebody at this machine can. */
class FirstStartRequest extends FormRequest
{
    public function authorize(): bool
    {
        return EnterCollection::isHere($this) && ! User::hasBegun();
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'], 'email' => ['required', 'email', 'max:160', 'unique:users'],
            'password' => ['required', 'confirmed', 'max:200', 'string', new SafePassword],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return PersonRequest::MESSAGES;
    }

    public function makeOwner(): User
    {
        return DB::transaction(fn (): User => User::begin($this->validated()));
    }
}
