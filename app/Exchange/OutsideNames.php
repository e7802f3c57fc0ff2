<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Models\Animal;

/** Parents that several animals of a list name and that are no animal here: one and the same only when the keeper says so. */
class OutsideNames
{
    /**
     * @param list<int> $animals numbers
     * @return list<array{name: string, role: string, sex: string, count: int}> those of most animals first
     */
    public static function of(array $animals): array
    {
        $names = [];
        foreach (Animal::query()->whereKey($animals)->get(['id', 'sire_id', 'sire_name', 'dam_id', 'dam_name']) as $animal) {
            foreach (['sire' => 'male', 'dam' => 'female'] as $role => $sex) {
                $name = $animal->{"{$role}_id"} === null ? (string) $animal->{"{$role}_name"} : '';
                if ($name !== '') {
                    $key = "{$role} ".mb_strtolower($name);
                    $names[$key] ??= ['name' => $name, 'role' => $role, 'sex' => $sex, 'count' => 0];
                    $names[$key]['count']++;
                }
            }
        }
        $names = array_values(array_filter($names, fn (array $one): bool => $one['count'] > 1));
        usort($names, fn (array $a, array $b): int => $b['count'] <=> $a['count']);

        return $names;
    }
}
