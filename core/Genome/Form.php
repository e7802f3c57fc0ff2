<?php

declare(strict_types=1);

namespace Destino\Genome;

/** What an unordered pair of alleles at a locus is called and looks like. */
final readonly class Form
{
    private string $key;

    /**
     * @param array{string, string} $pair alleles in printer's order, wild type last
     * @param string $text in the notation: "Super Pastel", "het Clown", "Mojave/Mystic", "" for the wild type
     * @param string|null $knownAs a name that keepers use for a compound
     * @param string $look equal for pairs of this locus that look alike
     * @param list<string> $shows keys of the alleles that show in this pair
     * @param int $order place among the forms of the locus in printer's order, the wild type last
     */
    public function __construct(
        public string $locus,
        public array $pair,
        public string $text,
        public ?string $knownAs,
        public FormKind $kind,
        public string $look,
        public array $shows,
        public string $looks,
        public Viability $viability,
        public string $evidence,
        public bool $isExtrapolated,
        public int $order,
    ) {
        $this->key = "{$locus}:".implode('/', $pair);
    }

    public function isWild(): bool
    {
        return $this->kind === FormKind::Wild;
    }

    public function isLethal(): bool
    {
        return $this->viability === Viability::Lethal;
    }

    public function isTwoCopies(): bool
    {
        return $this->pair[0] === $this->pair[1] && ! $this->isWild();
    }

    public function isCompound(): bool
    {
        return $this->pair[0] !== $this->pair[1] && $this->pair[1] !== Allele::WILD;
    }

    public function copiesOf(string $allele): int
    {
        return ($this->pair[0] === $allele ? 1 : 0) + ($this->pair[1] === $allele ? 1 : 0);
    }

    /** Equal for equal forms of a locus. */
    public function key(): string
    {
        return $this->key;
    }
}
