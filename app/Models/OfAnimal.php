<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** For records about one animal. */
trait OfAnimal
{
    /** @return BelongsTo<Animal, $this> */
    public function animal(): BelongsTo
    {
        return $this->belongsTo(Animal::class)->withTrashed();
    }

    public function collectionId(): int
    {
        return $this->animal->user_id;
    }
}
