<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Animal;
use App\Models\Enums\Right;
use App\Models\Enums\Status;
use App\Models\Sale;
use App\Models\StatusEvent;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Illuminate\Validation\Validator;

/** An animal is offered, reserved or sold: its status and what goes with it, written together. */
class SaleRequest extends RecordRequest
{
    use ReadsMoney;

    public const STATUSES = [Status::ForSale, Status::Reserved, Status::Sold];

    protected $errorBag = 'sale';

    protected function ability(): string
    {
        return Right::Money->ability();
    }

    protected function subject(): Model
    {
        return $this->animal();
    }

    private function animal(): Animal
    {
        /** @var Animal */
        return $this->route('animal');
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'status' => ['required', Rule::in(array_map(fn (Status $status): string => $status->value, self::STATUSES))],
            'on' => ['required', ...self::DAY], 'sent_on' => ['nullable', 'date_format:Y-m-d', 'after:1980-01-01'],
            'asking' => ['nullable', 'string', 'max:30', $this->amount()], 'deposit' => ['nullable', 'string', 'max:30', $this->amount()],
            'price' => ['nullable', 'string', 'max:30', $this->amount()], 'buyer' => ['nullable', 'string', 'max:120'],
            'note' => ['nullable', 'string', 'max:400'], 'unsexed' => ['nullable', 'boolean'], 'version' => ['nullable', 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'status' => 'Choose whether it is offered, reserved or sold.',
            'buyer.max' => 'The name of the buyer has more than 120 characters.',
            'note.max' => 'The note has more than 400 characters.', 'sent_on' => 'Enter a date, for example 2026-07-14.',
        ] + self::DAY_MESSAGES;
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            if ($this->animal()->sex === null && ! $this->boolean('unsexed')) {
                $validator->errors()->add('unsexed', 'Its sex is not known. Sex it first, or tick “as unsexed”, so that the buyer knows.');
            }
            [$deposit, $price] = [$this->minor('deposit'), $this->minor('price') ?? $this->minor('asking')];
            if ($deposit !== null && $price !== null && $deposit > $price) {
                $validator->errors()->add('deposit', 'The deposit is more than the price.');
            }
            if ($this->input('sent_on') !== null && $this->input('sent_on') < $this->input('on')) {
                $validator->errors()->add('sent_on', 'It was sent before that day.');
            }
        });
    }

    /** @return StatusEvent|null the new status; null where it stays as it was */
    public function write(): ?StatusEvent
    {
        $animal = $this->animal();
        $values = [
            'asking' => $this->minor('asking'), 'deposit' => $this->minor('deposit'), 'price' => $this->minor('price'),
            'buyer' => $this->validated('buyer'), 'sent_on' => $this->validated('sent_on'), 'note' => $this->validated('note'),
        ];
        $status = Status::from($this->validated('status'));

        return DB::transaction(function () use ($animal, $values, $status): ?StatusEvent {
            $this->save($animal, $values);
            if ($animal->latestStatus()->value('status') === $status) {
                return null;
            }
            if (! $status->isHere() && $animal->rack_id !== null) {
                $animal->update(['rack_id' => null, 'rack_row' => null, 'rack_column' => null]);
            }

            return $animal->statusEvents()->create(['status' => $status, 'on' => $this->validated('on')]);
        });
    }

    /**
     * @param  array<string, mixed>  $values
     *
     * @throws ValidationException where the sale was changed in another window since this form was opened
     */
    private function save(Animal $animal, array $values): void
    {
        /** @var Sale $sale */
        $sale = $animal->sales()->lockForUpdate()->firstOrNew();
        [$before, $now] = [$sale->exists ? $sale->version : 0, $this->words($sale)];
        if ($sale->fill($values)->isDirty() || ! $sale->exists) { // sent twice, it says the same and overwrites nothing
            $this->holdAgainst($before, "This sale was changed while you were editing. It now says: {$now}.");
            $sale->version = $before + 1;
            $sale->save();
        }
    }

    private function words(Sale $sale): string
    {
        $house = $this->opened()->house;
        $said = array_filter([
            $sale->buyer, $sale->asking === null ? null : "asking {$house->money($sale->asking)}",
            $sale->price === null ? null : "price {$house->money($sale->price)}", $sale->note,
        ]);

        return $said === [] ? 'nothing' : implode(', ', $said);
    }
}
