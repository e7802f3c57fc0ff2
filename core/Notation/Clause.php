<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Form;

/** What a target asks of one locus. */
final readonly class Clause
{
    /** @param list<string> $alleles keys: one, or both of a pair */
    public function __construct(public ClauseKind $kind, public string $locus, public array $alleles, public string $text) {}

    public function accepts(Form $form): bool
    {
        $copies = $form->copiesOf($this->alleles[0]);
        $isPair = $form->copiesOf($this->alleles[0]) >= 1 && $form->copiesOf($this->alleles[1] ?? '+') >= 1
            && ($this->alleles[0] !== ($this->alleles[1] ?? '+') || $copies === 2);

        return match ($this->kind) {
            ClauseKind::AtLeastOne, ClauseKind::Carries => $copies >= 1,
            ClauseKind::ExactlyOne => $copies === 1,
            ClauseKind::TwoCopies => $copies === 2,
            ClauseKind::Compound => $isPair,
            ClauseKind::HiddenHet => $copies === 1 && ! in_array($this->alleles[0], $form->shows, true),
            ClauseKind::NoCopy => $copies === 0,
            ClauseKind::NotShowing => ! in_array($this->alleles[0], $form->shows, true),
            ClauseKind::NotForm => ! $isPair,
        };
    }

    /** Whether it asks for a copy of something, so that a parent must bring it. */
    public function wantsACopy(): bool
    {
        return ! in_array($this->kind, [ClauseKind::NoCopy, ClauseKind::NotShowing, ClauseKind::NotForm], true);
    }
}
