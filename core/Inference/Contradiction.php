<?php

declare(strict_types=1);

namespace Destino\Inference;

/** Young that the recorded parents cannot have. */
final readonly class Contradiction
{
    /**
     * @param string $subject id of the animal or brood that cannot be
     * @param list<string> $loci
     * @param list<Explanation> $explanations the likeliest first; empty where no single fault explains it
     */
    public function __construct(public string $subject, public array $loci, public array $explanations) {}
}
