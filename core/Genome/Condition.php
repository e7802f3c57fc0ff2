<?php

declare(strict_types=1);

namespace Destino\Genome;

/** Something that affects animals of certain genotypes: a welfare fact of the catalogue. */
final readonly class Condition
{
    /** @param list<array{pattern: GenotypePattern, evidence: string}> $appliesTo */
    public function __construct(
        public string $key,
        public string $name,
        public string $kind,
        public Severity $severity,
        public string $text,
        public array $appliesTo,
    ) {}

    /** Whether it speaks of dying young, which the viability of a form and its school decide. */
    public function isAboutSurvival(): bool
    {
        return $this->kind === 'survival';
    }
}
