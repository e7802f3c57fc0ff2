<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\EventKind;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
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
 * @property int|null $grams laid: weight of the clutch
 * @property int|null $egg_id the egg, where it is of a single one
 * @property string|null $who opened it
 * @property string|null $saw a first guess through the slit
 * @property string|null $note
 * @property Clutch $clutch
 * @property Egg|null $egg
 */
class ClutchEvent extends Model implements Removable
{
    use KeepsHistory;
    use OfClutch;
    use SoftDeletes;

    protected $fillable = ['kind', 'on', 'count', 'infertile', 'grams', 'note', 'egg_id', 'who', 'saw', 'form_token'];

    protected $attributes = [
        'on' => null, 'count' => null, 'infertile' => null, 'grams' => null, 'saw' => null, 'dead' => false, 'note' => null, 'egg_id' => null,
        'who' => null, 'deleted_at' => null,
    ];

    protected $casts = [
        'kind' => EventKind::class, 'on' => 'date:Y-m-d', 'count' => 'integer', 'infertile' => 'integer', 'grams' => 'integer',
        'egg_id' => 'integer',
    ];

    protected static function booted(): void
    {
        static::addGlobalScope('events', fn (Builder $events) => $events->where('clutch_events.kind', '!=', EventKind::Counted->value));
    }

    /** @return BelongsTo<Egg, $this> */
    public function egg(): BelongsTo
    {
        return $this->belongsTo(Egg::class)->withTrashed();
    }

    public function sentence(): string
    {
        $eggs = array_filter([
            $this->egg_id === null ? null : "egg {$this->loadMissing('egg')->egg?->number}",
            $this->count === null || $this->egg_id !== null ? null : $this->count.($this->kind === EventKind::Laid ? ' good' : ''),
            $this->infertile === null ? null : $this->infertile.($this->infertile === 1 ? ' slug' : ' slugs'),
            $this->grams === null ? null : number_format($this->grams).' g',
        ]);

        return $this->kind->words().($this->who === null ? '' : " by {$this->who}").($eggs === [] ? '' : ', '.implode(', ', $eggs))
            .($this->on === null ? '' : " on {$this->on->format('j M Y')}");
    }

    public function home(): string
    {
        return $this->egg_id === null
            ? route('clutches.show', $this->clutch_id)
            : route('eggs', [$this->clutch_id, 'egg' => $this->egg_id]);
    }
}
