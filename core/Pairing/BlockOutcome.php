<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Probability\Rational;

/** What an egg can be at the loci of one block. */
final readonly class BlockOutcome
{
    /**
     * @param array<string, Form> $forms by locus
     * @param array<string, Sex|null> $makers by locus of a sex-linked single copy in a son: its sure phase, null where it is not sure
     * @param array<string, string> $phase by locus or group, in words, where phases are kept apart
     * @param int $rank place in printer's order within the block
     */
    public function __construct(
        public array $forms,
        public ?Sex $sex,
        public Rational $probability,
        public bool $isLethal,
        public array $makers,
        public array $phase,
        public int $rank,
    ) {}
}
