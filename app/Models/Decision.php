<?php

declare(strict_types=1);

namespace App\Models;

use Destino\Inference\Faults\FaultKind;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * What a keeper holds to be wrong in the records, where young hatched that they exclude.
 *
 * @property int $id
 * @property int $user_id
 * @property int|null $animal_id whom it is about
 * @property int|null $count_id or which count of young
 * @property FaultKind $kind
 * @property list<string> $alleles
 * @property string|null $instead what a misnamed gene is
 * @property string $reason
 * @property Carbon $on
 * @property Animal|null $animal
 */
class Decision extends Model implements Removable
{
    use KeepsHistory;
    use SoftDeletes;

    protected $fillable = ['animal_id', 'count_id', 'kind', 'alleles', 'instead', 'reason', 'on', 'form_token'];

    protected $attributes = ['animal_id' => null, 'count_id' => null, 'alleles' => '[]', 'instead' => null, 'deleted_at' => null];

    protected $casts = [
        'animal_id' => 'integer', 'count_id' => 'integer', 'kind' => FaultKind::class, 'alleles' => 'array', 'on' => 'date:Y-m-d',
    ];

    public function collectionId(): int
    {
        return $this->user_id;
    }

    /** @return BelongsTo<Animal, $this> */
    public function animal(): BelongsTo
    {
        return $this->belongsTo(Animal::class)->withTrashed();
    }

    /** @return BelongsTo<ClutchCount, $this> */
    public function clutchCount(): BelongsTo
    {
        return $this->belongsTo(ClutchCount::class, 'count_id')->withTrashed();
    }

    public function subject(): string
    {
        return $this->animal->name ?? $this->clutchCount()->first()?->sentence() ?? 'a count of young';
    }

    public function sentence(): string
    {
        return "the decision about {$this->subject()}";
    }

    public function home(): string
    {
        return route('prove');
    }
}
