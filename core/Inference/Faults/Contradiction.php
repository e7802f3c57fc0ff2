<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

/** Young that the recorded parents cannot have, or hardly. */
final readonly class Contradiction
{
    /**
     * @param string $subject id of the animal or brood that cannot be
     * @param list<string> $loci
     * @param list<Explanation> $explanations the likeliest first, their odds summing to 1; empty where no one or two faults explain it
     * @param float|null $chance P(evidence like this or less likely) as recorded, where it is possible all the same
     * @param list<string> $others ids of the clutch's other young that cannot be either
     */
    public function __construct(
        public string $subject,
        public array $loci,
        public array $explanations,
        public ?float $chance = null,
        public array $others = [],
    ) {}
}
