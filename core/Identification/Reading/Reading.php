<?php

declare(strict_types=1);

namespace Destino\Identification\Reading;

/** What a keeper reads of a look for one cue: amounts on axes, added up. One unit is one unit of an axis. */
final readonly class Reading
{
    /**
     * @param list<Term> $terms
     * @param float $most it does not grow beyond
     */
    public function __construct(public array $terms, public float $most = INF) {}

    public function of(Amounts $look): float
    {
        $sum = 0.0;
        foreach ($this->terms as $term) {
            $sum += $term->of($look);
        }

        return min($this->most, $sum);
    }

    /** Variance among animals of one genotype. */
    public function spread(Amounts $look): float
    {
        $sum = 0.0;
        foreach ($this->terms as $term) {
            $sum += ($term->times * $look->spread($term->axis)) ** 2;
        }

        return $sum;
    }
}
