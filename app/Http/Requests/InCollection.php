<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Collection\Opened;

/** For forms that ask the collection that is open. */
trait InCollection
{
    protected function opened(): Opened
    {
        return $this->container->make(Opened::class);
    }
}
