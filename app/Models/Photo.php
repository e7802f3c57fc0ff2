<?php

declare(strict_types=1);

namespace App\Models;

use App\Photos\PhotoPart;
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
 * @property int|null $across of the middle of the part that shows the animal, in thousandths of the width; null where all of it does
 * @property int|null $down in thousandths of the height
 * @property int|null $side of that part, a square, in thousandths of the shorter side
 * @property Animal $animal
 */
class Photo extends Model implements Removable
{
    use KeepsHistory;
    use OfAnimal;
    use SoftDeletes;

    protected $fillable = ['on', 'caption', 'file', 'width', 'height', 'across', 'down', 'side', 'form_token'];

    protected $attributes = ['caption' => null, 'across' => null, 'down' => null, 'side' => null, 'deleted_at' => null];

    protected $casts = [
        'on' => 'date:Y-m-d', 'width' => 'integer', 'height' => 'integer', 'across' => 'integer', 'down' => 'integer', 'side' => 'integer',
    ];

    /** The part of the picture that shows the animal; null where all of it does. */
    public function part(): ?PhotoPart
    {
        return PhotoPart::read($this->across, $this->down, $this->side);
    }

    /** @return array{int, int} width and height of what is shown, in pixels */
    public function shown(): array
    {
        $part = $this->part()?->within($this->width, $this->height);

        return $part === null ? [$this->width, $this->height] : [$part['side'], $part['side']];
    }

    public function home(): string
    {
        return route('animals.show', $this->animal_id).'#photos';
    }

    public function sentence(): string
    {
        return "the photograph of {$this->on->format('j M Y')}";
    }
}
