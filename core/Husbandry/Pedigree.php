<?php

declare(strict_types=1);

namespace Destino\Husbandry;

use Destino\Probability\Rational;

/**
 * Who descends from whom, and how closely two animals are related. Parents that are not recorded count as unrelated to
 * everybody, so every figure is a least one: what the records show.
 */
final class Pedigree
{
    /** @var array<string, array{string|null, string|null}> sire and dam by animal */
    private readonly array $parents;

    /** @var array<string, int> place in an order in which parents come before their young */
    private readonly array $order;

    /** @var array<string, Rational> by pair, once computed */
    private array $kinships = [];

    /**
     * @param array<string, array{string|null, string|null}> $parents sire and dam by animal (names that PHP would
     *     not turn into integers); parents that are not among the animals are founders
     *
     * @throws PedigreeError when an animal would be its own ancestor
     */
    public function __construct(array $parents)
    {
        foreach ($parents as $pair) {
            foreach ($pair as $parent) {
                if ($parent !== null) {
                    $parents[$parent] ??= [null, null];
                }
            }
        }
        $this->parents = $parents;
        $this->order = self::ordered($parents);
    }

    /**
     * The coefficient of kinship: P(an allele drawn from one and an allele drawn from the other are copies of one and
     * the same ancestral allele). It is the inbreeding coefficient that their offspring would have.
     *
     * By the tabular method: with b the younger, f(a, b) = ½·[f(a, sire of b) + f(a, dam of b)], and
     * f(a, a) = ½·[1 + f(sire of a, dam of a)] (Emik & Terrill 1949). Only ancestors of the two are visited, each pair once.
     *
     * @throws PedigreeError when an animal is not in the pedigree
     */
    public function kinship(string $a, string $b): Rational
    {
        $this->require($a, $b);

        return $this->coancestry($a, $b);
    }

    /**
     * The inbreeding coefficient F: the kinship of the parents, 0 where one is not recorded.
     *
     * @throws PedigreeError when the animal is not in the pedigree
     */
    public function inbreeding(string $animal): Rational
    {
        $this->require($animal);
        [$sire, $dam] = $this->parents[$animal];

        return $sire === null || $dam === null ? Rational::zero() : $this->coancestry($sire, $dam);
    }

    /**
     * @return list<string> every recorded ancestor, without the animal itself
     *
     * @throws PedigreeError when the animal is not in the pedigree
     */
    public function ancestors(string $animal): array
    {
        $this->require($animal);
        $found = [];
        $open = [$animal];
        while ($open !== []) {
            foreach ($this->parents[array_pop($open)] as $parent) {
                if ($parent !== null && ! isset($found[$parent])) {
                    $found[$parent] = true;
                    $open[] = $parent;
                }
            }
        }

        return array_keys($found);
    }

    /**
     * @return list<string> ancestors that both have, and an animal itself where it is an ancestor of the other
     *
     * @throws PedigreeError when an animal is not in the pedigree
     */
    public function commonAncestors(string $a, string $b): array
    {
        return array_values(array_intersect([$a, ...$this->ancestors($a)], [$b, ...$this->ancestors($b)]));
    }

    /**
     * @return list<string> those common ancestors that are not themselves ancestors of another one
     *
     * @throws PedigreeError when an animal is not in the pedigree
     */
    public function nearestCommonAncestors(string $a, string $b): array
    {
        $common = $this->commonAncestors($a, $b);
        $behind = array_merge([], ...array_map($this->ancestors(...), $common));

        return array_values(array_diff($common, $behind));
    }

    private function coancestry(string $a, string $b): Rational
    {
        [$older, $younger] = $this->order[$a] <= $this->order[$b] ? [$a, $b] : [$b, $a];

        return $this->kinships["{$older} {$younger}"] ??= $this->expand($older, $younger);
    }

    private function expand(string $older, string $younger): Rational
    {
        [$sire, $dam] = $this->parents[$younger];
        $half = Rational::of(1, 2);
        if ($older === $younger) {
            return $half->times(Rational::one()->plus($sire === null || $dam === null ? Rational::zero() : $this->coancestry($sire, $dam)));
        }
        $sum = Rational::zero();
        foreach ([$sire, $dam] as $parent) {
            $sum = $parent === null ? $sum : $sum->plus($this->coancestry($older, $parent));
        }

        return $half->times($sum);
    }

    /** @throws PedigreeError */
    private function require(string ...$animals): void
    {
        foreach ($animals as $animal) {
            if (! isset($this->parents[$animal])) {
                throw PedigreeError::unknownAnimal($animal);
            }
        }
    }

    /**
     * @param array<string, array{string|null, string|null}> $parents
     * @return array<string, int>
     *
     * @throws PedigreeError
     */
    private static function ordered(array $parents): array
    {
        $order = [];
        $waiting = [];
        foreach (array_keys($parents) as $start) {
            $stack = [$start];
            while ($stack !== []) {
                $animal = $stack[count($stack) - 1];
                $missing = array_filter(
                    $parents[$animal], static fn (?string $parent): bool => $parent !== null && ! isset($order[$parent]),
                );
                if (isset($order[$animal]) || $missing === []) {
                    $order[$animal] ??= count($order);
                    unset($waiting[$animal]);
                    array_pop($stack);

                    continue;
                }
                $waiting[$animal] = true;
                foreach ($missing as $parent) {
                    if (isset($waiting[$parent])) {
                        throw PedigreeError::ownAncestor($parent);
                    }
                    $stack[] = $parent;
                }
            }
        }

        return $order;
    }
}
