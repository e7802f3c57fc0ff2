<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Catalogue\CatalogueShelf;
use App\Collection\Numbering;
use App\House\Choices;
use App\House\House;
use App\House\Stances;
use App\Models\HouseRules;
use App\Models\User;
use Closure;
use Destino\Genome\Catalogue;
use Destino\Pairing\Advice\Stance;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** The choices of the house. Only what differs from the defaults is kept. */
class HouseRequest extends RecordRequest
{
    /** @return array<string, mixed> */
    public function rules(CatalogueShelf $shelf): array
    {
        $catalogue = $shelf->catalogue();
        $isPattern = function (string $attribute, mixed $value, Closure $fail): void {
            if (! Numbering::isPattern((string) $value)) {
                $fail('A pattern holds one counter such as {000}, and may hold {year} or {yy}.');
            }
        };
        $rules = [
            'currency' => ['nullable', 'string', 'max:6'], 'number_pattern' => ['nullable', 'string', 'max:30', $isPattern],
            'version' => ['nullable', 'integer'], 'schools' => ['array'], 'stances' => ['array'], 'lines' => ['array'],
        ];
        foreach (Choices::simple() as $key => $choice) {
            $rules[$key] = ['nullable', Rule::in(array_keys($choice['options']))];
        }
        foreach (Choices::numbers() as $key => $number) {
            $rules[$key] = ['nullable', 'integer', "between:{$number['min']},{$number['max']}"];
        }
        foreach ($catalogue->claims as $claim) {
            $rules["schools.{$claim->key}"] = ['nullable', $this->school($catalogue, $claim->key)];
        }
        foreach (array_keys(Stances::all($catalogue)) as $key) {
            $rules["stances.{$key}"] = ['nullable', Rule::enum(Stance::class)];
        }
        foreach ($catalogue->sharedLines() as $shared) {
            $rules["lines.{$shared->name}"] = ['nullable', Rule::in($shared->choices)];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $messages = [
            'currency' => 'A currency has at most 6 characters.', 'schools.*' => 'Choose one of the options.',
            'stances.*' => 'Choose inform, warn or refuse.', 'lines.*' => 'That is not one of the lines.',
        ];
        foreach (Choices::numbers() as $key => $number) {
            $messages[$key] = "Enter a number from {$number['min']} to {$number['max']}.";
        }

        return $messages;
    }

    /** @throws ValidationException when the rules were changed in another window since this form was opened */
    public function change(User $keeper): void
    {
        DB::transaction(function () use ($keeper): void {
            $rules = HouseRules::query()->lockForUpdate()->where('user_id', $keeper->id)->first();
            $this->holdAgainst($rules->version ?? 0, 'The rules were changed while you were editing.');
            $rules ??= new HouseRules;
            $rules->user_id = $keeper->id;
            $rules->version = ($rules->exists ? $rules->version : 0) + 1;
            $rules->choices = $this->chosen();
            $rules->save();
        });
    }

    /** @return array<string, mixed> */
    private function chosen(): array
    {
        $chosen = [];
        foreach (array_keys(Choices::simple()) as $key) {
            $chosen[$key] = $this->validated($key);
        }
        foreach (Choices::numbers() as $key => $number) {
            $value = $this->validated($key);
            $chosen[$key] = $value === null || (int) $value === $number['default'] ? null : (int) $value;
        }
        foreach (['schools', 'stances', 'lines'] as $key) {
            $chosen[$key] = array_filter(
                (array) ($this->validated($key) ?? []), fn (mixed $value): bool => is_string($value) && $value !== '',
            );
        }
        foreach (Choices::simple() as $key => $choice) {
            $chosen[$key] = $chosen[$key] === $choice['default'] ? null : $chosen[$key];
        }
        $plain = new House;
        $chosen['currency'] = $this->validated('currency') === $plain->currency() ? null : $this->validated('currency');
        $chosen['number_pattern'] = $this->validated('number_pattern') === $plain->numberPattern()
            ? null
            : $this->validated('number_pattern');

        return array_filter($chosen, fn (mixed $value): bool => $value !== null && $value !== '' && $value !== []);
    }

    private function school(Catalogue $catalogue, string $claim): Closure
    {
        return function (string $attribute, mixed $value, Closure $fail) use ($catalogue, $claim): void {
            if (is_string($value) && $value !== '' && ! isset($catalogue->claims[$claim]->schools[$value])) {
                $fail('Choose one of the options.');
            }
        };
    }
}
