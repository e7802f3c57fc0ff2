<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * What was seen of a cue on an animal. The latest of somebody counts; another keeper's opinion is kept as theirs and does not.
 *
 * @property int $id
 * @property int $animal_id
 * @property string $cue key of the gene facts
 * @property string $state
 * @property Carbon $on
 * @property string|null $who
 * @property Animal $animal
 */
class Sighting extends Model implements Removable
{
    use KeepsHistory;
    use OfAnimal;
    use SoftDeletes;

    protected $fillable = ['cue', 'state', 'on', 'who', 'form_token'];

    protected $attributes = ['who' => null, 'deleted_at' => null];

    protected $casts = ['on' => 'date:Y-m-d'];

    public function sentence(): string
    {
        return str_replace('-', ' ', $this->cue).": {$this->state}".($this->who === null ? '' : ", as {$this->who} sees it");
    }

    public function home(): string
    {
        $clutch = $this->animal()->value('clutch_id');

        return $clutch === null ? route('animals.show', $this->animal_id) : route('bench', $clutch);
    }
}
