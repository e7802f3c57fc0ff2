<?php

declare(strict_types=1);

namespace Destino\Documents;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\JointBelief;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Planning\Given\ProjectError;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;

/**
 * What is believed of an animal, exactly: its words round a percentage, and cannot say what is tied together. A factor for each
 * set of linkage groups that are; in each the genotypes with their probability, haplotypes in the order of the group's loci.
 *
 * @phpstan-type StateEntry array{probability: string, haplotypes: array<string, array{list<string>, list<string>}>}
 * @phpstan-type FactorEntry array{groups: non-empty-list<string>, states: non-empty-list<StateEntry>}
 */
final readonly class BeliefDocument
{
    /** @return list<FactorEntry> */
    public static function of(Belief $belief): array
    {
        $factors = [];
        foreach ($belief->factors as $factor) {
            $states = [];
            foreach ($factor->states->entries() as [$state, $chance]) {
                $states[] = [
                    'probability' => $chance->toString(),
                    'haplotypes' => array_map(static fn (Diplotype $one): array => $one->haplotypes, $state->diplotypes),
                ];
            }
            if ($states !== [] && $factor->groups !== []) {
                $factors[] = ['groups' => $factor->groups, 'states' => $states];
            }
        }

        return $factors;
    }

    /**
     * @param list<FactorEntry> $factors
     *
     * @throws \Destino\DestinoError where these are no genotypes of the catalogue, or their probabilities do not add up to 1
     */
    public static function read(array $factors, Sex $sex, Catalogue $catalogue, string $where): Belief
    {
        $read = [];
        foreach ($factors as $i => $factor) {
            $weighted = [];
            foreach ($factor['states'] as $k => $entry) {
                $state = self::state($entry['haplotypes'], $catalogue, "{$where}[{$i}].states[{$k}]");
                $weighted[] = [$state->key, $state, Rational::parse($entry['probability'])];
            }
            $sum = array_reduce($weighted, static fn (Rational $all, array $one): Rational => $all->plus($one[2]), Rational::zero());
            $sum->isOne() || throw ProjectError::genes("{$where}[{$i}]", "the probabilities add up to {$sum->toString()} and not to 1.");
            $read[] = new JointBelief($factor['groups'], Distribution::ofWeighted($weighted));
        }

        return new Belief($sex, $read);
    }

    /** @param array<string, array{list<string>, list<string>}> $haplotypes by group */
    private static function state(array $haplotypes, Catalogue $catalogue, string $where): State
    {
        $diplotypes = [];
        foreach ($haplotypes as $key => [$first, $second]) {
            $group = $catalogue->groups[$key] ?? throw ProjectError::genes($where, "there is no linkage group “{$key}”.");
            self::check($group, $first, $catalogue, $where);
            self::check($group, $second, $catalogue, $where);
            $diplotypes[$key] = new Diplotype($first, $second);
        }

        return State::of($diplotypes);
    }

    /** @param list<string> $haplotype */
    private static function check(LinkageGroup $group, array $haplotype, Catalogue $catalogue, string $where): void
    {
        if (count($haplotype) !== count($group->loci)) {
            throw ProjectError::genes($where,
                "a haplotype of “{$group->key}” has ".count($group->loci).' alleles: '.implode(', ', $group->loci).'.');
        }
        foreach ($group->loci as $i => $locus) {
            $known = $locus === Sex::LOCUS ? [Sex::X, Sex::Y] : [Allele::WILD, ...$catalogue->locus($locus)->alleles];
            if (! in_array($haplotype[$i], $known, true)) {
                throw ProjectError::genes($where, "“{$haplotype[$i]}” is no allele of the locus “{$locus}”.");
            }
        }
    }
}
