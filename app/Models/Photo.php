<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property int $animal_id
 * @property Carbon $on
 * @property string|null $caption
 * @property string $file in the folder of photographs
 * @property int $width
 * @property int $height
 * @property Animal $animal
 */
class Photo extends Model implements Removable
{
    use KeepsHistory;
    use OfAnimal;
    use SoftDeletes;

    protected $fillable = ['on', 'caption', 'file', 'width', 'height', 'form_token'];

    protected $attributes = ['caption' => null, 'deleted_at' => null];

    protected $casts = ['on' => 'date:Y-m-d', 'width' => 'integer', 'height' => 'integer'];

    public function home(): string
    {
        return route('animals.show', $this->animal_id).'#photos';
    }

    public function sentence(): string
    {
        return "the photograph of {$this->on->format('j M Y')}";
    }
}
