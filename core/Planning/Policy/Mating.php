<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** A mating of this season, and what it is worth. */
final readonly class Mating
{
    /**
     * @param string $sire id
     * @param float $hit P(an egg that hatches meets the target)
     * @param float|null $worth chance by the horizon that is lost without it, the rest decided as well as can be; null where it was not played
     * @param float $error of the worth: one standard error
     * @param float $hazard worth as looked ahead for, for the order
     * @param float $sooner seasons by which the target comes later without it, on average
     * @param float $soonerError one standard error
     */
    public function __construct(
        public string $sire,
        public string $dam,
        public float $hit,
        public ?float $worth,
        public float $error,
        public float $hazard,
        public float $sooner = 0.0,
        public float $soonerError = 0.0,
    ) {}
}
