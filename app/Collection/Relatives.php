<?php

declare(strict_types=1);

namespace App\Collection;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\JointBelief;
use Destino\Genome\SchoolChanges;
use Destino\Genome\State;
use Destino\Inference\Descent\Conflict;
use Destino\Inference\Descent\Derived;
use Destino\Inference\Descent\Reason;
use Destino\Notation\Printer;
use Destino\Probability\Distribution;
use Destino\Probability\NearestFraction;
use Destino\Probability\Rational;

/**
 * Brings what all relatives say of an animal into what follows from its statements and parents.
 *
 * @phpstan-type Why array{reasons: array<string, list<array{string, string}>>, conflicts: list<array{list<string>, list<string>}>}
 */
final class Relatives
{
    /** Digits of a denominator that can still be read. */
    private const DIGITS = 8;

    public function __construct(private readonly Catalogue $catalogue) {}

    /**
     * Fractions that no longer can be read give way to the simplest within a ten-millionth of their value: what is kept of
     * a belief is for pairings and pages, and every conclusion starts from the records again.
     *
     * @param  Distribution<State>  $states
     * @return Distribution<State>
     */
    public static function readable(Distribution $states): Distribution
    {
        $entries = $states->entries();
        $longest = max([0, ...array_map(fn (array $entry): int => strlen((string) $entry[1]->denominator()), $entries)]);
        if ($longest <= self::DIGITS) {
            return $states;
        }
        uasort($entries, fn (array $a, array $b): int => $b[1]->compareTo($a[1]));
        $weighted = [];
        $others = Rational::zero();
        foreach (array_slice($entries, 1, null, true) as $key => [$state, $chance]) {
            $simple = NearestFraction::of($chance->toFloat(), 1e-7 * $chance->toFloat());
            $others = $others->plus($simple);
            $weighted[] = [(string) $key, $state, $simple];
        }
        $largest = (string) array_key_first($entries);

        return Distribution::ofWeighted([[$largest, $entries[$largest][0], $others->complement()], ...$weighted]);
    }

    /**
     * What relatives say stands in the place of what was believed, wherever they say something.
     *
     * @param list<array{list<string>, Distribution<State>}> $states by set of groups
     */
    public function join(Belief $belief, array $states): Belief
    {
        $factors = [];
        $said = [];
        foreach ($states as [$groups, $distribution]) {
            $said = [...$said, ...$groups];
            array_push($factors, ...self::apart(new JointBelief($groups, $distribution)));
        }
        foreach ($belief->factors as $factor) {
            if (array_intersect($factor->groups, $said) === []) {
                $factors[] = $factor;
            }
        }
        $order = array_flip(array_keys($this->catalogue->groups));
        usort($factors, fn (JointBelief $a, JointBelief $b): int => $order[$a->groups[0]] <=> $order[$b->groups[0]]);

        return new Belief($belief->sex, $factors);
    }

    /**
     * How an animal came to what is believed: by locus, who spoke and what was believed after it; and which sides exclude each other.
     *
     * @return Why
     */
    public function told(Derived $derived, Belief $belief): array
    {
        $printer = new Printer($this->catalogue);
        $wild = SchoolChanges::pairKey(Allele::WILD, Allele::WILD);
        $reasons = [];
        foreach ($derived->reasons as $locus => $steps) {
            if (array_filter($steps, fn (Reason $step): bool => ! $step->after->probabilityOf($wild)->isOne()) !== []) {
                $reasons[$locus] = array_map(
                    fn (Reason $step): array => [$step->by, Printer::text([$printer->locus($locus, $step->after)])], $steps,
                );
            }
        }
        foreach ($belief->groups() as $key) {
            foreach ($this->moved($key, $derived->belief, $belief) as $locus => $after) {
                $reasons[$locus][] = [Reason::RELATIVES, Printer::text([$printer->locus($locus, $after)])];
            }
        }

        return [
            'reasons' => $reasons,
            'conflicts' => array_map(fn (Conflict $conflict): array => [$conflict->loci, $conflict->sides], $derived->conflicts),
        ];
    }

    /** @return array<string, Distribution<array{string, string}>> what is believed at the loci of a group that relatives moved */
    private function moved(string $key, Belief $before, Belief $after): array
    {
        $group = $this->catalogue->groups[$key];
        $moved = [];
        foreach (array_diff($group->loci, [\Destino\Genome\Sex::LOCUS]) as $locus) {
            $own = $before->marginalAt($locus, $group);
            $all = $after->marginalAt($locus, $group);
            foreach ($all->entries() as $pair => [, $chance]) {
                if (! $chance->equals($own->probabilityOf((string) $pair))) {
                    $moved[$locus] = $all;
                    break;
                }
            }
        }

        return $moved;
    }

    /** @return list<JointBelief> groups that are independent each by itself; those that are plainly wild type left out */
    private static function apart(JointBelief $joint): array
    {
        $single = [];
        foreach ($joint->groups as $group) {
            $weighted = [];
            foreach ($joint->states->entries() as [$state, $chance]) {
                $own = State::of([$group => $state->diplotypes[$group]]);
                $weighted[] = [$own->key, $own, $chance];
            }
            $single[$group] = new JointBelief([$group], Distribution::ofWeighted($weighted));
        }

        return self::isProduct($joint, $single) ? array_values(array_filter($single, self::saysSomething(...))) : [$joint];
    }

    /** @param array<string, JointBelief> $single by group */
    private static function isProduct(JointBelief $joint, array $single): bool
    {
        if (count($joint->groups) === 1) {
            return true;
        }
        foreach ($joint->states->entries() as [$state, $chance]) {
            $product = Rational::one();
            foreach ($joint->groups as $group) {
                $product = $product->times($single[$group]->states->probabilityOf($state->diplotypes[$group]->key));
            }
            if (! $product->equals($chance)) {
                return false;
            }
        }

        return array_product(array_map(fn (JointBelief $one): int => $one->states->count(), $single)) === $joint->states->count();
    }

    private static function saysSomething(JointBelief $one): bool
    {
        foreach ($one->states->entries() as [$state]) {
            foreach ($state->diplotypes as $diplotype) {
                if (! $diplotype->isWild()) {
                    return true;
                }
            }
        }

        return false;
    }
}
