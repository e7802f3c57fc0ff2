<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Incubator;
use App\Models\User;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Validator;

/** An incubator with its limits; temperatures are typed in the house's unit and kept in °C. */
class IncubatorRequest extends RecordRequest
{
    private const TEMPERATURES = ['celsius' => 'what it is set to', 'low' => 'the least that is right', 'high' => 'the most that is right'];

    protected function subject(): ?Model
    {
        return $this->route('incubator');
    }

    protected function records(): HasMany
    {
        return $this->opened()->keeper()->incubators();
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $warmth = function (string $attribute, mixed $value, Closure $fail): void {
            $celsius = is_string($value) ? $this->opened()->house->celsius($value) : null;
            if ($celsius === null || $celsius < 20 || $celsius > 40) {
                $house = $this->opened()->house;
                $fail("Give a temperature between {$house->temperature(20)} and {$house->temperature(40)}.");
            }
        };

        return array_fill_keys(array_keys(self::TEMPERATURES), ['required', 'string', $warmth]) + [
            'name' => ['required', 'string', 'max:60'], 'place' => ['nullable', 'string', 'max:60'],
            'humid_low' => ['nullable', 'integer', 'between:0,99', 'required_with:humid_high'],
            'humid_high' => ['nullable', 'integer', 'between:1,100', 'required_with:humid_low'],
            'notes' => ['nullable', 'string', 'max:1000'], 'form_token' => ['nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name' => 'Give the incubator a name of at most 60 characters.',
            'place.max' => 'The name of the place has more than 60 characters.',
            'humid_low' => 'Give both limits of the humidity as whole percents, or none.',
            'humid_high' => 'Give both limits of the humidity as whole percents, or none.',
            'notes.max' => 'The notes have more than 1,000 characters.',
            'celsius.required' => 'Give '.self::TEMPERATURES['celsius'].'.', 'low.required' => 'Give '.self::TEMPERATURES['low'].'.',
            'high.required' => 'Give '.self::TEMPERATURES['high'].'.',
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            $values = $this->values();
            $values['low'] < $values['high'] || $validator->errors()->add('high', 'The most that is right must be more than the least.');
            if ($values['celsius'] < $values['low'] || $values['celsius'] > $values['high']) {
                $validator->errors()->add('celsius', 'What it is set to lies outside what is right.');
            }
            if ($values['humid_low'] !== null && $values['humid_low'] >= $values['humid_high']) {
                $validator->errors()->add('humid_high', 'The most that is right must be more than the least.');
            }
            $own = $this->route('incubator');
            $other = $this->user()?->keeper()->incubators()->where('place', $values['place'])
                ->when($own instanceof Incubator, fn ($query) => $query->whereKeyNot($own))->first();
            $other === null || $validator->errors()->add('place', "The probe of {$other->name} sends from there already.");
        });
    }

    public function addTo(User $keeper): Incubator
    {
        /** @var Incubator */
        return $this->once($keeper->incubators(), $this->values());
    }

    public function change(Incubator $incubator): void
    {
        DB::transaction(fn () => $incubator->update($this->values()));
    }

    /** @return array<string, mixed> */
    private function values(): array
    {
        $whole = fn (string $field): ?int => $this->input($field) === null ? null : (int) $this->input($field);
        $values = [
            'name' => $this->input('name'), 'place' => $this->input('place') ?? $this->input('name'), 'notes' => $this->input('notes'),
        ];
        foreach (array_keys(self::TEMPERATURES) as $field) {
            $values[$field] = round((float) $this->opened()->house->celsius((string) $this->input($field)), 2);
        }

        return $values + ['humid_low' => $whole('humid_low'), 'humid_high' => $whole('humid_high')];
    }
}
