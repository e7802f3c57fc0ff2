<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\EventKind;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * Young that were seen and not kept as animals: so many that meet a condition. An event of the clutch like the others.
 *
 * @property int $id
 * @property int $user_id
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
    use OfClutch;
    use SoftDeletes;

    protected $table = 'clutch_events';

    protected $fillable = ['saw', 'count', 'dead', 'note', 'form_token'];

    protected $attributes = ['kind' => 'counted', 'dead' => false, 'note' => null, 'deleted_at' => null];

    protected $casts = ['count' => 'integer', 'dead' => 'boolean'];

    protected static function booted(): void
    {
        static::addGlobalScope('counts', fn (Builder $events) => $events->where('clutch_events.kind', EventKind::Counted->value));
    }

    public function sentence(): string
    {
        return "{$this->count} × {$this->saw}".($this->dead ? ', dead in the egg' : '').($this->note === null ? '' : " ({$this->note})");
    }

    public function home(): string
    {
        return route('clutches.show', $this->clutch_id);
    }
}
