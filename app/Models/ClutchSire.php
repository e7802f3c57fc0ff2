<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A possible sire of a clutch.
 *
 * @property int $id
 * @property int $user_id
 * @property int|null $animal_id
 * @property string|null $name where he is outside the collection
 * @property int|null $kept percent, where he was with her in an earlier season only and she may have kept his sperm
 * @property Animal|null $animal
 */
class ClutchSire extends Model implements CollectionRecord
{
    use OfClutch;

    public $timestamps = false;

    protected $fillable = ['animal_id', 'name', 'kept'];

    protected $attributes = ['animal_id' => null, 'name' => null, 'kept' => null];

    protected $casts = ['animal_id' => 'integer', 'kept' => 'integer'];

    /** @return BelongsTo<Animal, $this> */
    public function animal(): BelongsTo
    {
        return $this->belongsTo(Animal::class)->withTrashed();
    }

    public function title(): string
    {
        return $this->animal->name ?? (string) $this->name;
    }
}
