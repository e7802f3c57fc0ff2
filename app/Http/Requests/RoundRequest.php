<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\RowAnswers;
use App\Models\Animal;
use App\Models\CareEntry;
use App\Models\Enums\CareKind;
use App\Models\Enums\FeedOutcome;
use App\Models\RemovedSince;
use App\Models\User;
use Closure;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/** One round through the rack: a weight or a meal for many animals at once. Rows left empty are left alone. */
class RoundRequest extends FormRequest
{
    use InCollection;

    /** A weight that differs from the one before by more than this share is asked about. */
    private const FAR = .25;

    /**
     * A row that cannot be read stops no other where each is answered by itself; where none can be read, the whole is refused.
     *
     * @var array<int, string> why, by animal
     */
    private array $unreadable = [];

    public function authorize(): Response
    {
        return Gate::inspect('log');
    }

    protected function prepareForValidation(): void
    {
        $rows = $this->input('rows');
        if (! is_array($rows)) {
            return;
        }
        if ($this->kind() === CareKind::Weight) {
            $rows = array_map($this->opened()->house->grams(...), $rows);
        }
        $bad = $this->isRowByRow() ? array_filter($rows, fn (mixed $value): bool => ! $this->isReadable($value)) : [];
        if (count($bad) < count($rows)) {
            $this->unreadable = array_fill_keys(array_map(intval(...), array_keys($bad)), $this->rowMessage());
            $rows = array_diff_key($rows, $bad);
        }
        $this->merge(['rows' => $rows]);
    }

    /** Whether each row is answered by itself, as a device that keeps what was refused needs it. */
    public function isRowByRow(): bool
    {
        return $this->expectsJson();
    }

    private function isReadable(mixed $value): bool
    {
        if ($value === null || $value === '') {
            return true;
        }

        return $this->kind() === CareKind::Weight
            ? filter_var($value, FILTER_VALIDATE_INT, ['options' => ['min_range' => 1, 'max_range' => CareEntry::MOST_GRAMS]]) !== false
            : is_string($value) && FeedOutcome::tryFrom($value) !== null;
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
            'rows.*' => [fn (string $row, mixed $value, Closure $fail) => $this->isReadable($value) || $fail($this->rowMessage())],
        ];
    }

    private function rowMessage(): string
    {
        return $this->kind() === CareKind::Weight
            ? 'The weight must be a whole number of grams from 1 to '.number_format(CareEntry::MOST_GRAMS).'.'
            : 'Say whether the food was taken, refused or brought up again.';
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'on.before_or_equal' => 'The date must be today or earlier.',
            'on' => 'Enter a date, for example 2026-07-14.',
            'prey.max' => 'The prey has more than 60 characters.',
        ];
    }

    /**
     * Logs the rows that are filled in. The same round sent again logs nothing twice: what was filled in otherwise takes the
     * place of what was there, and a row that a page sends empty by itself is taken back.
     *
     */
    public function log(User $keeper): RowAnswers
    {
        $valid = $this->validated(); // asked once: each asking goes through all rows again
        $rows = array_map(fn (mixed $value): ?string => $value === null || $value === '' ? null : (string) $value, $valid['rows'] ?? []);
        if (! $this->isRowByRow()) {
            $rows = array_filter($rows, is_string(...)); // a whole form: rows left empty are left alone
        }

        return DB::transaction(function () use ($keeper, $rows, $valid): RowAnswers {
            $there = CareEntry::query()->withTrashed()->where('user_id', $keeper->id)->where('form_token', $valid['form_token'])->get()
                ->keyBy('animal_id');

            return (new RowAnswers($this->unreadable))->log($keeper, array_map(intval(...), array_keys($rows)),
                fn (Animal $animal): ?CareEntry =>
                $this->logRow($animal, $there->get($animal->id), $rows[$animal->id], $valid));
        });
    }

    /**
     * @param  CareEntry|null  $there  what this round has logged of the animal
     * @param  array<string, mixed>  $valid
     *
     * @throws RemovedSince where that was removed elsewhere
     */
    private function logRow(Animal $animal, ?CareEntry $there, ?string $value, array $valid): ?CareEntry
    {
        if ($value === null) {
            $there?->forceDelete();

            return null;
        }
        if ($there?->trashed()) {
            throw new RemovedSince($there);
        }
        $entry = $there ?? $animal->care()->make(['form_token' => $valid['form_token']]);
        $entry->fill($this->values($animal, $value, $valid))->save();

        return $entry;
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
