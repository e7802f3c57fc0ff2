<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Sex;
use Destino\Probability\Rational;

/**
 * One thing that a text says of a genotype: alleles for certain, or a mixture. The alternatives exclude each other;
 * what their weights leave to 1 is the case that the statement adds nothing.
 */
final readonly class Statement
{
    /**
     * @param list<array{Rational, list<string>}> $alternatives weight and alleles
     * @param Sex|null $maker the sex of most young that get the gene, where the text says so
     */
    public function __construct(
        public array $alternatives,
        public string $piece,
        public int $from,
        public int $to,
        public ?Sex $maker = null,
        public bool $isChoice = false,
    ) {}

    public function makerOf(Sex $sex): self
    {
        return new self($this->alternatives, $this->piece, $this->from, $this->to, $sex, $this->isChoice);
    }

    public function isCertain(): bool
    {
        return count($this->alternatives) === 1 && $this->alternatives[0][0]->isOne();
    }

    /** @return list<string> alleles of a certain statement */
    public function alleles(): array
    {
        return $this->alternatives[0][1];
    }

    /** What the alternatives leave: P(this statement adds nothing). */
    public function remainder(): Rational
    {
        $rest = Rational::one();
        foreach ($this->alternatives as [$weight]) {
            $rest = $rest->minus($weight);
        }

        return $rest;
    }
}
