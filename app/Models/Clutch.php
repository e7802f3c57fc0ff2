<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\EventKind;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * One dam, one or more possible sires, and what came of it: dates and numbers are those of its events.
 *
 * @property int $id
 * @property int $user_id
 * @property int $dam_id
 * @property int|null $incubator_id where its eggs lie
 * @property string|null $label
 * @property string|null $target what it is made for, in the notation of targets
 * @property Carbon|null $paired_on
 * @property Carbon|null $laid_on
 * @property int|null $eggs_good
 * @property int|null $eggs_infertile
 * @property Carbon|null $hatched_on
 * @property int|null $hatched
 * @property string|null $reason
 * @property string|null $notes
 * @property int $version
 * @property Animal $dam
 * @property Incubator|null $incubator
 * @property \Illuminate\Database\Eloquent\Collection<int, ClutchEvent> $events
 * @property \Illuminate\Database\Eloquent\Collection<int, Egg> $eggs
 * @property \Illuminate\Database\Eloquent\Collection<int, ClutchSire> $sires
 * @property \Illuminate\Database\Eloquent\Collection<int, ClutchCount> $counts
 * @property \Illuminate\Database\Eloquent\Collection<int, Animal> $hatchlings
 * @property \Illuminate\Database\Eloquent\Collection<int, AlikeSet> $alikeSets
 */
class Clutch extends Model implements Removable
{
    use KeepsHistory;
    use SoftDeletes;

    /** What is read from the events, and written to them: the field, by the kind of event and its own field. */
    private const OF_EVENTS = [
        'paired_on' => [EventKind::Introduced, 'on'], 'laid_on' => [EventKind::Laid, 'on'], 'eggs_good' => [EventKind::Laid, 'count'],
        'eggs_infertile' => [EventKind::Laid, 'infertile'], 'hatched_on' => [EventKind::Hatched, 'on'],
        'hatched' => [EventKind::Hatched, 'count'],
    ];

    protected $fillable = [
        'dam_id', 'incubator_id', 'label', 'target', 'reason', 'notes', 'form_token', 'paired_on', 'laid_on', 'eggs_good', 'eggs_infertile',
        'hatched_on',
        'hatched',
    ];

    protected $attributes = [
        'version' => 1, 'incubator_id' => null, 'label' => null, 'target' => null, 'reason' => null, 'notes' => null, 'deleted_at' => null,
    ];

    protected $casts = ['dam_id' => 'integer', 'incubator_id' => 'integer', 'version' => 'integer'];

    protected $with = ['events'];

    /** @var array<string, mixed> what is to be written to the events once the clutch is there */
    private array $toEvents = [];

    protected static function booted(): void
    {
        static::saved(fn (self $clutch) => $clutch->writeEvents());
    }

    public function getAttribute($key)
    {
        return isset(self::OF_EVENTS[$key]) ? $this->ofEvents($key) : parent::getAttribute($key);
    }

    public function setAttribute($key, $value)
    {
        if (! isset(self::OF_EVENTS[$key])) {
            return parent::setAttribute($key, $value);
        }
        $this->toEvents[$key] = $value;

        return $this;
    }

    /** @return HasMany<ClutchEvent, $this> */
    public function events(): HasMany
    {
        return $this->hasMany(ClutchEvent::class)->orderBy('on')->orderBy('id');
    }

    /** The first event of a kind. */
    public function event(EventKind $kind): ?ClutchEvent
    {
        return $this->exists || $this->relationLoaded('events')
            ? $this->events->first(fn (ClutchEvent $event): bool => $event->kind === $kind)
            : null;
    }

    private function ofEvents(string $field): mixed
    {
        if (array_key_exists($field, $this->toEvents)) {
            $value = $this->toEvents[$field];

            return $value === null || $value === '' ? null : (str_ends_with($field, '_on') ? Carbon::parse($value) : (int) $value);
        }
        [$kind, $own] = self::OF_EVENTS[$field];

        $event = $this->event($kind);

        return ($event === null ? null : $event->{$own}) ?? ($kind === EventKind::Hatched ? $this->cameOut($own) : null);
    }

    /** Eggs that are accounted for: out, given up, or dead. An egg with a number is one, whatever is logged of it. */
    public function eggsGone(): int
    {
        return $this->eggsOf(EventKind::ends());
    }

    /** @param list<EventKind> $kinds */
    private function eggsOf(array $kinds): int
    {
        $events = $this->events->filter(fn (ClutchEvent $one): bool => in_array($one->kind, $kinds, true));

        return $events->whereNotNull('egg_id')->unique('egg_id')->count()
            + (int) $events->whereNull('egg_id')->sum(fn (ClutchEvent $one): int => $one->count ?? 1);
    }

    /** Whether nothing is to be expected of its eggs any more. */
    public function isOut(): bool
    {
        $laid = $this->event(EventKind::Laid)?->count;

        return $this->event(EventKind::Hatched) !== null || ($laid !== null && $laid > 0 && $this->eggsGone() >= $laid);
    }

    /** Young that were logged one by one as they came out: their number, and the day of the first. */
    private function cameOut(string $own): mixed
    {
        $out = $this->exists || $this->relationLoaded('events')
            ? array_values($this->events->filter(fn (ClutchEvent $event): bool => $event->kind === EventKind::Out)->all())
            : [];

        return $out === [] ? null : ($own === 'on' ? $out[0]->on : $this->eggsOf([EventKind::Out]));
    }

    /** One event for each kind of which something is known; one of which nothing is known any more is taken out. */
    private function writeEvents(): void
    {
        $changed = [];
        foreach ($this->toEvents as $field => $value) {
            [$kind, $own] = self::OF_EVENTS[$field];
            $changed[$kind->value][$own] = $value === '' ? null : $value;
        }
        $this->toEvents = [];
        foreach ($changed as $kind => $values) {
            $event = $this->events()->where('kind', $kind)->first();
            $left = array_filter(
                $values + ($event === null ? [] : ['on' => $event->on, 'count' => $event->count, 'infertile' => $event->infertile]),
                fn (mixed $value): bool => $value !== null,
            );
            match (true) {
                $left === [] => $event?->delete(),
                $event === null => $this->events()->create(['kind' => $kind] + $values),
                default => $event->update($values),
            };
        }
        if ($changed !== []) {
            $this->load('events');
        }
    }


    public function collectionId(): int
    {
        return $this->user_id;
    }

    /** @return BelongsTo<Animal, $this> */
    public function dam(): BelongsTo
    {
        return $this->belongsTo(Animal::class, 'dam_id')->withTrashed();
    }

    /** @return BelongsTo<Incubator, $this> */
    public function incubator(): BelongsTo
    {
        return $this->belongsTo(Incubator::class);
    }

    /** @return HasMany<ClutchSire, $this> */
    public function sires(): HasMany
    {
        return $this->hasMany(ClutchSire::class)->orderBy('id');
    }

    /** @return HasMany<Egg, $this> */
    public function eggs(): HasMany
    {
        return $this->hasMany(Egg::class)->orderBy('number');
    }

    /** @return HasMany<ClutchCount, $this> */
    public function counts(): HasMany
    {
        return $this->hasMany(ClutchCount::class)->orderBy('id');
    }

    /** @return HasMany<AlikeSet, $this> */
    public function alikeSets(): HasMany
    {
        return $this->hasMany(AlikeSet::class)->orderBy('id');
    }

    /** @return HasMany<Animal, $this> */
    public function hatchlings(): HasMany
    {
        return $this->hasMany(Animal::class)->orderBy('id');
    }

    /** "2024, Anchor × Brightwater". */
    public function title(): string
    {
        $this->loadMissing('sires.animal', 'dam');
        $sires = $this->sires->map(fn (ClutchSire $sire): string => $sire->title())->implode(' or ');

        return $this->label ?? trim("{$this->season()} ".($sires === '' ? 'sire not known' : $sires)." × {$this->dam->name}");
    }

    public const LONGEST_LABEL = 60;

    /** Two clutches of one pair in one year have two names: the later one is numbered, unless it has a name of its own. */
    public function tellApart(): void
    {
        $title = $this->unsetRelation('sires')->title();
        $alike = self::query()->where('user_id', $this->user_id)->where('dam_id', $this->dam_id)->whereKeyNot($this->id)
            ->with('sires.animal', 'dam')->get()
            ->filter(fn (self $one): bool => $one->title() === $title || str_starts_with($one->title(), "{$title}, clutch "))->count();
        if ($this->label === null && $alike > 0) {
            $this->update(['label' => Str::limit($title, self::LONGEST_LABEL - 16).', clutch '.($alike + 1)]);
        }
    }

    /** The year of the season: that of hatching, or the one that the other dates lead to. */
    public function season(): string
    {
        return (string) ($this->hatched_on ?? $this->laid_on ?? $this->paired_on?->copy()->addMonths(6))?->format('Y');
    }

    /** Where it stands. */
    public function stage(): string
    {
        return match (true) {
            $this->hatched_on !== null => 'hatched',
            $this->laid_on !== null => 'laid',
            $this->paired_on !== null => 'paired',
            default => 'planned',
        };
    }

    public function home(): string
    {
        return $this->trashed() ? route('clutches.index') : route('clutches.show', $this);
    }

    public function sentence(): string
    {
        return "the clutch {$this->title()}";
    }
}
