<?php

declare(strict_types=1);

namespace Destino\Genome;

/** A caution about two genes in one animal. */
final readonly class PairWarning
{
    public function __construct(
        public GenotypePattern $pattern,
        public Condition $condition,
        public string $text,
        public string $evidence,
    ) {}
}
