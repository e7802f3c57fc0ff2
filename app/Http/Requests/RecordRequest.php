<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Auth\Access\Response;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/** A form that writes one record: who may, and that a double click writes it once. */
abstract class RecordRequest extends FormRequest
{
    use InCollection;

    /** Days that records may be of. */
    protected const DAY = ['date_format:Y-m-d', 'before_or_equal:today', 'after:1980-01-01'];

    protected const DAY_MESSAGES = [
        'on.before_or_equal' => 'The day lies in the future.',
        'on' => 'Give the day as year-month-day.',
    ];

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
        return DB::transaction(function () use ($record, $values, $what): Model {
            $current = $record->newQuery()->lockForUpdate()->findOrFail($record->getKey());
            if ($this->input('version') !== null && (int) $this->validated('version') !== $current->getAttribute('version')) {
                throw ValidationException::withMessages([
                    'version' => "This {$what} was changed in another window since you opened it. What you typed is still there: "
                        .'save again to put it in place of that.',
                ])->errorBag($this->errorBag);
            }
            $current->fill($values);
            $current->setAttribute('version', (int) $current->getAttribute('version') + 1);
            $current->save();

            return $current;
        });
    }

    /**
     * Creates the record, or finds the one that the same form has made already.
     *
     * @param  HasMany<covariant Model, covariant Model>  $records
     * @param  array<string, mixed>  $values
     */
    protected function once(HasMany $records, array $values): Model
    {
        $token = $this->validated('form_token');

        return DB::transaction(
            fn (): Model => $token === null ? $records->create($values) : $records->createOrFirst(['form_token' => $token], $values),
        );
    }
}
