<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Animal;
use App\Models\Enums\Course;
use App\Models\Enums\Grade;
use App\Models\Observation;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Validation\Rule;

class ObservationRequest extends RecordRequest
{
    protected $errorBag = 'observation';

    protected function ability(): string
    {
        return 'log';
    }

    protected function subject(): Model
    {
        return $this->route('animal');
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'condition' => ['required', 'string', 'max:60'],
            'grade' => ['required', Rule::enum(Grade::class)],
            'on' => ['required', ...self::DAY],
            'place' => ['nullable', 'string', 'max:60'], 'decision' => ['nullable', Rule::enum(Course::class)],
            'note' => ['nullable', 'string', 'max:400'],
            'form_token' => ['nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'condition' => 'Say what was looked for, in at most 60 characters.',
            'grade' => 'Say how strong it is; “none” counts as well.',
            'place.max' => 'The place has more than 60 characters.', 'decision' => 'Choose watch, veterinarian or humane end, or none.',
            'note.max' => 'The note has more than 400 characters.',
        ] + self::DAY_MESSAGES;
    }

    public function addTo(Animal $animal): Observation
    {
        /** @var Observation */
        return $this->once($animal->observations(), $this->safe()->except('form_token'));
    }
}
