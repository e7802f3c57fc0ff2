<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\Allele;
use Destino\Genome\Form;
use Destino\Genome\Severity;
use Destino\Pairing\Cross;

/** Several alleles of one locus in the pairing: what that excludes, and what it promises. */
final readonly class SharedComplexes implements AdviceRule
{
    public function advise(Cross $cross): array
    {
        $advice = [];
        foreach ($cross->loci() as $key) {
            $forms = self::formsAt($cross, $key);
            $pairs = array_map(static fn (Form $form): array => $form->pair, $forms);
            $alleles = array_values(array_diff(array_unique(array_merge([], ...$pairs)), [Allele::WILD]));
            if (count($alleles) < 2) {
                continue;
            }
            $names = array_map(static fn (string $allele): string => $cross->catalogue->allele($allele)->name, $alleles);
            $sentences = [
                Words::list($names).' are alleles of one locus ('.$cross->catalogue->locus($key)->name
                    .'): an egg gets one from each parent at the most.',
            ];
            foreach ($alleles as $i => $a) {
                foreach (array_slice($alleles, $i + 1) as $b) {
                    $sentences[] = $this->together($cross, $forms, $a, $b);
                }
            }
            if (array_filter($forms, static fn (Form $form): bool => $form->pair === [Allele::WILD, Allele::WILD]) === []) {
                $sentences[] = 'Every egg carries at least one of them.';
            }
            $advice[] = new Advice(
                'shared-complex', Severity::Info,
                implode(' ', array_filter($sentences, static fn (string $sentence): bool => $sentence !== '')), null, [$key],
            );
        }

        return $advice;
    }

    /** @param list<Form> $forms */
    private function together(Cross $cross, array $forms, string $a, string $b): string
    {
        foreach ($forms as $form) {
            if ($form->copiesOf($a) === 1 && $form->copiesOf($b) === 1) {
                return '';
            }
        }
        [$first, $second] = [$cross->catalogue->allele($a)->name, $cross->catalogue->allele($b)->name];

        return "No egg carries {$first} and {$second} together.";
    }

    /** @return list<Form> */
    private static function formsAt(Cross $cross, string $locus): array
    {
        $forms = [];
        foreach ($cross->blocks as $block) {
            foreach ($block->cases as [, $byGroup]) {
                foreach ($byGroup as $offspring) {
                    foreach ($offspring->entries() as [$expression]) {
                        if (isset($expression->forms[$locus])) {
                            $forms[$expression->forms[$locus]->order] = $expression->forms[$locus];
                        }
                    }
                }
            }
        }

        ksort($forms);

        return array_values($forms);
    }
}
