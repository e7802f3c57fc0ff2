<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\Right;
use App\Models\Enums\Role;
use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Laravel\Sanctum\HasApiTokens;

/**
 * A person: the owner of a collection, or a helper or viewer of one.
 *
 * @property int $id
 * @property string $name
 * @property string $email
 * @property int|null $owner_id
 * @property Role $role
 * @property User|null $owner
 */
class User extends Authenticatable
{
    use HasApiTokens;
    /** @use HasFactory<UserFactory> */
    use HasFactory;

    protected $fillable = ['name', 'email', 'password', 'owner_id', 'role'];

    protected $attributes = ['role' => 'owner', 'owner_id' => null];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed', 'role' => Role::class, 'owner_id' => 'integer'];

    /** The address of an owner whom an early version made without asking; the first start gives him to somebody. */
    private const UNCLAIMED = 'keeper@destino.localhost';

    /** Whether somebody has made an account here. */
    public static function hasBegun(): bool
    {
        return self::query()->where('email', '!=', self::UNCLAIMED)->exists();
    }

    /** @param array<string, mixed> $values name, email and password */
    public static function begin(array $values): self
    {
        $owner = self::query()->where('email', self::UNCLAIMED)->first() ?? new self;
        $owner->fill($values)->save();

        return $owner;
    }

    /** @return BelongsTo<User, $this> */
    public function owner(): BelongsTo
    {
        return $this->belongsTo(self::class, 'owner_id');
    }

    /** The owner of the collection in which this person works. */
    public function keeper(): self
    {
        return $this->owner_id === null ? $this : $this->owner()->firstOrFail();
    }

    public function collectionId(): int
    {
        return $this->owner_id ?? $this->id;
    }

    public function has(Right $right): bool
    {
        return $this->role->has($right);
    }

    /** @return HasMany<User, $this> */
    public function people(): HasMany
    {
        return $this->hasMany(self::class, 'owner_id');
    }

    /** @return HasMany<Animal, $this> */
    public function animals(): HasMany
    {
        return $this->hasMany(Animal::class);
    }

    /** @return HasMany<Rack, $this> */
    public function racks(): HasMany
    {
        return $this->hasMany(Rack::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Clutch, $this> */
    public function clutches(): HasMany
    {
        return $this->hasMany(Clutch::class);
    }

    /** @return HasMany<Import, $this> */
    public function imports(): HasMany
    {
        return $this->hasMany(Import::class);
    }

    /** @return HasMany<Project, $this> */
    public function projects(): HasMany
    {
        return $this->hasMany(Project::class);
    }

    /** @return HasMany<Decision, $this> */
    public function decisions(): HasMany
    {
        return $this->hasMany(Decision::class);
    }

    /** @return HasMany<OddTrait, $this> */
    public function oddTraits(): HasMany
    {
        return $this->hasMany(OddTrait::class);
    }

    /** @return HasMany<GeneChange, $this> */
    public function geneChanges(): HasMany
    {
        return $this->hasMany(GeneChange::class);
    }

    /** @return HasMany<SavedSearch, $this> */
    public function savedSearches(): HasMany
    {
        return $this->hasMany(SavedSearch::class)->orderBy('name');
    }

    /** @return HasMany<AlikeSet, $this> */
    public function alikeSets(): HasMany
    {
        return $this->hasMany(AlikeSet::class);
    }

    /** @return HasMany<Drill, $this> */
    public function drills(): HasMany
    {
        return $this->hasMany(Drill::class);
    }

    /** @return HasMany<Reading, $this> */
    public function readings(): HasMany
    {
        return $this->hasMany(Reading::class);
    }

    /** @return HasMany<Price, $this> */
    public function prices(): HasMany
    {
        return $this->hasMany(Price::class)->orderByDesc('high')->orderBy('id');
    }

    /** @return HasMany<Booking, $this> */
    public function bookings(): HasMany
    {
        return $this->hasMany(Booking::class)->orderByDesc('on')->orderByDesc('id');
    }

    /** @return HasMany<Incubator, $this> */
    public function incubators(): HasMany
    {
        return $this->hasMany(Incubator::class)->orderBy('name')->orderBy('id');
    }

    /** @return HasOne<HouseRules, $this> */
    public function houseRules(): HasOne
    {
        return $this->hasOne(HouseRules::class);
    }
}
