<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * One dam, one or more possible sires, and what came of it.
 *
 * @property int $id
 * @property int $user_id
 * @property int $dam_id
 * @property string|null $label
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
 * @property \Illuminate\Database\Eloquent\Collection<int, ClutchSire> $sires
 * @property \Illuminate\Database\Eloquent\Collection<int, ClutchCount> $counts
 * @property \Illuminate\Database\Eloquent\Collection<int, Animal> $hatchlings
 */
class Clutch extends Model implements Removable
{
    use KeepsHistory;
    use SoftDeletes;

    protected $fillable = ['dam_id', 'label', 'paired_on', 'laid_on', 'eggs_good', 'eggs_infertile', 'hatched_on', 'hatched', 'reason', 'notes', 'form_token'];

    protected $attributes = ['version' => 1, 'label' => null, 'paired_on' => null, 'laid_on' => null, 'eggs_good' => null, 'eggs_infertile' => null, 'hatched_on' => null, 'hatched' => null, 'reason' => null, 'notes' => null, 'deleted_at' => null];

    protected $casts = ['dam_id' => 'integer', 'paired_on' => 'date:Y-m-d', 'laid_on' => 'date:Y-m-d', 'hatched_on' => 'date:Y-m-d', 'eggs_good' => 'integer', 'eggs_infertile' => 'integer', 'hatched' => 'integer', 'version' => 'integer'];

    public function collectionId(): int
    {
        return $this->user_id;
    }

    /** @return BelongsTo<Animal, $this> */
    public function dam(): BelongsTo
    {
        return $this->belongsTo(Animal::class, 'dam_id')->withTrashed();
    }

    /** @return HasMany<ClutchSire, $this> */
    public function sires(): HasMany
    {
        return $this->hasMany(ClutchSire::class)->orderBy('id');
    }

    /** @return HasMany<ClutchCount, $this> */
    public function counts(): HasMany
    {
        return $this->hasMany(ClutchCount::class)->orderBy('id');
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

    public function rightToRemove(): string
    {
        return 'manage';
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
