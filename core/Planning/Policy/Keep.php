<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Genome\Sex;

/** A kind of young that this season's matings can give, and whether to keep it. */
final readonly class Keep
{
    /**
     * @param string $genes in the printer's words
     * @param float $expected how many of this season's matings, on average
     * @param float $worth what one of them adds to what is looked ahead for
     */
    public function __construct(public string $genes, public Sex $sex, public float $expected, public float $worth, public bool $isKept) {}
}
