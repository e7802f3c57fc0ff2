<?php

declare(strict_types=1);

namespace Destino\Inference\Evidence;

use Destino\Genome\Allele;
use Destino\Genome\LinkageGroup;
use Destino\Genome\SchoolChanges;
use Destino\Genome\Sex;
use Destino\Genome\State;

/** Which loci a statement names, and the part of a genotype that it speaks about. */
final class Naming
{
    /** @var array<string, array{Testimony, array<string, true>}> loci that a statement names, by statement and groups */
    private array $known = [];

    /**
     * @param list<LinkageGroup> $groups
     * @return array<string, true>
     */
    private static function lookForNames(array $groups, Testimony $testimony): array
    {
        $named = [];
        $wild = SchoolChanges::pairKey(Allele::WILD, Allele::WILD);
        foreach ($groups as $group) {
            if (! in_array($group->key, $testimony->says->groups(), true)) {
                continue;
            }
            foreach ($group->loci as $locus) {
                if ($locus !== Sex::LOCUS && ! $testimony->says->marginalAt($locus, $group)->probabilityOf($wild)->isOne()) {
                    $named[$locus] = true;
                }
            }
        }

        return $named;
    }

    /**
     * Loci at which the statement says something else than wild type.
     *
     * @param list<LinkageGroup> $groups
     * @return array<string, true>
     */
    public function loci(array $groups, Testimony $testimony): array
    {
        $key = spl_object_id($testimony).' '.implode('|', array_map(static fn (LinkageGroup $group): string => $group->key, $groups));
        $this->known[$key] ??= [$testimony, self::lookForNames($groups, $testimony)]; // kept, so that its number is not used again

        return $this->known[$key][1];
    }

    /**
     * The part of a state that a statement speaks about; with its phase where it names a whole group.
     *
     * @param list<LinkageGroup> $groups
     * @param array<string, true> $named
     */
    public static function part(State $state, array $groups, array $named): string
    {
        $parts = [];
        foreach ($groups as $group) {
            $own = array_filter($group->loci, static fn (string $locus): bool => isset($named[$locus]));
            $others = array_filter($group->loci, static fn (string $locus): bool => ! isset($named[$locus]) && $locus !== Sex::LOCUS);
            if ($own !== [] && $others === [] && count($group->loci) > 1) {
                $parts[] = $state->at($group)->key;

                continue;
            }
            foreach ($own as $i => $locus) {
                $parts[] = SchoolChanges::pairKey(...$state->at($group)->pairAt($i));
            }
        }

        return implode('|', $parts);
    }
}
