<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Booking;
use App\Models\Enums\BookingKind;
use App\Models\Enums\Right;
use App\Models\User;
use Illuminate\Validation\Rule;

/** Money that went or came. */
class BookingRequest extends RecordRequest
{
    use ReadsMoney;

    protected $errorBag = 'booking';

    protected function ability(): string
    {
        return Right::Money->ability();
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $own = fn (string $table): \Illuminate\Validation\Rules\Exists => Rule::exists($table, 'id')
            ->where('user_id', $this->user()?->keeper()->id)
            ->whereNull('deleted_at');

        return [
            'kind' => ['required', Rule::enum(BookingKind::class)], 'on' => ['required', ...self::DAY],
            'amount' => ['required', 'string', 'max:30', $this->amount()], 'animal_id' => ['nullable', 'integer', $own('animals')],
            'project_id' => ['nullable', 'integer', $own('projects')], 'note' => ['nullable', 'string', 'max:200'],
            'form_token' => ['nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kind' => 'Choose what it was for.', 'amount.required' => 'Give the amount.',
            'animal_id' => 'That animal is not in your collection.',
            'project_id' => 'That project is not yours.', 'note.max' => 'The note has more than 200 characters.',
        ] + self::DAY_MESSAGES;
    }

    public function addTo(User $keeper): Booking
    {
        /** @var Booking */
        return $this->once($keeper->bookings(), ['amount' => $this->minor('amount')] + $this->safe()->except(['amount', 'form_token']));
    }
}
