<?php

declare(strict_types=1);

namespace Destino\Genome;

/** Genes that are mixed up by eye. */
final readonly class LookAlike
{
    /**
     * @param list<string> $members allele keys
     * @param string $copies "one", "two" or "visual": in which form they are alike
     * @param string $stage "hatchling", "growing", "adult" or "all": when they are alike
     */
    public function __construct(
        public array $members,
        public string $copies,
        public string $stage,
        public string $text,
        public string $evidence,
    ) {}

    /** Whether an animal in its first weeks cannot be placed. */
    public function holdsAtHatching(): bool
    {
        return $this->stage !== 'adult';
    }

    /** Whether this form is one of those that are alike. */
    public function includes(Form $form): bool
    {
        if ($form->isWild() || ! in_array($form->pair[0], $this->members, true)) {
            return false;
        }

        return match ($this->copies) {
            'one' => $form->pair[1] === Allele::WILD && $form->kind === FormKind::Visible,
            'two' => in_array($form->pair[1], $this->members, true),
            default => $form->isTwoCopies() || ($form->isCompound() && in_array($form->pair[1], $this->members, true)),
        };
    }

    /** A member as it is alike. */
    public function formOf(string $member, Catalogue $catalogue): Form
    {
        return $catalogue->form($catalogue->allele($member)->locus, $member, $this->copies === 'one' ? Allele::WILD : $member);
    }
}
