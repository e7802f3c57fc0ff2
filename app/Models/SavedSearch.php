<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property string $query
 */
class SavedSearch extends Model implements CollectionRecord
{
    protected $fillable = ['name', 'query'];

    public function collectionId(): int
    {
        return $this->user_id;
    }
}
