<?php

declare(strict_types=1);

namespace Destino\Husbandry;

use Destino\Probability\Rational;
use InvalidArgumentException;

/**
 * What the pattern of malformed young in a clutch speaks for, of three causes that are taken as equally likely before: genes
 * (only young of one form are affected, at a rate that nobody knows), incubation (all alike, at a rate that nobody knows), and
 * chance (2 in 100 of all). A rate that nobody knows is averaged over all rates, so that
 * P(k of n) = k! (n − k)! / (n + 1)! for one order of them.
 */
final readonly class Cause
{
    /** One in so many young is malformed without a cause that anybody finds. */
    private const ONE_IN = 50;

    private function __construct(public Rational $genes, public Rational $incubation, public Rational $chance) {}

    /**
     * @param int $affected of the form
     * @param int $of all of the form
     * @param int $others affected that are not of the form
     * @param int $rest all that are not of the form
     */
    public static function weigh(int $affected, int $of, int $others, int $rest): self
    {
        if ($affected < 0 || $others < 0 || $affected > $of || $others > $rest || $of + $rest > 1000) {
            throw new InvalidArgumentException("{$affected} of {$of} and {$others} of {$rest} young cannot be.");
        }
        $genes = $of === 0 ? Rational::zero() : self::anyRate($affected, $of)->times(self::byChance($others, $rest));
        $incubation = self::anyRate($affected + $others, $of + $rest);
        $chance = self::byChance($affected + $others, $of + $rest);
        $all = $genes->plus($incubation)->plus($chance);

        return new self($genes->dividedBy($all), $incubation->dividedBy($all), $chance->dividedBy($all));
    }

    private static function anyRate(int $affected, int $of): Rational
    {
        $value = Rational::of(1, $of + 1);
        for ($i = 1; $i <= $affected; $i++) {
            $value = $value->times(Rational::of($i, $of - $affected + $i));
        }

        return $value;
    }

    private static function byChance(int $affected, int $of): Rational
    {
        $value = Rational::one();
        for ($i = 0; $i < $of; $i++) {
            $value = $value->times($i < $affected ? Rational::of(1, self::ONE_IN) : Rational::of(self::ONE_IN - 1, self::ONE_IN));
        }

        return $value;
    }
}
