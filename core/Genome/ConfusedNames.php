<?php

declare(strict_types=1);

namespace Destino\Genome;

/** Genes of different loci that are taken for one another by their names or by what people call them. */
final readonly class ConfusedNames
{
    /** @param list<string> $members allele keys */
    public function __construct(public array $members, public string $text) {}
}
