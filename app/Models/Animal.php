<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\CareKind;
use App\Models\Enums\Precision;
use App\Models\Enums\SexFound;
use App\Models\Enums\Status;
use Database\Factories\AnimalFactory;
use Destino\Genome\Sex;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property string|null $number
 * @property Sex|null $sex null where it is not known
 * @property SexFound|null $sex_found
 * @property int $sex_certainty in percent
 * @property Carbon|null $hatched_on
 * @property Precision $hatched_precision
 * @property string|null $notes
 * @property string|null $source
 * @property Carbon|null $acquired_on
 * @property int|null $price_cents
 * @property int $version
 * @property string|null $form_token
 * @property int|null $sire_id a male of the same collection
 * @property string|null $sire_name a sire outside the collection
 * @property int|null $dam_id a female of the same collection
 * @property string|null $dam_name a dam outside the collection
 * @property int|null $rack_id
 * @property int|null $rack_row from 1
 * @property int|null $rack_column from 1
 * @property int|null $clutch_id
 * @property CareEntry|null $latestWeight
 * @property CareEntry|null $latestFeed
 * @property Photo|null $latestPhoto
 * @property StatusEvent|null $latestStatus
 * @property Rack|null $rack
 * @property Collection<int, CareEntry> $care
 * @property string|null $genes_open what was written where the genes are not known yet
 * @property Collection<int, Statement> $statements
 * @property Collection<int, StatusEvent> $statusEvents
 * @property Collection<int, Observation> $observations
 * @property Collection<int, Photo> $photos
 * @property Collection<int, Sighting> $sightings
 * @property Sale|null $sale
 */
class Animal extends Model implements Removable
{
    /** @use HasFactory<AnimalFactory> */
    use HasFactory;
    use KnowsItsCasts;
    use KeepsHistory;
    use SoftDeletes;

    protected $fillable = [
        'name', 'number', 'sex', 'sex_found', 'sex_certainty', 'hatched_on', 'hatched_precision', 'notes', 'form_token',
        'sire_id', 'sire_name', 'dam_id', 'dam_name', 'source', 'acquired_on', 'price_cents', 'rack_id', 'rack_row',
        'rack_column', 'clutch_id', 'genes_open',
    ];

    protected $attributes = [
        'sex_certainty' => 100, 'hatched_precision' => 'day', 'version' => 1, 'number' => null, 'sex' => null,
        'sex_found' => null, 'hatched_on' => null, 'notes' => null, 'sire_id' => null, 'sire_name' => null, 'dam_id' => null,
        'dam_name' => null, 'source' => null, 'acquired_on' => null, 'price_cents' => null, 'rack_id' => null, 'rack_row' => null,
        'rack_column' => null, 'clutch_id' => null, 'genes_open' => null, 'deleted_at' => null,
    ];

    protected $casts = [
        'sex' => Sex::class, 'sex_found' => SexFound::class, 'sex_certainty' => 'integer', 'hatched_on' => 'date:Y-m-d',
        'hatched_precision' => Precision::class, 'acquired_on' => 'date:Y-m-d',
        'price_cents' => 'integer', 'version' => 'integer', 'sire_id' => 'integer', 'dam_id' => 'integer', 'rack_id' => 'integer',
        'rack_row' => 'integer', 'rack_column' => 'integer', 'clutch_id' => 'integer',
    ];

    public function collectionId(): int
    {
        return $this->user_id;
    }

    /** @return BelongsTo<User, $this> */
    public function keeper(): BelongsTo
    {
        return $this->belongsTo(User::class, 'user_id');
    }

    /** @return HasMany<Statement, $this> */
    public function statements(): HasMany
    {
        return $this->hasMany(Statement::class)->orderBy('id');
    }

    /** @return HasMany<CareEntry, $this> */
    public function care(): HasMany
    {
        return $this->hasMany(CareEntry::class);
    }

    /** @return HasMany<StatusEvent, $this> */
    public function statusEvents(): HasMany
    {
        return $this->hasMany(StatusEvent::class);
    }

    /** @return HasMany<Sale, $this> one at the most */
    public function sales(): HasMany
    {
        return $this->hasMany(Sale::class);
    }

    /** @return HasOne<Sale, $this> */
    public function sale(): HasOne
    {
        return $this->hasOne(Sale::class);
    }

    /** @return HasMany<Observation, $this> */
    public function observations(): HasMany
    {
        return $this->hasMany(Observation::class);
    }

    /** @return HasMany<Sighting, $this> */
    public function sightings(): HasMany
    {
        return $this->hasMany(Sighting::class)->orderBy('on')->orderBy('id');
    }

    /** @return HasMany<Photo, $this> */
    public function photos(): HasMany
    {
        return $this->hasMany(Photo::class);
    }

    /** @return BelongsTo<Rack, $this> */
    public function rack(): BelongsTo
    {
        return $this->belongsTo(Rack::class);
    }

    /** @return BelongsTo<Clutch, $this> */
    public function clutch(): BelongsTo
    {
        return $this->belongsTo(Clutch::class);
    }

    /** @return HasOne<CareEntry, $this> */
    public function latestWeight(): HasOne
    {
        return $this->hasOne(CareEntry::class)->ofMany(
            ['on' => 'max', 'id' => 'max'], fn (Builder $query) => $query->where('kind', CareKind::Weight->value),
        );
    }

    /** @return HasOne<Photo, $this> */
    public function latestPhoto(): HasOne
    {
        return $this->hasOne(Photo::class)->ofMany(['on' => 'max', 'id' => 'max']);
    }

    /** @return HasOne<CareEntry, $this> */
    public function latestFeed(): HasOne
    {
        return $this->hasOne(CareEntry::class)->ofMany(
            ['on' => 'max', 'id' => 'max'], fn (Builder $query) => $query->where('kind', CareKind::Feed->value),
        );
    }

    /** @return HasOne<StatusEvent, $this> */
    public function latestStatus(): HasOne
    {
        return $this->hasOne(StatusEvent::class)->ofMany(
            ['on' => 'max', 'id' => 'max'], fn (Builder $query) => $query->whereNull('deleted_at'),
        );
    }

    /** The last status that was set; growing until one is. */
    public function status(): Status
    {
        return $this->latestStatus->status ?? Status::Growing;
    }

    public function isMale(): bool
    {
        return $this->sex === Sex::Male;
    }

    /**
     * Whose parent of a sex it is recorded as: names of its young, and titles of its clutches.
     *
     * @return list<string>
     */
    public function youngAs(Sex $sex): array
    {
        $clutches = $sex === Sex::Female
            ? Clutch::query()->where('dam_id', $this->id)
            : Clutch::query()->whereHas('sires', fn ($sire) => $sire->where('animal_id', $this->id));

        return [
            ...self::query()->where($sex === Sex::Male ? 'sire_id' : 'dam_id', $this->id)->orderBy('id')->pluck('name')->all(),
            ...$clutches->with('dam', 'sires.animal')->get()->map(fn (Clutch $clutch): string => "the clutch {$clutch->title()}")->all(),
        ];
    }

    /** "male", "female" or "sex not known", and how sure. */
    public function sexWords(): string
    {
        if ($this->sex === null) {
            return 'sex not known';
        }
        $how = array_filter([$this->sex_found?->sentence(), $this->sex_certainty < 100 ? "{$this->sex_certainty} % sure" : null]);

        return $this->sex->value.($how === [] ? '' : ', '.implode(', ', $how));
    }

    /** "he", "she" or "it". */
    public function pronoun(): string
    {
        return match ($this->sex) {
            Sex::Male => 'he',
            Sex::Female => 'she',
            null => 'it',
        };
    }

    public function objectPronoun(): string
    {
        return match ($this->sex) {
            Sex::Male => 'him',
            Sex::Female => 'her',
            null => 'it',
        };
    }

    /** The hatch date as exactly as it is known. */
    public function hatchedWords(): ?string
    {
        return $this->hatched_on?->format($this->hatched_precision->format());
    }

    /** Whether its genes are still to be read: not known, which is not Normal. */
    /** Days since it hatched; null where that is not known to the day. */
    public function ageInDays(Carbon $today): ?int
    {
        $isKnown = $this->hatched_on !== null && $this->hatched_precision === Precision::Day;

        return $isKnown && $this->hatched_on->lte($today) ? (int) $this->hatched_on->diffInDays($today) : null;
    }

    public function hasOpenGenes(): bool
    {
        return ($this->getAttributes()['genes_open'] ?? null) !== null;
    }

    /** "Rack A, tub 3·2", null where it has no tub. */
    public function placeWords(): ?string
    {
        return $this->rack === null
            ? null
            : $this->rack->name.($this->rack_row === null ? '' : ", tub {$this->rack_row}·{$this->rack_column}");
    }

    public function home(): string
    {
        return $this->trashed() ? route('animals.index') : route('animals.show', $this);
    }

    public function sentence(): string
    {
        return $this->name;
    }

    /** Days since it hatched, or since its clutch did; null where neither is known. */
    public function daysOld(Clutch $clutch): ?int
    {
        $hatched = $this->hatched_on ?? $clutch->hatched_on;

        return $hatched === null ? null : max(0, (int) $hatched->diffInDays(Carbon::today()));
    }

    /** Its number and tub, as a label in the room has them. */
    public function tagWords(): string
    {
        return implode(' · ', array_filter([$this->number, $this->rack_row === null ? null : "{$this->rack_row}·{$this->rack_column}"]));
    }
}
