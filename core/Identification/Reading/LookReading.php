<?php

declare(strict_types=1);

namespace Destino\Identification\Reading;

/** How a cue is read from the look that is drawn. */
final readonly class LookReading
{
    /**
     * @param list<Grade> $grades of the states of the cue, in their order
     * @param list<Mark> $marks
     * @param list<Addition> $additions
     * @param array<string, float> $askedFrom by axis: amounts of which one must be reached for the cue to be there at all
     */
    public function __construct(
        public array $grades, public Line $line, public array $marks, public Ageing $ageing, public array $additions = [],
        public array $askedFrom = [], public OwnEye $eye = new OwnEye,
    ) {}

    public function readBy(OwnEye $eye): self
    {
        return new self($this->grades, $this->line, $this->marks, $this->ageing, $this->additions, $this->askedFrom, $eye);
    }

    /** @return list<Reading> that of the line first */
    public function readings(): array
    {
        return [$this->line->reading, ...array_map(static fn (Mark $mark): Reading => $mark->reading, $this->marks)];
    }
}
