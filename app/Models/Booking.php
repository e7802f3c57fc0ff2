<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\BookingKind;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * Money that went or came, besides animals bought and sold.
 *
 * @property int $id
 * @property int $user_id
 * @property BookingKind $kind
 * @property Carbon $on
 * @property int $amount minor units
 * @property int|null $animal_id
 * @property int|null $project_id
 * @property string|null $note
 * @property Animal|null $animal
 * @property Project|null $project
 */
class Booking extends Model implements Removable
{
    use KeepsHistory;
    use SoftDeletes;

    protected $fillable = ['kind', 'on', 'amount', 'animal_id', 'project_id', 'note', 'form_token'];

    protected $attributes = ['animal_id' => null, 'project_id' => null, 'note' => null, 'deleted_at' => null];

    protected $casts = [
        'kind' => BookingKind::class, 'on' => 'date:Y-m-d', 'amount' => 'integer', 'animal_id' => 'integer', 'project_id' => 'integer',
    ];

    /** @return BelongsTo<Animal, $this> */
    public function animal(): BelongsTo
    {
        return $this->belongsTo(Animal::class)->withTrashed();
    }

    /** @return BelongsTo<Project, $this> */
    public function project(): BelongsTo
    {
        return $this->belongsTo(Project::class)->withTrashed();
    }

    public function collectionId(): int
    {
        return $this->user_id;
    }

    public function home(): string
    {
        return route('money', ['year' => $this->on->format('Y')]);
    }

    public function sentence(): string
    {
        return "{$this->kind->words()} of {$this->on->format('j M Y')}";
    }
}
