<?php

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
 * @property Animal|null $animal
 */
class ClutchSire extends Model implements CollectionRecord
{
    use OfClutch;

    public $timestamps = false;

    protected $fillable = ['animal_id', 'name'];

    protected $attributes = ['animal_id' => null, 'name' => null];

    protected $casts = ['animal_id' => 'integer'];

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
