<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Animal;
use App\Models\Enums\Status;
use App\Models\StatusEvent;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;

/** From a day on, an animal has a status. One that leaves gives its tub free. */
class StatusRequest extends RecordRequest
{
    protected $errorBag = 'status';

    protected function subject(): Model
    {
        return $this->route('animal');
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'status' => ['required', Rule::enum(Status::class)],
            'on' => ['required', ...self::DAY],
            'reason' => ['nullable', 'required_if:status,'.Status::HoldBack->value, 'string', 'max:400'],
            'review_on' => ['nullable', 'date_format:Y-m-d', 'after_or_equal:on'],
            'form_token' => ['nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'status' => 'Choose a status.',
            'reason.required_if' => 'Say why it is held back, so that you know at the review.',
            'reason.max' => 'The reason has more than 400 characters.',
            'review_on.after_or_equal' => 'The review must be after the status date.',
            'review_on' => 'Enter the review date, for example 2026-07-14.',
        ] + self::DAY_MESSAGES;
    }

    public function addTo(Animal $animal): StatusEvent
    {
        return DB::transaction(function () use ($animal): StatusEvent {
            /** @var StatusEvent $event */
            $event = $this->once($animal->statusEvents(), $this->safe()->except('form_token'));
            if (! $event->status->isHere() && $animal->rack_id !== null) {
                $animal->update(['rack_id' => null, 'rack_row' => null, 'rack_column' => null]);
            }

            return $event;
        });
    }
}
