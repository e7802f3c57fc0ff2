<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** For records that belong to a collection as another record does: the collection is taken from there when one is made. */
trait OfCollection
{
    /** The record that it belongs to. */
    abstract protected function parent(): ?Model;

    public static function bootOfCollection(): void
    {
        static::creating(function (self $record): void {
            if (($record->attributes['user_id'] ?? null) === null) {
                $parent = $record->parent();
                $record->attributes['user_id'] = $parent instanceof CollectionRecord ? $parent->collectionId() : null;
            }
        });
    }

    public function collectionId(): int
    {
        return (int) $this->attributes['user_id'];
    }
}
