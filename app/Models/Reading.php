<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\InUtc;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * One reading of a probe.
 *
 * @property int $id
 * @property int $user_id
 * @property string $place
 * @property string $kind temperature (°C) or humidity (%)
 * @property float $value
 * @property Carbon $at
 */
class Reading extends Model implements CollectionRecord
{
    protected $fillable = ['place', 'kind', 'value', 'at', 'token'];

    protected $casts = ['value' => 'float', 'at' => InUtc::class];

    public function collectionId(): int
    {
        return $this->user_id;
    }
}
