<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * How well somebody knows one thing of the trainer.
 *
 * @property int $id
 * @property int $user_id the collection
 * @property string $who trains
 * @property string $item what is asked: "tell:pastel", "name:enchi"
 * @property int $box of the spacing
 * @property Carbon $due_on
 * @property int $right
 * @property int $wrong
 */
class Drill extends Model implements CollectionRecord
{
    protected $fillable = ['who', 'item', 'box', 'due_on', 'right', 'wrong'];

    protected $attributes = ['box' => 0, 'right' => 0, 'wrong' => 0];

    protected $casts = ['box' => 'integer', 'due_on' => 'date:Y-m-d', 'right' => 'integer', 'wrong' => 'integer'];

    public function collectionId(): int
    {
        return $this->user_id;
    }
}
