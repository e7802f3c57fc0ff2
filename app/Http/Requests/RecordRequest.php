<?php

namespace App\Http\Requests;

use Illuminate\Auth\Access\Response;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

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
