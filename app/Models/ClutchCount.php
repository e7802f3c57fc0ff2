<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * Young that were seen and not kept as animals: so many that meet a condition.
 *
 * @property int $id
 * @property int $clutch_id
 * @property string $saw in the notation of targets
 * @property int $count
 * @property bool $dead in the egg
 * @property string|null $note
 * @property Clutch $clutch
 */
class ClutchCount extends Model implements Removable
{
    use KeepsHistory;
    use SoftDeletes;

    protected $fillable = ['saw', 'count', 'dead', 'note', 'form_token'];

    protected $attributes = ['dead' => false, 'note' => null, 'deleted_at' => null];

    protected $casts = ['count' => 'integer', 'dead' => 'boolean'];

    public function collectionId(): int
    {
        return $this->clutch->user_id;
    }

    /** @return BelongsTo<Clutch, $this> */
    public function clutch(): BelongsTo
    {
        return $this->belongsTo(Clutch::class)->withTrashed();
    }

    public function sentence(): string
    {
        return "{$this->count} × {$this->saw}".($this->dead ? ', dead in the egg' : '').($this->note === null ? '' : " ({$this->note})");
    }

    public function rightToRemove(): string
    {
        return 'log';
    }

    public function home(): string
    {
        return route('clutches.show', $this->clutch_id);
    }
}
