<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Exchange\Cells\DateCell;
use App\Models\AlreadyMade;
use App\Models\Enums\Precision;
use App\Models\Once;
use App\Models\Removable;
use App\Models\RemovedSince;
use DateTimeImmutable;
use Illuminate\Auth\Access\Response;
use Illuminate\Contracts\Validation\Validator;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** A form that writes one record: who may, and that a double click writes it once. */
abstract class RecordRequest extends FormRequest
{
    use InCollection;

    /** Days that records may be of. */
    protected const DAY = ['date_format:Y-m-d', 'before_or_equal:today', 'after:1980-01-01'];

    protected const DAY_MESSAGES = [
        'on.before_or_equal' => 'The date must be today or earlier.',
        'on' => 'Enter a date, for example 2026-07-14.',
    ];

    /** Fields of days, of all forms. */
    private const DAYS = ['on', 'paired_on', 'laid_on', 'hatched_on', 'acquired_on', 'sent_on', 'begun_on', 'review_on'];

    /** Days as people write them ("14 June 2021", "12.7.23") are read; what leaves a doubt stays as it was typed, and is asked about. */
    protected function prepareForValidation(): void
    {
        $read = [];
        foreach (self::DAYS as $field) {
            $typed = $this->input($field);
            $cell = is_string($typed) && trim($typed) !== '' ? DateCell::read($typed, null) : null;
            if ($cell?->day !== null && ! $cell->isAbout && ($cell->precision === Precision::Day || $this->takesPartOfDay($field))) {
                $read[$field] = $cell->precision->write(new DateTimeImmutable($cell->day));
            }
        }
        $this->merge($read);
    }

    /** Whether a field takes a month or a year alone. */
    protected function takesPartOfDay(string $field): bool
    {
        return false;
    }

    /** The right that is asked for: "log" or "manage". */
    protected function ability(): string
    {
        return 'manage';
    }

    /** The record of the address on which the right is asked; null for the collection as a whole. */
    protected function subject(): ?Model
    {
        return null;
    }

    public function authorize(): Response
    {
        return $this->subject() === null ? Gate::inspect($this->ability()) : Gate::inspect($this->ability(), $this->subject());
    }

    /**
     * Among which records the form makes one, where rules of the form ask what is there already: sent again, it must not be refused
     * for what it has made itself.
     *
     * @return HasMany<covariant Model, covariant Model>|null
     */
    protected function records(): ?HasMany
    {
        return null;
    }

    /** @throws ValidationException|AlreadyMade|RemovedSince */
    protected function failedValidation(Validator $validator): void
    {
        $token = $this->input('form_token');
        $records = $this->isMethod('post') && Str::isUuid($token) ? $this->records() : null;
        $made = $records === null ? null : Once::made($records, $token);
        if ($made instanceof Removable) {
            throw new AlreadyMade($made);
        }
        parent::failedValidation($validator);
    }

    /**
     * Changes a record that carries a version.
     *
     * @template T of Model
     *
     * @param  T  $record
     * @param  array<string, mixed>  $values
     * @return T as it is now
     *
     * @throws ValidationException when it was changed in another window since this form was opened
     */
    protected function changed(Model $record, array $values, string $what): Model
    {
        return $this->locked($record, fn (Model $current): Model => $current->fill($values), "This {$what}");
    }

    /**
     * Changes a record that carries a version, with what belongs to it, while nobody else can.
     *
     * @template T of Model
     *
     * @param  T  $record
     * @param  callable(T): mixed  $change  of the record as it is now, with its next version; it is saved afterwards
     * @param  (callable(T): string)|null  $nowSays  what it says now, for whoever typed over something older
     * @return T
     *
     * @throws ValidationException when it was changed in another window since this form was opened
     */
    protected function locked(Model $record, callable $change, string $what, ?callable $nowSays = null): Model
    {
        return DB::transaction(function () use ($record, $change, $what, $nowSays): Model {
            $current = $record->newQuery()->lockForUpdate()->findOrFail($record->getKey());
            $version = (int) $current->getAttribute('version');
            $this->holdAgainst($version,
                "{$what} was changed while you were editing.".($nowSays === null ? '' : ' '.$nowSays($current)));
            $current->setAttribute('version', $version + 1);
            $change($current);
            $current->save();

            return $current;
        });
    }

    /** @throws ValidationException where the form was opened before this version */
    protected function holdAgainst(int $version, string $message): void
    {
        if ($this->input('version') !== null && (int) $this->validated('version') !== $version) {
            throw ValidationException::withMessages([
                'version' => "{$message} What you typed is still there: save again to put it in place of that.",
            ])->errorBag($this->errorBag);
        }
    }

    /**
     * Creates the record, or finds the one that the same form has made already.
     *
     * @param  HasMany<covariant Model, covariant Model>  $records
     * @param  array<string, mixed>  $values
     *
     * @throws RemovedSince where it was removed in the meantime
     */
    protected function once(HasMany $records, array $values): Model
    {
        return Once::create($records, $this->validated('form_token'), $values);
    }
}
