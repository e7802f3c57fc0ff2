<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\EggState;
use App\Models\Enums\EventKind;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * One egg as it lies in the box. What happens to it is an event of the clutch that names it; how it stands follows from these.
 *
 * @property int $id
 * @property int $user_id
 * @property int $clutch_id
 * @property int $number as written on the shell
 * @property bool $slug taken for infertile when laid
 * @property int $across middle of the egg, percent of the box's width
 * @property int $down percent of the box's length
 * @property bool $marked its top is marked
 * @property bool $apart lay apart from the pile
 * @property int|null $clump eggs stuck together share a number
 * @property int|null $grams when laid
 * @property string|null $note
 * @property Clutch $clutch
 * @property \Illuminate\Database\Eloquent\Collection<int, ClutchEvent> $events
 */
class Egg extends Model implements Removable
{
    use KeepsHistory;
    use OfClutch;
    use SoftDeletes;

    protected $fillable = ['number', 'slug', 'across', 'down', 'marked', 'apart', 'clump', 'grams', 'note'];

    protected $attributes = [
        'slug' => false, 'across' => 50, 'down' => 50, 'marked' => false, 'apart' => false, 'clump' => null, 'grams' => null,
        'note' => null,
        'deleted_at' => null,
    ];

    protected $casts = [
        'number' => 'integer', 'slug' => 'boolean', 'across' => 'integer', 'down' => 'integer', 'marked' => 'boolean', 'apart' => 'boolean',
        'clump' => 'integer', 'grams' => 'integer',
    ];

    /** @return HasMany<ClutchEvent, $this> in the order in which they happened */
    public function events(): HasMany
    {
        return $this->hasMany(ClutchEvent::class)->orderBy('on')->orderBy('id');
    }

    /** How it stands: what came of it, or else what was seen last. */
    public function state(): EggState
    {
        $last = null;
        foreach ($this->events as $event) {
            $state = EggState::after($event->kind);
            $last = $state !== null && ($last === null || ! $last->isFinal() || $state->isFinal()) ? $state : $last;
        }

        return $last ?? ($this->slug ? EggState::Slug : EggState::Good);
    }

    /** @return list<EventKind> troubles of the shell that were seen, each once */
    public function troubles(): array
    {
        $kinds = $this->events->map(fn (ClutchEvent $event): EventKind => $event->kind)->all();

        return array_values(array_filter(EventKind::troubles(), fn (EventKind $kind): bool => in_array($kind, $kinds, true)));
    }

    public function sentence(): string
    {
        return "egg {$this->number}";
    }

    public function home(): string
    {
        return route('eggs', $this->clutch_id);
    }
}
