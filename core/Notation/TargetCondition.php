<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Form;

/** One condition of a target: a clause, or several at one locus of which any will do. */
final readonly class TargetCondition
{
    /** @param non-empty-list<Clause> $anyOf all of one locus */
    public function __construct(public array $anyOf, public string $piece, public int $from) {}

    public function locus(): string
    {
        return $this->anyOf[0]->locus;
    }

    public function accepts(Form $form): bool
    {
        foreach ($this->anyOf as $clause) {
            if ($clause->accepts($form)) {
                return true;
            }
        }

        return false;
    }

    /** Whether it only says what is not to be seen, which a form that hides it makes true of anything. */
    public function isOnlyOfTheEye(): bool
    {
        return array_filter(
            $this->anyOf,
            static fn (Clause $clause): bool => ! in_array($clause->kind, [ClauseKind::NotShowing, ClauseKind::NotForm], true),
        ) === [];
    }

    /** @return list<string> alleles that it asks to show or to be carried */
    public function wantedAlleles(): array
    {
        $wanted = array_filter($this->anyOf, static fn (Clause $clause): bool => $clause->wantsACopy());

        return array_values(
            array_unique(array_merge([], ...array_map(static fn (Clause $clause): array => $clause->alleles, array_values($wanted)))),
        );
    }
}
