<?php

declare(strict_types=1);

namespace Destino\Genome;

/** How one and two copies of an allele look beside the wild type (genetics.md, section 1). */
enum Inheritance: string
{
    case Recessive = 'recessive';
    case IncompleteDominant = 'incomplete-dominant';
    case Dominant = 'dominant';

    public function showsInOneCopy(): bool
    {
        return $this !== self::Recessive;
    }

    /** In words, in the keeper's choice of term. */
    public function words(bool $sayCoDominant = true): string
    {
        return match ($this) {
            self::Recessive => 'recessive',
            self::IncompleteDominant => $sayCoDominant ? 'co-dominant' : 'incomplete dominant',
            self::Dominant => 'dominant',
        };
    }
}
