<?php

declare(strict_types=1);

namespace App\Models\Casts;

use DateTimeInterface;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A moment that is kept in UTC whatever zone the house is in: a change of the clocks makes no hour twice.
 *
 * @implements CastsAttributes<Carbon, DateTimeInterface|string>
 */
class InUtc implements CastsAttributes
{
    public function get(Model $model, string $key, mixed $value, array $attributes): ?Carbon
    {
        return $value === null ? null : Carbon::parse((string) $value, 'UTC');
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return match (true) {
            $value === null => null,
            $value instanceof DateTimeInterface => Carbon::instance($value)->utc()->format('Y-m-d H:i:s'),
            default => Carbon::parse($value, 'UTC')->utc()->format('Y-m-d H:i:s'),
        };
    }
}
