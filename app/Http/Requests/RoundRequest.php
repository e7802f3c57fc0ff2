<?php

namespace App\Http\Requests;

use App\Models\Animal;
use App\Models\Enums\CareKind;
use App\Models\Enums\FeedOutcome;
use App\Models\User;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** One round through the rack: a weight or a meal for many animals at once. Rows left empty are left alone. */
class RoundRequest extends FormRequest
{
    use InCollection;

    public function authorize(): Response
    {
        return Gate::inspect('log');
    }

    protected function prepareForValidation(): void
    {
        if ($this->kind() === CareKind::Weight && is_array($this->input('rows'))) {
            $this->merge(['rows' => array_map($this->opened()->house->grams(...), $this->input('rows'))]);
        }
    }

    public function kind(): CareKind
    {
        return CareKind::from((string) $this->route('kind'));
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'on' => ['required', 'date_format:Y-m-d', 'before_or_equal:today', 'after:1980-01-01'],
            'prey' => ['nullable', 'string', 'max:60'],
            'form_token' => ['required', 'uuid'],
            'rows' => ['required', 'array', 'max:2000'],
            'rows.*' => [
                'nullable',
                ...(
                    $this->kind() === CareKind::Weight
                        ? ['integer', 'between:1,'.CareRequest::MOST_GRAMS]
                        : [Rule::enum(FeedOutcome::class)]
                ),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'on.before_or_equal' => 'The day lies in the future.',
            'on' => 'Give the day as year-month-day.',
            'prey.max' => 'The prey has more than 60 characters.',
            'rows.*' => $this->kind() === CareKind::Weight
                ? 'The weight must be a whole number of grams from 1 to '.number_format(CareRequest::MOST_GRAMS).'.'
                : 'Say whether the food was taken, refused or brought up again.',
        ];
    }

    /**
     * Logs the rows that are filled in; the same form sent twice logs them once.
     *
     * @return int how many
     */
    public function log(User $keeper): int
    {
        $rows = array_filter($this->validated('rows'), fn (mixed $value): bool => $value !== null && $value !== '');

        return DB::transaction(function () use ($keeper, $rows): int {
            /** @var list<Animal> $animals */
            $animals = $keeper->animals()->whereIn('id', array_keys($rows))->get()->all();
            foreach ($animals as $animal) {
                $animal->care()->createOrFirst(['form_token' => $this->validated('form_token')], [
                    'kind' => $this->kind(),
                    'on' => $this->validated('on'),
                    'grams' => $this->kind() === CareKind::Weight ? (int) $rows[$animal->id] : null,
                    'outcome' => $this->kind() === CareKind::Feed ? $rows[$animal->id] : null,
                    'prey' => $this->kind() === CareKind::Feed ? $this->validated('prey') : null,
                ]);
            }

            return count($animals);
        });
    }
}
