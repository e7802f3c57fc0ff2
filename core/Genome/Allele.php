<?php

declare(strict_types=1);

namespace Destino\Genome;

/** A mutant allele and what is known of it. The wild type is not an Allele: it is the key Allele::WILD. */
final readonly class Allele
{
    /** The wild-type allele of every locus. */
    public const WILD = '+';

    /**
     * @param int $rank place in catalogue order, from 0
     * @param list<string> $aliases other names of one copy
     * @param list<string> $twoCopyAliases other names of two copies
     * @param bool|null $twoCopiesToldApart whether two copies look unlike one; null where nobody is sure
     */
    public function __construct(
        public string $key,
        public string $name,
        public array $aliases,
        public string $locus,
        public int $rank,
        public Inheritance $inheritance,
        public string $evidence,
        public string $source,
        public Effect $effect,
        public string $summary,
        public string $note,
        public string $twoCopyName,
        public array $twoCopyAliases,
        public ?bool $twoCopiesToldApart,
    ) {}
}
