<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Genome\Catalogue;
use Destino\Genome\Concealment;
use Destino\Genome\Form;
use Destino\Genome\Mask;

/** What the eye gets of an outcome at a block, and what hides it. */
final readonly class Seeing
{
    public function __construct(private Catalogue $catalogue, private ?AlikeForms $alike) {}

    /**
     * What the eye gets of an outcome at one block; equal for those that it cannot tell apart.
     *
     * @param array<string, Mask> $hiding
     */
    public function look(BlockOutcome $outcome, array $hiding): string
    {
        $tokens = [];
        foreach ($outcome->forms as $locus => $form) {
            if ($form->shows !== [] && ! $this->isConcealed($form, $hiding)) {
                $tokens[] = $this->alike?->classOf($form) ?? $locus.':'.$form->look;
            }
        }
        sort($tokens);

        return implode('|', array_unique($tokens)).'@'.$outcome->sex?->value;
    }

    /** @param array<string, Mask> $hiding */
    private function isConcealed(Form $form, array $hiding): bool
    {
        foreach ($hiding as $mask) {
            $visible = array_filter(
                $form->shows,
                fn (string $allele): bool => ! $mask->conceals($this->catalogue->allele($allele), $form->copiesOf($allele)),
            );
            if ($visible === [] && $mask->locus !== $form->locus) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<BlockOutcome> $outcomes
     * @return list<array{array<string, Mask>, list<BlockOutcome>}>
     */
    public function byConcealment(array $outcomes): array
    {
        $parts = [];
        foreach ($outcomes as $outcome) {
            $masks = $looks = [];
            foreach ($outcome->forms as $locus => $form) {
                foreach ($this->catalogue->masksAt($locus) as $mask) {
                    if ($mask->hides !== Concealment::Part && $mask->form->fits($form->copiesOf(...))) {
                        $masks[AlikeForms::key($form)] = $mask;
                        $looks[] = $this->alike?->classOf($form) ?? AlikeForms::key($form);
                    }
                }
            }
            $key = implode('|', $looks); // masking forms that look alike hide together what any of them hides
            $parts[$key] = [($parts[$key][0] ?? []) + $masks, [...$parts[$key][1] ?? [], $outcome]];
        }

        return array_values($parts);
    }
}
