<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Genome\FormKind;
use Destino\Genome\Sex;

/** Forms that alleles make, in words. */
final readonly class FormWords
{
    public function __construct(private Catalogue $catalogue) {}

    /** @param list<string> $alleles */
    public function isVisualRecessive(array $alleles): bool
    {
        return $this->formOf($alleles)->kind === FormKind::Visual;
    }

    /** @param list<string> $alleles */
    public function formOf(array $alleles): Form
    {
        $locus = $this->catalogue->allele($alleles[0] ?? '')->locus;

        return $this->catalogue->form($locus, $alleles[0] ?? Allele::WILD, $alleles[1] ?? Allele::WILD);
    }

    /** @param list<string> $alleles */
    public function textOf(array $alleles): string
    {
        return $this->formOf($alleles)->text;
    }

    /** @param list<string> $alleles */
    public function hetTextOf(array $alleles): string
    {
        $names = array_map(fn (string $allele): string => $this->formOf([$allele])->text, array_values(array_unique($alleles)));

        return implode(' or ', $names);
    }

    /** @param list<array{\Destino\Probability\Rational, list<string>}> $alternatives */
    public function meaning(array $alternatives, ?Sex $maker): string
    {
        $parts = [];
        foreach ($alternatives as [$weight, $alleles]) {
            $form = $this->formOf($alleles);
            $copies = count($alleles) === 2 ? ($alleles[0] === $alleles[1] ? 'two copies' : 'one copy of each, at one locus') : 'one copy';
            $known = $form->knownAs === null ? '' : " ({$form->knownAs})";
            $parts[] = ($weight->isOne() ? '' : Percentage::print($weight).' ')."{$form->text}{$known}: {$copies}"
                .($form->shows === [] ? ', does not show' : '');
        }

        return implode('; or ', $parts).($maker === null ? '' : ", {$maker->value} maker");
    }

    /** Genes that are taken for each other, or for one: a slash between them often means "one of these". */
    public function isMixedUp(Allele $first, Allele $second): bool
    {
        foreach ($this->catalogue->lookAlikes as $alike) {
            if ($alike->stage === 'all' && in_array($first->key, $alike->members, true) && in_array($second->key, $alike->members, true)) {
                return true;
            }
        }
        foreach ($this->catalogue->claims as $claim) {
            if (in_array($first->key, $claim->alleles(), true) && in_array($second->key, $claim->alleles(), true)) {
                return true;
            }
        }

        return false;
    }
}
