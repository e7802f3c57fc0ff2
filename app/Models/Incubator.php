<?php

declare(strict_types=1);

namespace App\Models;

use Destino\Season\Watch;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * An incubator, or a box in one that has a probe of its own.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property string $place as the probe calls it
 * @property float $celsius what it is set to
 * @property float $low least temperature that is right, °C
 * @property float $high
 * @property int|null $humid_low least humidity that is right, %
 * @property int|null $humid_high
 * @property string|null $notes
 * @property \Illuminate\Database\Eloquent\Collection<int, Clutch> $clutches
 */
class Incubator extends Model implements Removable
{
    use KeepsHistory;
    use SoftDeletes;

    protected $fillable = ['name', 'place', 'celsius', 'low', 'high', 'humid_low', 'humid_high', 'notes', 'form_token'];

    protected $attributes = ['humid_low' => null, 'humid_high' => null, 'notes' => null, 'deleted_at' => null];

    protected $casts = ['celsius' => 'float', 'low' => 'float', 'high' => 'float', 'humid_low' => 'integer', 'humid_high' => 'integer'];

    public function collectionId(): int
    {
        return $this->user_id;
    }

    /** @return HasMany<Clutch, $this> */
    public function clutches(): HasMany
    {
        return $this->hasMany(Clutch::class)->orderBy('id');
    }

    /** What watches the readings of a kind; null where no limits are set for it. */
    public function watch(string $kind): ?Watch
    {
        return match (true) {
            $kind === 'temperature' => Watch::temperature($this->low, $this->high),
            $this->humid_low === null || $this->humid_high === null => null,
            default => Watch::humidity($this->humid_low, $this->humid_high),
        };
    }

    public function home(): string
    {
        return $this->trashed() ? route('incubators.index') : route('incubators.show', $this);
    }

    public function sentence(): string
    {
        return "the incubator {$this->name}";
    }
}
