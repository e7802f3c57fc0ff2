<?php

namespace App\Http\Requests;

use App\Models\Clutch;
use App\Models\ClutchEvent;
use App\Models\Enums\EventKind;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;

/** Something that happened to a pair or a clutch: one tap, with the day and a number where they differ from today and one. */
class EventRequest extends RecordRequest
{
    private const MOST_EGGS = 40;

    protected function ability(): string
    {
        return 'log';
    }

    protected function subject(): Model
    {
        return $this->route('clutch');
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::in(array_values(array_diff(array_column(EventKind::cases(), 'value'), [EventKind::Counted->value])))],
            'on' => ['nullable', ...self::DAY], 'count' => ['nullable', 'integer', 'between:0,'.self::MOST_EGGS],
            'infertile' => ['nullable', 'integer', 'between:0,'.self::MOST_EGGS], 'note' => ['nullable', 'string', 'max:200'], 'form_token' => ['nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kind' => 'Choose what happened.', 'count' => 'Give a whole number of eggs from 0 to '.self::MOST_EGGS.'.', 'infertile' => 'Give a whole number of eggs from 0 to '.self::MOST_EGGS.'.',
            'note.max' => 'The note has more than 200 characters.',
        ] + self::DAY_MESSAGES;
    }

    public function addTo(Clutch $clutch): ClutchEvent
    {
        $kind = EventKind::from($this->validated('kind'));
        $values = [
            'kind' => $kind, 'on' => $this->validated('on') ?? Carbon::today()->format('Y-m-d'), 'note' => $this->validated('note'),
            'count' => $kind->counts() ? $this->validated('count') ?? ($kind === EventKind::Laid || $kind === EventKind::Follicles ? null : 1) : null,
            'infertile' => $kind === EventKind::Laid ? $this->validated('infertile') : null,
        ];

        /** @var ClutchEvent */
        return $this->once($clutch->events(), $values);
    }
}
