<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Enums\Right;
use App\Models\Price;
use App\Models\User;
use Closure;
use Illuminate\Validation\Validator;

/** A line of the price book. */
class PriceRequest extends RecordRequest
{
    use ReadsMoney;

    protected $errorBag = 'price';

    protected function ability(): string
    {
        return Right::Money->ability();
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'target' => ['required', 'string', 'max:400', function (string $attribute, mixed $value, Closure $fail): void {
                [, $faults] = $this->opened()->shelf->targetsWithChoices()->readAll((string) $value);
                $faults === [] ?: $fail($faults[0]->getMessage());
            }],
            'low' => ['required', 'string', 'max:30', $this->amount()], 'high' => ['nullable', 'string', 'max:30', $this->amount()],
            'note' => ['nullable', 'string', 'max:200'], 'form_token' => ['nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'target.required' => 'Say of which look, such as “Clown, female”.', 'low.required' => 'Give a price.',
            'note.max' => 'The note has more than 200 characters.',
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($validator->errors()->isEmpty() && $this->minor('high') !== null && $this->minor('high') < $this->minor('low')) {
                $validator->errors()->add('high', 'The upper price is less than the lower.');
            }
        });
    }

    public function addTo(User $keeper): Price
    {
        /** @var Price */
        return $this->once($keeper->prices(), [
            'target' => trim((string) $this->validated('target')), 'low' => $this->minor('low'),
            'high' => $this->minor('high') ?? $this->minor('low'),
            'note' => $this->validated('note'),
        ]);
    }
}
