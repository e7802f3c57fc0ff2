<?php

namespace App\Models;

use App\Models\Enums\EventKind;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * Something that happened to a pair or a clutch, on its day. What was counted by look is a ClutchCount, of the same table.
 *
 * @property int $id
 * @property int $user_id
 * @property int $clutch_id
 * @property EventKind $kind
 * @property Carbon|null $on null where the day is not known
 * @property int|null $count laid: good eggs; hatched: young
 * @property int|null $infertile laid: infertile eggs
 * @property string|null $note
 * @property Clutch $clutch
 */
class ClutchEvent extends Model implements Removable
{
    use KeepsHistory;
    use OfClutch;
    use SoftDeletes;

    protected $fillable = ['kind', 'on', 'count', 'infertile', 'note', 'form_token'];

    protected $attributes = [
        'on' => null, 'count' => null, 'infertile' => null, 'saw' => null, 'dead' => false, 'note' => null, 'deleted_at' => null,
    ];

    protected $casts = ['kind' => EventKind::class, 'on' => 'date:Y-m-d', 'count' => 'integer', 'infertile' => 'integer'];

    protected static function booted(): void
    {
        static::addGlobalScope('events', fn (Builder $events) => $events->where('clutch_events.kind', '!=', EventKind::Counted->value));
    }

    public function sentence(): string
    {
        $eggs = array_filter([
            $this->count === null ? null : $this->count.($this->kind === EventKind::Laid ? ' good' : ''),
            $this->infertile === null ? null : "{$this->infertile} infertile",
        ]);

        return $this->kind->words().($eggs === [] ? '' : ', '.implode(', ', $eggs))
            .($this->on === null ? '' : " on {$this->on->format('j M Y')}");
    }

    public function home(): string
    {
        return route('clutches.show', $this->clutch_id);
    }
}
