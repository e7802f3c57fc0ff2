<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A keeper's own choices; what is not chosen follows the defaults.
 *
 * @property int $user_id
 * @property array<string, mixed> $choices
 * @property int $version
 */
class HouseRules extends Model implements CollectionRecord
{
    use KeepsHistory;

    protected $table = 'house_rules';

    protected $fillable = ['choices'];

    protected $casts = ['choices' => 'array', 'version' => 'integer'];

    public function collectionId(): int
    {
        return $this->user_id;
    }
}
