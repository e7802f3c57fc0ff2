<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Genome\Diplotype;
use Destino\Genome\Form;
use Destino\Genome\Sex;

/** One diplotype that an offspring can have at one linkage group, with the forms that follow from it. */
final readonly class OffspringState
{
    /**
     * @param array<string, Form> $forms by locus; the sex locus has none
     * @param array<string, Sex> $makers by locus: what a son with one copy is, from the phase
     */
    public function __construct(
        public Diplotype $diplotype,
        public array $forms,
        public ?Sex $sex,
        public array $makers,
        public bool $isLethal,
    ) {}
}
