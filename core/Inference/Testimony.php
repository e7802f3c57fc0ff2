<?php

declare(strict_types=1);

namespace Destino\Inference;

use Destino\Genome\Belief;
use Destino\Probability\Rational;

/** One statement about an animal's genes, as somebody made it. */
final readonly class Testimony
{
    /**
     * @param Belief $says what the text of the statement means
     * @param Rational $certainty how sure it is, 0 to 1; the rest counts for the statement being wrong
     * @param bool $namesAllThatShows whether a gene that it leaves out is seen not to show
     */
    public function __construct(
        public string $id,
        public Belief $says,
        public Source $source,
        public Rational $certainty,
        public bool $namesAllThatShows,
    ) {}

    /** Equal for statements that say the same with the same weight. */
    public function content(): string
    {
        $says = [];
        foreach ($this->says->factors as $factor) {
            foreach ($factor->states->entries() as $key => [, $chance]) {
                $says[] = "{$key} {$chance->toString()}";
            }
        }

        return implode('; ', [$this->source->value, $this->certainty->toString(), $this->namesAllThatShows ? 'all' : '', ...$says]);
    }
}
