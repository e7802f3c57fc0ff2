<?php

declare(strict_types=1);

namespace App\Models;

/** A record that belongs to one collection, so that policies can tell whose it is. */
interface CollectionRecord
{
    /** The owner's number. */
    public function collectionId(): int;
}
