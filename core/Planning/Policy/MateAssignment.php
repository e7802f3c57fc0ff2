<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** Assigns mates, the best pairs first: each female once, each male to as many females as he can serve. */
final class MateAssignment
{
    /**
     * The most promising pairs first; then whoever is left over, where somebody can be spared.
     *
     * @param list<array{Holding, Holding, float}> $wishes sire, dam and what they promise, the most first
     * @param int $most pairs
     * @return list<array{Holding, Holding}>
     */
    public static function of(array $wishes, int $femalesPerMale, int $most): array
    {
        $served = $pairs = [];
        foreach ($wishes as [$sire, $dam, $worth]) {
            if (count($pairs) < $most && ! isset($pairs[$dam->id]) && ($served[$sire->id] ?? 0) < $femalesPerMale) {
                $served[$sire->id] = ($served[$sire->id] ?? 0) + 1;
                $pairs[$dam->id] = [$sire, $dam, $worth];
            }
        }
        foreach ($wishes as $wish) {
            if (count($pairs) < $most && ! isset($pairs[$wish[1]->id])) {
                $pairs = self::madeRoomFor($wish, $pairs, $wishes, $served, $femalesPerMale);
            }
        }

        return array_map(static fn (array $pair): array => [$pair[0], $pair[1]], array_values($pairs));
    }

    /**
     * A female who is left over gets a male who has enough females, where one of these can go to another male and both pairs
     * together promise more.
     *
     * @param array{Holding, Holding, float} $wish
     * @param array<string, array{Holding, Holding, float}> $pairs by dam
     * @param list<array{Holding, Holding, float}> $wishes
     * @param array<string, int> $served by sire
     * @return array<string, array{Holding, Holding, float}> by dam
     */
    private static function madeRoomFor(array $wish, array $pairs, array $wishes, array &$served, int $femalesPerMale): array
    {
        [$sire, $dam, $worth] = $wish;
        foreach ($wishes as [$other, $mated, $instead]) {
            $had = $pairs[$mated->id] ?? null;
            $isFree = ($served[$other->id] ?? 0) < $femalesPerMale;
            if ($had !== null && $had[0]->id === $sire->id && $isFree && $worth + $instead > $had[2]) {
                $served[$other->id] = ($served[$other->id] ?? 0) + 1;

                return [$mated->id => [$other, $mated, $instead], $dam->id => $wish] + $pairs;
            }
        }

        return $pairs;
    }
}
