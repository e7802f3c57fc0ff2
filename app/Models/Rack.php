<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A rack of tubs, rows from the top, columns from the left.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property int $rows
 * @property int $columns
 * @property int $version
 */
class Rack extends Model implements CollectionRecord
{
    use KeepsHistory;

    protected $fillable = ['name', 'rows', 'columns', 'position', 'form_token'];

    protected $attributes = ['version' => 1];

    protected $casts = ['version' => 'integer', 'rows' => 'integer', 'columns' => 'integer', 'position' => 'integer'];

    public function collectionId(): int
    {
        return $this->user_id;
    }

    /** @return HasMany<Animal, $this> */
    public function animals(): HasMany
    {
        return $this->hasMany(Animal::class);
    }
}
