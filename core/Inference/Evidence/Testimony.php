<?php

declare(strict_types=1);

namespace Destino\Inference\Evidence;

use Destino\Genome\Belief;
use Destino\Probability\Probability;
use Destino\Probability\Rational;

/** One statement about an animal's genes, as somebody made it. */
final readonly class Testimony
{
    /**
     * @param Belief $says what the text of the statement means
     * @param Probability $certainty c, how sure it is, 0 to 1: it weighs c for the genotypes that it allows against 1 − c for the others
     * @param bool $namesAllThatShows whether a gene that it leaves out is seen not to show
     * @param list<string> $absent alleles that it says the animal does not carry
     */
    public function __construct(
        public string $id,
        public Belief $says,
        public Source $source,
        public Probability $certainty,
        public bool $namesAllThatShows,
        public array $absent = [],
    ) {}

    /** As likely right as wrong: of an animal whose parents say something it adds nothing. */
    public function saysNothing(): bool
    {
        return $this->certainty->equals(Rational::of(1, 2));
    }

    /** Equal for statements that say the same with the same weight. */
    public function content(): string
    {
        return $this->claim().'; '.$this->certainty->toString();
    }

    /** Equal for statements by the same side that say the same: one said twice is still one. */
    public function claim(): string
    {
        $says = [];
        foreach ($this->says->factors as $factor) {
            foreach ($factor->states->entries() as $key => [, $chance]) {
                $says[] = "{$key} {$chance->toString()}";
            }
        }

        return implode(
            '; ', [$this->source->value, $this->namesAllThatShows ? 'all' : '', 'without '.implode(',', $this->absent), ...$says],
        );
    }
}
