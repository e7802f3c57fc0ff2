<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A line of the price book: what an animal that meets a target goes for.
 *
 * @property int $id
 * @property int $user_id
 * @property string $target in the notation of targets
 * @property int $low minor units
 * @property int $high
 * @property string|null $note
 */
class Price extends Model implements Removable
{
    use KeepsHistory;
    use SoftDeletes;

    protected $fillable = ['target', 'low', 'high', 'note', 'form_token'];

    protected $attributes = ['note' => null, 'deleted_at' => null];

    protected $casts = ['low' => 'integer', 'high' => 'integer'];

    public function collectionId(): int
    {
        return $this->user_id;
    }

    public function home(): string
    {
        return route('money').'#prices';
    }

    public function sentence(): string
    {
        return "the price of {$this->target}";
    }
}
