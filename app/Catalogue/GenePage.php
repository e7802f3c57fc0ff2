<?php

declare(strict_types=1);

namespace App\Catalogue;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Claim;
use Destino\Genome\Condition;
use Destino\Genome\Form;
use Destino\Genome\Interaction;
use Destino\Genome\Locus;
use Destino\Genome\LookAlike;
use Destino\Genome\Mask;
use Destino\Genome\PairWarning;
use Destino\Genome\Sex;

/** All that the library tells of one gene. */
class GenePage
{
    public readonly Locus $locus;

    public readonly Form $twoCopies;

    public function __construct(public readonly Catalogue $catalogue, public readonly Allele $allele)
    {
        $this->locus = $catalogue->locus($allele->locus);
        $this->twoCopies = $catalogue->twoCopies($allele);
    }

    /** @return list<Form> */
    public function compounds(): array
    {
        return array_values(
            array_filter(
                $this->catalogue->formsAt($this->locus->key),
                fn (Form $form): bool => $form->isCompound() && $form->copiesOf($this->allele->key) === 1,
            ),
        );
    }

    /** @return list<LookAlike> */
    public function lookAlikes(): array
    {
        return array_values(
            array_filter($this->catalogue->lookAlikes, fn (LookAlike $set): bool => in_array($this->allele->key, $set->members, true)),
        );
    }

    /** @return list<array{condition: Condition, form: Form, evidence: string, sex: Sex|null}> */
    public function conditions(): array
    {
        $found = [];
        $seen = [];
        $forms = [$this->catalogue->oneCopy($this->allele), $this->twoCopies, ...$this->compounds()];
        foreach ($forms as $form) {
            foreach ($this->catalogue->conditionsOf($form) as $entry) {
                if (! isset($seen[$entry['condition']->key])) {
                    $seen[$entry['condition']->key] = true;
                    $found[] = ['form' => $form] + $entry;
                }
            }
        }

        return $found;
    }

    /** @return list<PairWarning> */
    public function warnings(): array
    {
        return array_values(
            array_filter(
                $this->catalogue->warnings,
                fn (PairWarning $warning): bool => isset($warning->pattern->copies[$this->allele->key]),
            ),
        );
    }

    /** @return list<Interaction> */
    public function interactions(): array
    {
        return array_values(
            array_filter(
                $this->catalogue->interactions,
                fn (Interaction $interaction): bool => in_array($this->allele->key, $interaction->alleles, true),
            ),
        );
    }

    /** @return list<Mask> masks that forms with this gene are */
    public function masks(): array
    {
        return array_values(
            array_filter(
                $this->catalogue->masksAt($this->locus->key),
                fn (Mask $mask): bool => isset($mask->form->copies[$this->allele->key]),
            ),
        );
    }

    /** @return list<Claim> */
    public function claims(): array
    {
        return $this->catalogue->claimsAbout($this->allele->key);
    }

    /** @param  list<string>  $keys */
    public function names(array $keys): string
    {
        return implode(', ', array_map(fn (string $key): string => $this->catalogue->allele($key)->name, $keys));
    }
}
