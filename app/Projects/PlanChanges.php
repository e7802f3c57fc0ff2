<?php

declare(strict_types=1);

namespace App\Projects;

use Destino\Planning\Given\PlanAssumptions;

/** What a plan was made from against what it would be made from now, in words. Both as destino-project/1. */
final readonly class PlanChanges
{
    /** So many are named; of the others their number is said. */
    private const MOST = 6;

    /**
     * @param array<string, mixed> $then
     * @param array<string, mixed> $now
     * @param array<string, string> $names by the core's id
     * @return non-empty-list<string>
     */
    public static function between(array $then, array $now, array $names): array
    {
        $now = json_decode((string) json_encode($now), true); // as it would be kept
        $before = array_column($then['animals'] ?? [], null, 'id');
        $after = array_column($now['animals'] ?? [], null, 'id');
        $animals = [];
        foreach ($before + $after as $id => $one) {
            $says = match (true) {
                ! isset($before[$id]) => 'is new',
                ! isset($after[$id]) => 'is gone or is not bred',
                default => self::changed($before[$id], $after[$id], self::season($before[$id], $then), self::season($after[$id], $now)),
            };
            $says === null ?: $animals[] = ($names[$id] ?? $one['genes']).' '.$says;
        }
        $more = count($animals) - self::MOST;
        $all = [
            ...($more > 1 ? [...array_slice($animals, 0, self::MOST), "{$more} more animals changed"] : $animals),
            ...self::besides($then, $now),
        ];

        return $all === [] ? ['gene facts changed'] : $all;
    }

    /**
     * @param array<string, mixed> $before
     * @param array<string, mixed> $after
     */
    private static function changed(array $before, array $after, int $then, int $now): ?string
    {
        $parents = fn (array $one): array => [$one['sire'] ?? null, $one['dam'] ?? null];

        return match (true) {
            $before['genes'] !== $after['genes'] => "is {$after['genes']} now",
            $before['belief'] !== $after['belief'] => 'has other chances now',
            $before['sex'] !== $after['sex'] => "is {$after['sex']}",
            $then !== $now => $now < $then ? 'can breed sooner' : 'can breed only later',
            $parents($before) !== $parents($after) => 'has other parents',
            default => null,
        };
    }

    /**
     * The season, from 1, in which it can breed for the first time.
     *
     * @param array<string, mixed> $animal
     * @param array<string, mixed> $project
     */
    private static function season(array $animal, array $project): int
    {
        $grown = PlanAssumptions::of($project['assumptions'])->firstSeason($animal['sex'] === 'male', $animal['age'] ?? null,
            $animal['weight'] ?? null);

        return max($animal['from_season'] ?? 1, $grown);
    }

    /**
     * @param array<string, mixed> $then
     * @param array<string, mixed> $now
     * @return list<string>
     */
    private static function besides(array $then, array $now): array
    {
        $rules = fn (array $project): array => array_diff_key($project['rules'] ?? [], ['sound' => true]);
        $own = fn (array $project): array => [$project['target'], $project['horizon'], $rules($project)];

        return array_keys(array_filter([
            'offers changed' => ($then['market'] ?? []) !== ($now['market'] ?? []),
            'house rules or assumptions changed' => $then['assumptions'] !== $now['assumptions'],
            'malformed young were noted' => ($then['rules']['sound'] ?? []) !== ($now['rules']['sound'] ?? []),
            'the aim or the limits of the project changed' => $own($then) !== $own($now),
        ]));
    }
}
