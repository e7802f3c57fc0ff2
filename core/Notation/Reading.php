<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Belief;
use Destino\Genome\Sex;

/** What was understood of a genotype as typed: either a belief, or the errors that stand in its way. */
final readonly class Reading
{
    /**
     * @param list<Piece> $pieces in the order of the text
     * @param list<string> $notes what was assumed in reading
     * @param list<NotationError> $errors in the order of the text
     * @param list<string> $absent alleles that the text says are not carried
     * @param Sex|null $sex where the text names one
     * @param string|null $number where the text names the animal's number
     */
    public function __construct(
        public string $text,
        public ?Belief $belief,
        public array $pieces,
        public array $notes,
        public array $errors,
        public array $absent = [],
        public ?Sex $sex = null,
        public ?string $number = null,
    ) {}

    /** @throws NotationError the first error, where there is one */
    public function beliefOrFail(): Belief
    {
        return $this->belief ?? throw $this->errors[0] ?? NotationError::nothingToRead('Nothing could be read.');
    }
}
