<?php

declare(strict_types=1);

namespace Destino\Inference\Experiments;

/**
 * What crosses say about a disputed fact: P(school | young) ∝ P(young | parents, school), the schools alike before (Bayes).
 * Where the fact is a fraction that may be any number, the same over a row of fractions.
 */
final readonly class ClaimEvidence
{
    /** Two schools that differ by less than this, in log P, are told apart by nothing. */
    private const EQUAL = 1e-6;

    /**
     * @param array<string, float> $shares P(school | young) by key, 0 to 1
     * @param array{float, float, float}|null $fraction lowest, likeliest and highest fraction that fit: 95 % lies between
     */
    private function __construct(public array $shares, public int $young, public ?array $fraction) {}

    /**
     * @param non-empty-array<string, float> $logs log P(young | parents, school) by key
     * @param int $young how many of them there are
     * @param array<string, float> $byFraction log P(young | parents, fraction), by the fraction as a decimal, rising
     * @return self|null null where nothing is told
     */
    public static function of(array $logs, int $young, array $byFraction = []): ?self
    {
        $told = array_filter($logs, is_finite(...));
        $isTold = $told !== [] && (count($told) < count($logs) || max($told) - min($told) > self::EQUAL);

        return $isTold ? new self(self::shares($logs), $young, self::between($byFraction)) : null;
    }

    /**
     * @template K of array-key
     * @param non-empty-array<K, float> $logs
     * @return non-empty-array<K, float>
     */
    private static function shares(array $logs): array
    {
        $most = max($logs);
        $weights = array_map(static fn (float $log): float => exp($log - $most), $logs);
        $sum = array_sum($weights);

        return array_map(static fn (float $weight): float => $weight / $sum, $weights);
    }

    /**
     * @param array<string, float> $byFraction
     * @return array{float, float, float}|null
     */
    private static function between(array $byFraction): ?array
    {
        if ($byFraction === [] || ! is_finite(max($byFraction)) || max($byFraction) - min($byFraction) <= self::EQUAL) {
            return null;
        }
        $shares = self::shares($byFraction);
        [$low, $high, $sum] = [null, 0.0, 0.0];
        foreach ($shares as $fraction => $share) {
            $sum += $share;
            $low ??= $sum > .025 ? (float) $fraction : null;
            if ($sum - $share < .975) {
                $high = (float) $fraction;
            }
        }

        return [$low ?? 0.0, (float) array_search(max($shares), $shares, true), $high];
    }
}
