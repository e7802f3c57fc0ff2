<?php

declare(strict_types=1);

namespace Destino\Appearance;

/** What comes and goes with age. */
final readonly class AgeCurves
{
    /** @param array<string, array<string, list<array{float, float}>>> $curves by allele and axis: days and share of the amount */
    public function __construct(private array $curves) {}

    /** Whether anything that an allele brings comes or goes with age. */
    public function has(string $allele): bool
    {
        return ($this->curves[$allele] ?? []) !== [];
    }

    /**
     * The share of an amount that an animal of this age shows.
     *
     * @param array{string, string} $pair alleles
     */
    public function share(array $pair, string $axis, int $days): float
    {
        $curve = $this->curves[$pair[0]][$axis] ?? $this->curves[$pair[1]][$axis] ?? null;
        if ($curve === null) {
            return 1.0;
        }
        $before = $curve[0];
        foreach ($curve as $point) {
            if ($point[0] >= $days) {
                $span = $point[0] - $before[0];

                return $span <= 0 ? $point[1] : $before[1] + ($point[1] - $before[1]) * ($days - $before[0]) / $span;
            }
            $before = $point;
        }

        return $before[1];
    }
}
