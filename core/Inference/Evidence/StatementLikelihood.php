<?php

declare(strict_types=1);

namespace Destino\Inference\Evidence;

use Destino\Probability\Rational;
use Destino\Probability\Weights;

/** P(statement | genotype), up to a factor: what a statement that is c sure weighs for each genotype of an animal with parents. */
final class StatementLikelihood
{
    /**
     * It weighs c for what it allows against 1 − c for the rest. Where its percentages count, since nothing else says them, they take
     * the place of those that follow from the parents as far as it is more sure than not: with d = 1 − c,
     *
     *     d + (c − d) · P(part | statement) / P(part | what it allows)
     *
     * whose average over what it allows is c, so that one at 50 % moves nothing and one at 75 % weighs 3 : 1, whatever it names.
     *
     * @template K of array-key
     *
     * @param array<K, Rational|null> $says P(named part | statement) by genotype; null where the statement excludes it
     * @param array<K, array-key>|null $parts the named part of each genotype; null where the percentages do not count
     * @param array<K, Rational> $before weight of each genotype before the statement
     * @return array<K, Rational> by genotype
     */
    public static function of(Rational $certainty, array $says, ?array $parts = null, array $before = []): array
    {
        $doubt = Rational::one()->minus($certainty);
        $taken = $certainty->minus($doubt);
        $shares = $parts === null || $taken->compareTo(Rational::zero()) <= 0 ? null : self::shares($says, $parts, $before);
        $weights = [];
        foreach ($says as $key => $chance) {
            $weights[$key] = match (true) {
                $chance === null => $doubt,
                $shares !== null => $doubt->plus($taken->times($shares[$key])),
                default => $certainty,
            };
        }

        return $weights;
    }

    /**
     * P(part | statement) / P(part | what it allows), each before the statement.
     *
     * @param array<array-key, Rational|null> $says
     * @param array<array-key, array-key> $parts
     * @param array<array-key, Rational> $before
     * @return array<array-key, Rational> of the genotypes that it allows
     */
    private static function shares(array $says, array $parts, array $before): array
    {
        $weights = new Weights;
        $said = [];
        $all = Rational::zero();
        foreach (array_filter($says) as $key => $chance) {
            $prior = $before[$key] ?? Rational::zero();
            $weights->add($parts[$key], null, $prior);
            $all = $all->plus($prior);
            if (! $prior->isZero()) {
                $said[$parts[$key]] = $chance;
            }
        }
        $sums = $weights->sums();
        $possible = array_reduce($said, static fn (Rational $sum, Rational $chance): Rational => $sum->plus($chance), Rational::zero());
        $shares = [];
        foreach (array_filter($says) as $key => $chance) {
            $of = ($sums[$parts[$key]] ?? Rational::zero())->times($possible);
            $shares[$key] = $of->isZero() ? Rational::one() : $chance->times($all)->dividedBy($of);
        }

        return $shares;
    }
}
