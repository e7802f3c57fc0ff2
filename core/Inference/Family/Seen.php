<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Form;
use Destino\Inference\Evidence\Penetrance;

/** What was seen of a member, and of which spaces it tells something. */
final readonly class Seen
{
    /**
     * @param list<string> $spaces keys of the spaces whose genotypes it tells apart
     * @param array<string, Form> $elsewhere by locus: what the member is at other spaces, as far as it matters
     * @param string|null $set where it is a likeness: all of the set show it, or none does
     */
    public function __construct(
        public Penetrance $penetrance, public array $spaces, public array $elsewhere, public ?string $set = null,
    ) {}

    public function content(): string
    {
        $forms = array_map(static fn (Form $form): string => $form->key(), $this->elsewhere);
        ksort($forms);

        return implode(' ', [$this->penetrance->content(), "set {$this->set}", implode(',', $this->spaces), ...$forms]);
    }
}
