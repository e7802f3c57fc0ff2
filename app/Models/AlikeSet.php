<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * Hatchlings that are the same for something: all meet the target, or none does.
 *
 * @property int $id
 * @property int $clutch_id
 * @property string $target in the notation of targets
 * @property list<int> $animals
 * @property Clutch $clutch
 */
class AlikeSet extends Model implements Removable
{
    use KeepsHistory;
    use OfClutch;
    use SoftDeletes;

    protected $fillable = ['clutch_id', 'target', 'animals', 'form_token'];

    protected $attributes = ['deleted_at' => null];

    protected $casts = ['clutch_id' => 'integer', 'animals' => 'array'];

    public function sentence(): string
    {
        return count($this->animals)." hatchlings alike for {$this->target}";
    }

    public function home(): string
    {
        return route('bench', $this->clutch_id);
    }
}
