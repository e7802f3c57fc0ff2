<?php

declare(strict_types=1);

namespace Destino\Genome;

/** What two genes do to each other's look. */
final readonly class Interaction
{
    /** @param list<string> $alleles */
    public function __construct(public array $alleles, public string $text, public string $evidence) {}
}
