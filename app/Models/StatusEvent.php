<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\Status;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * From this day the animal has this status.
 *
 * @property int $id
 * @property int $animal_id
 * @property Status $status
 * @property Carbon $on
 * @property string|null $reason
 * @property Carbon|null $review_on
 * @property Animal $animal
 */
class StatusEvent extends Model implements Removable
{
    use KeepsHistory;
    use OfAnimal;
    use SoftDeletes;

    protected $fillable = ['status', 'on', 'reason', 'review_on', 'form_token'];

    protected $attributes = ['reason' => null, 'review_on' => null, 'deleted_at' => null];

    protected $casts = ['status' => Status::class, 'on' => 'date:Y-m-d', 'review_on' => 'date:Y-m-d'];

    /** The reason, where anybody may read it: that of a sale speaks of who buys, and for how much. */
    public function openReason(): ?string
    {
        return $this->status->isOfTrade() ? null : $this->reason;
    }

    /** What anybody may read. */
    public function sentence(): string
    {
        return $this->says($this->openReason());
    }

    /** With what is of money and buyers. */
    public function wholeSentence(): string
    {
        return $this->says($this->reason);
    }

    private function says(?string $reason): string
    {
        return $this->status->value.($reason === null ? '' : ': '.rtrim($reason, '. '))
            .($this->review_on === null ? '' : ", to be looked at again on {$this->review_on->format('j M Y')}");
    }

    public function home(): string
    {
        return route('animals.show', $this->animal_id).'#status';
    }
}
