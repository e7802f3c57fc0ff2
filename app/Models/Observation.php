<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\Course;
use App\Models\Enums\Grade;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * A condition looked for in an animal, and how strongly it was seen.
 *
 * @property int $id
 * @property int $animal_id
 * @property string $condition
 * @property Grade $grade
 * @property Carbon $on
 * @property string|null $place where on the body
 * @property Course|null $decision what the keeper decided then
 * @property string|null $note
 * @property Animal $animal
 */
class Observation extends Model implements Removable
{
    use KeepsHistory;
    use OfAnimal;
    use SoftDeletes;

    protected $fillable = ['condition', 'grade', 'on', 'place', 'decision', 'note', 'form_token'];

    protected $attributes = ['note' => null, 'place' => null, 'decision' => null, 'deleted_at' => null];

    protected $casts = ['grade' => Grade::class, 'decision' => Course::class, 'on' => 'date:Y-m-d'];

    public function sentence(): string
    {
        return "{$this->condition}: {$this->grade->value}".($this->place === null ? '' : ", {$this->place}")
            .($this->decision === null ? '' : "; decided: {$this->decision->value}").($this->note === null ? '' : ", {$this->note}");
    }

    public function home(): string
    {
        return route('animals.show', $this->animal_id).'#conditions';
    }
}
