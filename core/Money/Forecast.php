<?php

declare(strict_types=1);

namespace Destino\Money;

use Destino\Probability\Rational;

/** What so many eggs come to together: the mean exactly, the spread by adding up egg after egg. */
final readonly class Forecast
{
    /** Sums are kept apart to this many steps; beyond, neighbours are put together. */
    private const STEPS = 4000;

    /** @param array<int, float> $sums chance by sum in minor units, ascending */
    private function __construct(public Rational $mean, private array $sums) {}

    /** @param list<array{PriceEntry|null, Rational}> $classes with chances that add up to one */
    public static function of(array $classes, int $eggs): self
    {
        $mean = Rational::zero();
        $one = [];
        foreach ($classes as [$entry, $chance]) {
            $minor = $entry?->middle() ?? 0;
            $mean = $mean->plus($chance->times(Rational::of($minor)));
            $one[$minor] = ($one[$minor] ?? 0.0) + $chance->toFloat();
        }
        $sums = [0 => 1.0];
        for ($egg = 0; $egg < $eggs; $egg++) {
            $sums = self::added($sums, $one);
        }

        return new self($mean->times(Rational::of($eggs)), $sums);
    }

    /**
     * @param array<int, float> $sums
     * @param array<int, float> $one
     * @return array<int, float>
     */
    private static function added(array $sums, array $one): array
    {
        $more = [];
        foreach ($sums as $sum => $chance) {
            foreach ($one as $minor => $share) {
                $more[$sum + $minor] = ($more[$sum + $minor] ?? 0.0) + $chance * $share;
            }
        }
        ksort($more);
        if (count($more) <= self::STEPS) {
            return $more;
        }
        $step = max(1, intdiv(array_key_last($more), self::STEPS));
        $coarse = [];
        foreach ($more as $sum => $chance) {
            $at = intdiv($sum + intdiv($step, 2), $step) * $step; // to the nearest, so that many eggs do not drift to one side
            $coarse[$at] = ($coarse[$at] ?? 0.0) + $chance;
        }

        return $coarse;
    }

    /** The least sum that at most so large a share stays below, in minor units. */
    public function quantile(float $share): int
    {
        $below = 0.0;
        foreach ($this->sums as $sum => $chance) {
            $below += $chance;
            if ($below >= $share - 1e-12) {
                return $sum;
            }
        }

        return (int) array_key_last($this->sums);
    }
}
