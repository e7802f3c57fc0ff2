<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Catalogue;
use Destino\Genome\LinkageGroup;
use Destino\Inference\Faults\Fault;

/** The linkage groups that the records of a family speak of. */
final readonly class TiedGroups
{
    /**
     * @param list<Fault> $decided what the keeper holds to be wrong
     * @return list<list<LinkageGroup>> that anything is recorded of in a family; groups that a statement ties stand together
     */
    public static function of(Catalogue $catalogue, Family $family, array $decided): array
    {
        $tied = [];
        foreach ([...$family->members, ...$family->eggs] as $member) {
            foreach ($member->animal->testimonies ?? [] as $testimony) {
                foreach ($testimony->says->factors as $factor) {
                    self::tie($tied, $factor->groups);
                }
                foreach ($testimony->absent as $allele) {
                    self::tie($tied, [$catalogue->groupOf($catalogue->allele($allele)->locus)->key]);
                }
            }
            $saw = $member->animal->saw ?? $member->brood?->saw;
            foreach ($saw?->loci() ?? [] as $locus) {
                self::tie($tied, [$catalogue->groupOf($locus)->key]);
            }
            if ($saw?->sex !== null) {
                self::tie($tied, [$catalogue->sexGroup()->key]);
            }
        }
        foreach ($decided as $fault) {
            foreach ($fault->isHeardAnywhere() ? $fault->alleles : [] as $allele) {
                self::tie($tied, [$catalogue->groupOf($catalogue->allele($allele)->locus)->key]);
            }
        }
        $sets = [];
        foreach ($catalogue->groups as $key => $group) {
            if (isset($tied[$key])) {
                $sets[$tied[$key]][] = $group;
            }
        }

        return array_values($sets);
    }

    /**
     * @param array<string, string> $tied name of the set by group
     * @param list<string> $groups
     */
    private static function tie(array &$tied, array $groups): void
    {
        foreach ($groups as $group) {
            $tied[$group] ??= $group;
        }
        $names = array_map(static fn (string $group): string => $tied[$group], $groups);
        foreach (count(array_unique($names)) > 1 ? $tied : [] as $group => $name) {
            $tied[$group] = in_array($name, $names, true) ? $names[0] : $name;
        }
    }
}
