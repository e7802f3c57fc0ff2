<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** For records about one clutch. */
trait OfClutch
{
    use OfCollection;

    /** @return BelongsTo<Clutch, $this> */
    public function clutch(): BelongsTo
    {
        return $this->belongsTo(Clutch::class)->withTrashed();
    }

    protected function parent(): ?Model
    {
        return $this->clutch()->first();
    }
}
