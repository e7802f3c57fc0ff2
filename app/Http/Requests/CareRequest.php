<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Animal;
use App\Models\CareEntry;
use App\Models\Enums\CareKind;
use App\Models\Enums\FeedOutcome;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Validation\Rule;

/** One entry in the care log of one animal. */
class CareRequest extends RecordRequest
{
    protected $errorBag = 'care';

    protected function ability(): string
    {
        return 'log';
    }

    protected function subject(): Model
    {
        return $this->route('animal');
    }

    protected function prepareForValidation(): void
    {
        parent::prepareForValidation();
        $this->merge(['grams' => $this->opened()->house->grams($this->input('grams'))]);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(CareKind::class)],
            'on' => ['required', ...self::DAY],
            'grams' => ['nullable', 'required_if:kind,weight', 'integer', 'between:1,'.CareEntry::MOST_GRAMS],
            'outcome' => ['nullable', 'required_if:kind,feed', Rule::enum(FeedOutcome::class)],
            'prey' => ['nullable', 'string', 'max:60'],
            'words' => ['nullable', 'required_if:kind,note', 'string', 'max:2000'],
            'form_token' => ['nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kind' => 'Choose what to log.',
            'grams.required_if' => 'Give the weight in grams.',
            'grams' => 'The weight must be a whole number of grams from 1 to '.number_format(CareEntry::MOST_GRAMS).'.',
            'outcome' => 'Say whether the food was taken, refused or brought up again.',
            'prey.max' => 'The prey has more than 60 characters.',
            'words.required_if' => 'Write the note.',
            'words.max' => 'The text has more than 2,000 characters.',
        ] + self::DAY_MESSAGES;
    }

    public function log(Animal $animal): CareEntry
    {
        $kind = CareKind::from($this->validated('kind'));
        $entry = [
            'kind' => $kind,
            'on' => $this->validated('on'),
            'grams' => $kind === CareKind::Weight ? $this->validated('grams') : null,
            'outcome' => $kind === CareKind::Feed ? $this->validated('outcome') : null,
            'prey' => $kind === CareKind::Feed ? $this->validated('prey') : null,
            'words' => $this->validated('words'),
        ];

        /** @var CareEntry */
        return $this->once($animal->care(), $entry);
    }
}
