<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Probability\Rational;

/** What stands before a gene's name: how many copies, how likely, how many genes, whether a list begins. */
final readonly class Announced
{
    /**
     * @param bool $isPossible whether a word says that it is uncertain
     * @param bool $isList whether it holds for all recessives that follow ("hets", "het for")
     */
    public function __construct(
        public Dose $dose = Dose::Plain,
        public ?Rational $chance = null,
        public int $count = 1,
        public bool $isPossible = false,
        public bool $isList = false,
    ) {}

    public function as(Dose $dose, ?Rational $chance): self
    {
        return new self($dose, $chance, 1, $this->isPossible, false);
    }
}
