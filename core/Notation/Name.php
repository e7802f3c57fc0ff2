<?php

declare(strict_types=1);

namespace Destino\Notation;

/** What a name in the text stands for. */
final readonly class Name
{
    /**
     * @param list<string> $alleles for NameKind::Allele the allele, for TwoCopies it twice, for Compound both
     * @param string $means for a nickname: what it is short for, in the notation
     * @param list<string> $choices for a shared name: what it can mean, in the notation
     * @param bool $isAlwaysAsked for a shared name: even where one meaning is left
     */
    public function __construct(
        public NameKind $kind,
        public string $text,
        public array $alleles = [],
        public string $means = '',
        public array $choices = [],
        public string $question = '',
        public bool $isAlwaysAsked = false,
    ) {}
}
