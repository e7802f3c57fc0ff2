<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * What a keeper works toward over several seasons.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property string $target in the notation
 * @property int $horizon seasons looked ahead
 * @property string $wanted one, two, three, pair or sure (a pair that gives the target in every egg)
 * @property array<string, mixed> $aim as Planning\Given\Aim has it
 * @property int $weight against other projects of a season
 * @property int|null $budget
 * @property int|null $tubs
 * @property list<array{genes: string, sex: string, age: int, price: int}> $offers
 * @property array<string, int|float> $assumptions those that differ from the defaults
 * @property list<array{int, int}> $forbidden sire and dam
 * @property array<string, int> $keep how many to keep, by the young's words
 * @property list<int> $pinned animals that every way must use
 * @property string|null $most_inbreeding F of the target's animals at the most
 * @property string|null $notes
 * @property Carbon|null $begun_on
 * @property int $version
 * @property Plan|null $latestPlan
 * @property User $keeper
 */
class Project extends Model implements Removable
{
    use KeepsHistory;
    use SoftDeletes;

    protected $fillable = [
        'name', 'target', 'horizon', 'wanted', 'weight', 'budget', 'tubs', 'offers', 'assumptions', 'forbidden', 'keep', 'pinned',
        'most_inbreeding', 'notes', 'begun_on', 'aim', 'form_token',
    ];

    protected $attributes = [
        'horizon' => 8, 'wanted' => 'one', 'weight' => 1, 'budget' => null, 'tubs' => null, 'offers' => '[]',
        'assumptions' => '[]', 'forbidden' => '[]', 'keep' => '[]', 'pinned' => '[]', 'most_inbreeding' => null, 'notes' => null,
        'begun_on' => null, 'aim' => '[]', 'version' => 1, 'deleted_at' => null,
    ];

    protected $casts = [
        'horizon' => 'integer', 'weight' => 'integer', 'budget' => 'integer', 'tubs' => 'integer', 'offers' => 'array',
        'assumptions' => 'array', 'aim' => 'array', 'forbidden' => 'array', 'keep' => 'array', 'pinned' => 'array',
            'begun_on' => 'date:Y-m-d',
        'version' => 'integer',
    ];

    public function collectionId(): int
    {
        return $this->user_id;
    }

    public function home(): string
    {
        return $this->trashed() ? route('projects.index') : route('projects.show', $this);
    }

    public function sentence(): string
    {
        return "the project {$this->name}";
    }

    /** @return BelongsTo<User, $this> */
    public function keeper(): BelongsTo
    {
        return $this->belongsTo(User::class, 'user_id');
    }

    /** @return HasMany<Plan, $this> */
    public function plans(): HasMany
    {
        return $this->hasMany(Plan::class);
    }

    /** @return HasOne<Plan, $this> the one that is shown */
    public function latestPlan(): HasOne
    {
        return $this->hasOne(Plan::class)->ofMany(['id' => 'max'], fn ($plans) => $plans->where('state', '!=', Plan::FOLLOWING));
    }

    /** Its offers as they are typed, one a line. */
    public function offersAsTyped(): string
    {
        return implode("\n", array_map(fn (array $offer): string => implode(', ', [
            $offer['sex'], $offer['genes'], "{$offer['age']} months", $offer['price'],
            ...array_map(
                fn (string $word): string => "{$word} {$offer[$word]}",
                array_filter(['from', 'until'], fn (string $word): bool => isset($offer[$word])),
            ),
        ]), $this->offers));
    }

    /** What its latest plan came to; nothing in it where there is none. */
    public function made(): PlanResult
    {
        return $this->latestPlan?->made() ?? PlanResult::of(null);
    }
}
