<?php

declare(strict_types=1);

namespace App\Models;

use Destino\Genome\Sex;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * An animal of the notebook of an unknown trait, or so many young alike.
 *
 * @property int $id
 * @property int $trait_id
 * @property string $name
 * @property Sex $sex
 * @property string $look
 * @property int|null $sire_id
 * @property int|null $dam_id
 * @property int $count
 * @property Carbon $on
 * @property OddTrait $oddTrait
 */
class TraitEntry extends Model implements Removable
{
    use KeepsHistory;
    use OfCollection;
    use SoftDeletes;

    public const LOOKS = [
        'normal' => 'normal', 'odd' => 'odd', 'strong' => 'stronger than odd', 'normal known' => 'the known gene alone',
        'odd known' => 'odd and the known gene',
    ];

    protected $fillable = ['name', 'sex', 'look', 'sire_id', 'dam_id', 'count', 'on', 'form_token'];

    protected $attributes = ['sire_id' => null, 'dam_id' => null, 'count' => 1, 'deleted_at' => null];

    protected $casts = ['sex' => Sex::class, 'sire_id' => 'integer', 'dam_id' => 'integer', 'count' => 'integer', 'on' => 'date:Y-m-d'];

    protected function parent(): ?Model
    {
        return $this->oddTrait()->first();
    }

    /** @return BelongsTo<OddTrait, $this> */
    public function oddTrait(): BelongsTo
    {
        return $this->belongsTo(OddTrait::class, 'trait_id')->withTrashed();
    }

    public function sentence(): string
    {
        return ($this->count > 1 ? "{$this->count} × " : '')."{$this->name}, {$this->sex->value}, "
            .(self::LOOKS[$this->look] ?? $this->look);
    }

    public function home(): string
    {
        return route('traits.show', $this->trait_id);
    }
}
