<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * An odd look of which nobody knows how it is inherited.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property string|null $gene key of the known gene that it may be allelic to
 * @property string|null $notes
 * @property int $version
 * @property \Illuminate\Database\Eloquent\Collection<int, TraitEntry> $entries
 */
class OddTrait extends Model implements Removable
{
    use KeepsHistory;
    use SoftDeletes;

    protected $table = 'traits';

    protected $fillable = ['name', 'gene', 'notes', 'form_token'];

    protected $attributes = ['gene' => null, 'notes' => null, 'version' => 1, 'deleted_at' => null];

    protected $casts = ['version' => 'integer'];

    public function collectionId(): int
    {
        return $this->user_id;
    }

    /** @return HasMany<TraitEntry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(TraitEntry::class, 'trait_id')->orderBy('on')->orderBy('id');
    }

    public function sentence(): string
    {
        return "the notebook of {$this->name}";
    }

    public function home(): string
    {
        return $this->trashed() ? route('prove') : route('traits.show', $this);
    }
}
