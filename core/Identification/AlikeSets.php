<?php

declare(strict_types=1);

namespace Destino\Identification;

/**
 * Sets of hatchlings that are the same for a target. Sets for one target that share a hatchling say the same as their union,
 * and are one set; every further set doubles what has to be gone through.
 *
 * @phpstan-import-type Alike from Clutch
 */
final class AlikeSets
{
    public const MOST = 8;

    /**
     * @param list<Alike> $sets
     * @return list<Alike> as few as say the same, in the order of their first hatchlings
     *
     * @throws IdentificationError where they are too many
     */
    public static function joined(array $sets): array
    {
        $joined = [];
        foreach ($sets as $set) {
            foreach ($joined as $i => $other) {
                if ($other['target']->text === $set['target']->text && array_intersect($other['hatchlings'], $set['hatchlings']) !== []) {
                    $set['hatchlings'] = array_values(array_unique([...$other['hatchlings'], ...$set['hatchlings']]));
                    unset($joined[$i]);
                }
            }
            $joined[] = $set;
        }

        return count($joined) > self::MOST ? throw IdentificationError::tooManySets(count($joined), self::MOST) : array_values($joined);
    }
}
