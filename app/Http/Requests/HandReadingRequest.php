<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\House\House;
use App\House\WallClock;
use App\Models\Incubator;
use App\Models\Reading;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** What was read off by hand: a temperature, a humidity or both. */
class HandReadingRequest extends RecordRequest
{
    protected $errorBag = 'reading';

    protected function ability(): string
    {
        return 'log';
    }

    protected function subject(): Model
    {
        return $this->route('incubator');
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'temperature' => ['nullable', 'required_without:humidity', 'string',
                function (string $attribute, mixed $value, Closure $fail): void {
                $house = $this->opened()->house;
                $celsius = is_string($value) ? $house->celsius($value) : null;
                if ($celsius === null || $celsius < -20 || $celsius > 60) {
                    $fail(self::likely(is_string($value) ? $value : '', $house)
                        ."Give a temperature between {$house->temperature(-20)} and {$house->temperature(60)}.");
                }
            }],
            'humidity' => ['nullable', 'numeric', 'between:0,100'],
            'at' => ['bail', 'nullable', 'string', 'date', 'after:2000-01-01',
                function (string $attribute, mixed $value, Closure $fail): void {
                $at = WallClock::typed((string) $value);
                if ($at === null) {
                    $fail('Give the day and the time.');
                } elseif ($at->isAfter(Carbon::now()->addMinutes(5))) {
                    $fail('The time lies in the future.');
                }
            }], 'form_token' => ['required', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'temperature.required_without' => 'Give a temperature, a humidity or both.',
            'humidity' => 'The humidity is a percentage from 0 to 100.',
            'at.date' => 'Give the day and the time.', 'at.string' => 'Give the day and the time.',
            'at.after' => 'Give the day and the time.',
        ];
    }

    /** "315" is 31.5 without its point. */
    private static function likely(string $typed, House $house): string
    {
        $celsius = $house->celsius($typed);
        $tenth = preg_match('/\d+/', $typed, $digits) === 1 ? $house->celsius(number_format((int) $digits[0] / 10, 1)) : null;

        return $celsius === null || $tenth === null || $celsius <= 60 || $tenth < 20 || $tenth > 40 ? ''
            : "{$house->temperature($celsius)} is too hot for eggs. Did you mean {$house->temperature($tenth)}? ";
    }

    public function addTo(Incubator $incubator): int
    {
        $at = ($this->validated('at') === null ? null : WallClock::typed((string) $this->validated('at'))) ?? Carbon::now();
        $values = array_filter([
            'temperature' => $this->validated('temperature') === null ? null : $this->opened()->house
                ->celsius($this->validated('temperature')),
            'humidity' => $this->validated('humidity'),
        ], fn (mixed $value): bool => $value !== null);

        return DB::transaction(function () use ($incubator, $at, $values): int {
            $readings = $this->user()->keeper()->readings();
            foreach ($values as $kind => $value) {
                $token = Str::isUuid($this->validated('form_token'))
                    ? substr_replace((string) $this->validated('form_token'), $kind === 'humidity' ? '0' : '1', -1)
                    : null;
                Reading::unguarded(fn (): Reading => $readings->createOrFirst(['token' => $token], [
                    'place' => $incubator->place, 'kind' => $kind, 'value' => $value, 'at' => $at,
                    'created_at' => $at->copy()->tz(date_default_timezone_get()), // known when it was read off: no clock is wrong where it is typed in later
                ]));
            }

            return count($values);
        });
    }
}
