<?php

declare(strict_types=1);

namespace Destino\Appearance;

use Destino\Genome\Form;

/** Genes that could be added to a base, and what comes of it. */
final readonly class Proposal
{
    /**
     * @param list<Form> $forms one or two
     * @param Look $look of the base with them
     * @param float $score how far it meets the wishes; 0 is no better than the base
     * @param list<string> $brings wishes that it meets: "more yellow"
     * @param list<string> $spoils wishes that it goes against
     * @param list<string> $warnings health, masks, what cannot be told
     */
    public function __construct(
        public array $forms,
        public Look $look,
        public float $score,
        public array $brings,
        public array $spoils,
        public array $warnings = [],
    ) {}

    /** @param list<string> $warnings */
    public function warning(array $warnings): self
    {
        return new self($this->forms, $this->look, $this->score, $this->brings, $this->spoils, $warnings);
    }

    public function text(): string
    {
        return implode(' ', array_map(static fn (Form $form): string => $form->text, $this->forms));
    }
}
