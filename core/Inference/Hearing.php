<?php

declare(strict_types=1);

namespace Destino\Inference;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\SchoolChanges;
use Destino\Genome\Sex;
use Destino\Probability\Rational;

/**
 * What the statements about an animal say of some linkage groups.
 *
 * @phpstan-type State array<string, Diplotype>
 */
final class Hearing
{
    /** @var array<string, array<string, true>> loci that a statement names, by statement and groups */
    private array $named = [];

    public function __construct(private readonly Catalogue $catalogue) {}

    /**
     * Statements that say something here, the weightiest first.
     *
     * @param list<LinkageGroup> $groups
     * @return list<Testimony>
     */
    public function relevant(array $groups, Individual $animal, bool $hasPrior): array
    {
        $names = $order = [];
        foreach ($animal->testimonies as $i => $one) {
            $names[$one->id] = $this->namedLoci($groups, $one) !== [];
            $order[$one->id] = $i;
        }
        $relevant = array_filter($animal->testimonies, static fn (Testimony $one): bool => $one->namesAllThatShows || $names[$one->id]);
        // A founder starts from a statement that names something here; one that only says what is not seen narrows it.
        usort($relevant, static fn (Testimony $a, Testimony $b): int => [! $hasPrior && $names[$b->id], $b->source->rank(), $order[$b->id]] <=> [! $hasPrior && $names[$a->id], $a->source->rank(), $order[$a->id]]);

        return $relevant;
    }

    /**
     * P(named part of a state | the statement), by the key of that part.
     *
     * @param list<LinkageGroup> $groups
     * @return array<string, Rational>
     */
    public function chances(array $groups, Testimony $testimony): array
    {
        $named = $this->namedLoci($groups, $testimony);
        $chances = [];
        foreach ($testimony->says->statesOver($groups) as [$state, $p]) {
            $key = $this->namedPart($state, $groups, $named);
            $chances[$key] = isset($chances[$key]) ? $chances[$key]->plus($p) : $p;
        }

        return $chances;
    }

    /**
     * @param State $state
     * @param list<LinkageGroup> $groups
     * @param array<string, Rational> $says
     * @return Rational|null P(the named part | the statement); null where the statement excludes the state
     */
    public function allows(array $state, array $groups, Testimony $testimony, array $says): ?Rational
    {
        $named = $this->namedLoci($groups, $testimony);
        $chance = $says[$this->namedPart($state, $groups, $named)] ?? null;
        if ($chance === null || ! $testimony->namesAllThatShows) {
            return $chance;
        }
        foreach ($groups as $group) {
            foreach ($group->loci as $i => $locus) {
                if ($locus !== Sex::LOCUS && ! isset($named[$locus]) && $this->catalogue->form($locus, ...$state[$group->key]->pairAt($i))->shows !== []) {
                    return null;
                }
            }
        }

        return $chance;
    }

    /**
     * Loci at which the statement says something else than wild type.
     *
     * @param list<LinkageGroup> $groups
     * @return array<string, true>
     */
    public function namedLoci(array $groups, Testimony $testimony): array
    {
        $key = spl_object_id($testimony).' '.implode('|', array_map(static fn (LinkageGroup $group): string => $group->key, $groups));

        return $this->named[$key] ??= $this->lookForNames($groups, $testimony);
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return array<string, true>
     */
    private function lookForNames(array $groups, Testimony $testimony): array
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
     * The part of a state that a statement speaks about; with its phase where it names a whole group.
     *
     * @param State $state
     * @param list<LinkageGroup> $groups
     * @param array<string, true> $named
     */
    public function namedPart(array $state, array $groups, array $named): string
    {
        $parts = [];
        foreach ($groups as $group) {
            $own = array_filter($group->loci, static fn (string $locus): bool => isset($named[$locus]));
            $others = array_filter($group->loci, static fn (string $locus): bool => ! isset($named[$locus]) && $locus !== Sex::LOCUS);
            if ($own !== [] && $others === [] && count($group->loci) > 1) {
                $parts[] = $state[$group->key]->key;

                continue;
            }
            foreach ($own as $i => $locus) {
                $parts[] = SchoolChanges::pairKey(...$state[$group->key]->pairAt($i));
            }
        }

        return implode('|', $parts);
    }

    /** @return list<list<string>> */
    public function outsideHaplotypes(LinkageGroup $group, Individual $animal, Sex $parent): array
    {
        $haplotypes = [[]];
        foreach ($group->loci as $locus) {
            $alleles = $locus === Sex::LOCUS ? ($parent === Sex::Male ? [Sex::X, Sex::Y] : [Sex::X]) : [Allele::WILD, ...$this->namedAt($animal, $group, $locus)];
            $haplotypes = array_merge(...array_map(static fn (array $haplotype): array => array_map(static fn (string $allele): array => [...$haplotype, $allele], $alleles), $haplotypes));
        }

        return $haplotypes;
    }

    /** @return list<string> alleles that a statement allows here */
    private function namedAt(Individual $animal, LinkageGroup $group, string $locus): array
    {
        $alleles = [];
        foreach ($animal->testimonies as $testimony) {
            foreach ($testimony->says->marginalAt($locus, $group)->entries() as [$pair]) {
                $alleles += array_flip($pair);
            }
        }
        unset($alleles[Allele::WILD]);

        return array_map(strval(...), array_keys($alleles));
    }
}
