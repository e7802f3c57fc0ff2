<?php

declare(strict_types=1);

namespace App\View\Components\Square;

use App\Drawing\Bead;
use App\Pairing\PairPage;
use App\View\Components\Part\Part;
use Destino\Genome\Allele;
use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Pairing\Square as Gametes;

/** The gametes of each parent and what each pair of them gives, at one group. */
class Square extends Part
{
    /** Advice that is told beside the square of its loci. */
    private const TOLD_HERE = ['lethal-form', 'shared-complex', 'sex-linked'];

    public readonly string $title;

    public function __construct(public readonly Gametes $square, public readonly PairPage $page)
    {
        $loci = array_filter($square->group->loci, fn (string $locus): bool => $locus !== Sex::LOCUS);
        $catalogue = $page->prediction->catalogue;
        $this->title = implode(', ', array_map(fn (string $locus): string => $catalogue->locus($locus)->name, $loci));
    }

    /** @param list<string> $haplotype */
    public function names(array $haplotype): string
    {
        $names = [];
        foreach ($haplotype as $i => $allele) {
            $isSex = $this->square->group->loci[$i] === Sex::LOCUS;
            if ($isSex || $allele !== Allele::WILD) {
                $names[] = $isSex ? $allele : $this->page->prediction->catalogue->allele($allele)->name;
            }
        }

        return $names === [] ? 'wild type' : implode(' ', $names);
    }

    /**
     * @param array<string, Form> $forms
     * @param list<string> $ofSire
     * @return list<Bead>
     */
    public function beads(array $forms, array $ofSire): array
    {
        $catalogue = $this->page->prediction->catalogue;

        return array_values(array_map(
            fn (Form $form): Bead => Bead::ofForm($form, $catalogue, in_array($form->pair[0], $ofSire, true)), $forms,
        ));
    }

    /** @param array<string, Form> $forms */
    public function dies(array $forms): bool
    {
        return array_filter($forms, fn (Form $form): bool => $form->isLethal()) !== [];
    }

    /** @param array<string, Form> $forms */
    public function words(array $forms, ?Sex $sex): string
    {
        return trim("{$sex?->value} ".implode(' ', array_map($this->page->names(...), $forms)));
    }

    /** @return list<string> what to know of these loci */
    public function told(): array
    {
        $told = [];
        foreach ($this->square->group->loci as $locus) {
            foreach ($this->page->adviceOn($locus) as $advice) {
                if (in_array($advice->code, self::TOLD_HERE, true)) {
                    $told[$advice->text] = true;
                }
            }
        }

        return array_map(strval(...), array_keys($told));
    }
}
