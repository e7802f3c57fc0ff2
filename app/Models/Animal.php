<?php

namespace App\Models;

use App\Care\CareKind;
use Destino\Genome\Sex;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property Sex $sex
 * @property Carbon|null $hatched_on
 * @property string $genotype in the notation, as typed
 * @property string|null $notes
 * @property int $version
 * @property string|null $form_token
 * @property int|null $sire_id a male of the same collection
 * @property string|null $sire_name a sire outside the collection
 * @property int|null $dam_id a female of the same collection
 * @property string|null $dam_name a dam outside the collection
 * @property CareEntry|null $latestWeight
 */
class Animal extends Model
{
    use HasFactory;

    protected $fillable = ['name', 'sex', 'hatched_on', 'genotype', 'notes', 'form_token', 'sire_id', 'sire_name', 'dam_id', 'dam_name'];

    protected $casts = ['sex' => Sex::class, 'hatched_on' => 'date', 'version' => 'integer', 'sire_id' => 'integer', 'dam_id' => 'integer'];

    /** @return BelongsTo<User, $this> */
    public function keeper(): BelongsTo
    {
        return $this->belongsTo(User::class, 'user_id');
    }

    /** @return HasMany<CareEntry, $this> */
    public function care(): HasMany
    {
        return $this->hasMany(CareEntry::class);
    }

    /** @return HasOne<CareEntry, $this> */
    public function latestWeight(): HasOne
    {
        return $this->hasOne(CareEntry::class)->ofMany(['on' => 'max', 'id' => 'max'], fn (Builder $query) => $query->where('kind', CareKind::Weight->value));
    }

    /** @param Builder<self> $query */
    public function scopeOfSex(Builder $query, Sex $sex): void
    {
        $query->where('sex', $sex->value);
    }
}
