<?php

declare(strict_types=1);

namespace Destino\Genome;

/**
 * What the eye gets of a multilocus genotype: which of its forms hide others, and which are out of sight (epistasis as keepers see it).
 * The one place that knows it, for pairing, inference, identification, planning, advice and drawings. What is out of sight is not
 * absent: the eye cannot tell.
 */
final readonly class Visibility
{
    public function __construct(private Catalogue $catalogue) {}

    /**
     * Masks of an animal with these forms that hide others for certain; with $all those too that only make others harder to read.
     *
     * @param iterable<Form> $forms
     * @return list<Mask>
     */
    public function masks(iterable $forms, bool $all = false): array
    {
        $masks = [];
        foreach ($forms as $form) {
            foreach ($this->masksOf($form, $all) as $mask) {
                $masks[] = $mask;
            }
        }

        return $masks;
    }

    /** @return list<Mask> */
    public function masksOf(Form $form, bool $all = false): array
    {
        return array_values(array_filter(
            $this->catalogue->masksAt($form->locus),
            static fn (Mask $mask): bool => ($all || $mask->hides !== Concealment::Part) && $mask->form->fits($form->copiesOf(...)),
        ));
    }

    /** Whether a form of this locus can hide others for certain. */
    public function canHide(string $locus): bool
    {
        foreach ($this->catalogue->masksAt($locus) as $mask) {
            if ($mask->hides !== Concealment::Part) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether nothing of a form can be seen for certain beside these masks; always so of a form that shows nothing by itself.
     *
     * @param iterable<Mask> $masks of the same animal
     */
    public function isHidden(Form $form, iterable $masks): bool
    {
        foreach ($masks as $mask) {
            if ($this->hides($mask, $form)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether the form of a mask is itself out of sight beneath others, which it does not hide in turn: what it would hide
     * makes no difference to the eye then.
     *
     * @param Form $form that the mask belongs to
     * @param list<array{Mask, Form}> $others masks of the same animal, each with its form
     */
    public function isOverlaid(Mask $mask, Form $form, array $others): bool
    {
        foreach ($others as [$other, $beneath]) {
            if ($this->hides($other, $form) && ! $this->hides($mask, $beneath)) {
                return true;
            }
        }

        return false;
    }

    private function hides(Mask $mask, Form $form): bool
    {
        if ($mask->locus === $form->locus) {
            return false;
        }
        foreach ($form->shows as $allele) {
            if (! $mask->conceals($this->catalogue->allele($allele), $form->copiesOf($allele))) {
                return false;
            }
        }

        return true;
    }
}
