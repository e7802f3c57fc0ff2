<?php

declare(strict_types=1);

namespace Destino\Genome;

/** A word of the catalogue for which the notation needs more than one allele name: a nickname, a shared word, a class. */
final readonly class NamedForm
{
    /**
     * @param string $means for a nickname: what it is short for, in the notation
     * @param list<string> $choices for a word that several lines or pairs share: what it can mean, in the notation
     * @param list<string> $aliases
     * @param bool $isAlwaysAsked whether it is a question even where it can mean one thing only
     */
    public function __construct(
        public string $name,
        public string $means = '',
        public array $choices = [],
        public string $question = '',
        public array $aliases = [],
        public bool $isAlwaysAsked = false,
    ) {}
}
