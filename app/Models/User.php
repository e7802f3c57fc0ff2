<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Str;

/**
 * @property int $id
 * @property string $name
 */
class User extends Authenticatable
{
    use HasFactory;

    protected $fillable = ['name', 'email', 'password'];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed'];

    /** The keeper of this installation; the first visit makes one. */
    public static function keeper(): self
    {
        return self::query()->orderBy('id')->first()
            ?? self::createOrFirst(['email' => 'keeper@destino.localhost'], ['name' => 'Keeper', 'password' => Str::random(40)]);
    }

    /** @return HasMany<Animal, $this> */
    public function animals(): HasMany
    {
        return $this->hasMany(Animal::class);
    }
}
