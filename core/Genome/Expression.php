<?php

declare(strict_types=1);

namespace Destino\Genome;

/** What follows from one diplotype: its forms, its sex, what its sons are, whether it lives. */
final readonly class Expression
{
    /**
     * @param array<string, Form> $forms by locus; the sex locus has none
     * @param array<string, Sex> $makers by locus: what a son with one copy is, from the phase
     */
    private function __construct(
        public Diplotype $diplotype,
        public array $forms,
        public ?Sex $sex,
        public array $makers,
        public bool $isLethal,
    ) {}

    public static function of(Catalogue $catalogue, LinkageGroup $group, Diplotype $diplotype): self
    {
        $forms = $makers = [];
        $sex = null;
        $isLethal = false;
        foreach ($group->loci as $i => $locus) {
            $pair = $diplotype->pairAt($i);
            if ($locus === Sex::LOCUS) {
                $sex = Sex::ofAlleles($pair);

                continue;
            }
            $forms[$locus] = $catalogue->form($locus, ...$pair);
            $isLethal = $isLethal || $forms[$locus]->isLethal();
            $maker = $pair === [Allele::WILD, Allele::WILD] ? null : $group->makerOf($diplotype, $locus);
            if ($maker !== null) {
                $makers[$locus] = $maker;
            }
        }

        return new self($diplotype, $forms, $sex, $makers, $isLethal);
    }

    /** Whether it meets what is asked of this group, nothing being hidden. */
    public function meets(Requirement $asked): bool
    {
        foreach ($this->forms as $form) {
            if (! $asked->accepts($form)) {
                return false;
            }
        }

        return $this->sex === null || $asked->acceptsSex($this->sex);
    }
}
