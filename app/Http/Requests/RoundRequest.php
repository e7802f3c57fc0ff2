<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Animal;
use App\Models\CareEntry;
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

    /** A weight that differs from the one before by more than this share is asked about. */
    private const FAR = .25;

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
     * Logs the rows that are filled in. The same round sent again logs nothing twice: what was filled in otherwise takes the
     * place of what was there, and a row that a page sends empty by itself is taken back.
     *
     * @return list<CareEntry> those that stand now
     */
    public function log(User $keeper): array
    {
        $valid = $this->validated(); // asked once: each asking goes through all rows again
        [$rows, $token] = [$valid['rows'], $valid['form_token']];
        $isWhole = ! $this->expectsJson(); // a whole form: rows left empty are left alone

        return DB::transaction(function () use ($keeper, $rows, $token, $valid, $isWhole): array {
            $entries = [];
            $there = CareEntry::query()->where('user_id', $keeper->id)->where('form_token', $token)->get()
                ->keyBy('animal_id');
            foreach ($keeper->animals()->with('latestFeed')->whereIn('id', array_keys($rows))->get() as $animal) {
                $value = $rows[$animal->id];
                $entry = $there->get($animal->id) ?? $animal->care()->make(['form_token' => $token]);
                if ($value !== null && $value !== '') {
                    $entry->fill($this->values($animal, $value, $valid))->save();
                    $entries[] = $entry->setRelation('animal', $animal);
                } elseif (! $isWhole && $entry->exists) {
                    $entry->forceDelete();
                }
            }

            return $entries;
        });
    }

    /**
     * @param  array<string, mixed>  $valid
     * @return array<string, mixed>
     */
    private function values(Animal $animal, mixed $value, array $valid): array
    {
        $isWeight = $this->kind() === CareKind::Weight;

        return [
            'kind' => $this->kind(), 'on' => $valid['on'], 'grams' => $isWeight ? (int) $value : null,
            'outcome' => $isWeight ? null : $value,
            // what it was offered before, where the round says nothing
            'prey' => $isWeight ? null : $valid['prey'] ?? $animal->latestFeed?->prey,
        ];
    }

    /** What to ask of a weight that is far from the one before; null where nothing. */
    public static function question(CareEntry $entry): ?string
    {
        $before = $entry->kind === CareKind::Weight
            ? CareEntry::query()->where('animal_id', $entry->animal_id)->where('kind', CareKind::Weight)->whereKeyNot($entry->id)
                ->where('on', '<=', $entry->on->format('Y-m-d'))->orderByDesc('on')->orderByDesc('id')->first()
            : null;
        $far = $before === null || (int) $before->grams === 0 ? 0.0 : abs((int) $entry->grams / (int) $before->grams - 1);

        return $before === null || $far <= self::FAR
            ? null
            : number_format((int) $entry->grams).' g after '.number_format((int) $before->grams)." g on {$before->on->format('j M Y')}: is that right?";
    }
}
