<?php

declare(strict_types=1);

namespace Destino\Genome;

use Destino\Probability\Rational;

/** The facts about genes that every computation reads, with the schools of disputed facts already chosen. */
final readonly class Catalogue
{
    /**
     * @param array<string, Locus> $loci in catalogue order, the sex locus last
     * @param array<string, Allele> $alleles in catalogue order
     * @param array<string, LinkageGroup> $groups by key
     * @param array<string, array<string, Form>> $forms by locus and pair key
     * @param array<string, Condition> $conditions
     * @param list<PairWarning> $warnings
     * @param array<string, list<Mask>> $masks by locus
     * @param list<LookAlike> $lookAlikes
     * @param list<Interaction> $interactions
     * @param list<NamedForm> $nicknames
     * @param list<NamedForm> $sharedNames words that several genes or pairs share
     * @param list<ConfusedNames> $confusedNames genes that are taken for one another
     * @param array<string, list<string>> $compoundAliases further names of compounds, by pair key
     * @param array<string, Claim> $claims
     * @param array<string, string> $schools the chosen school of each claim
     */
    public function __construct(
        public array $loci,
        public array $alleles,
        public array $groups,
        private array $forms,
        public array $conditions,
        public array $warnings,
        private array $masks,
        public array $lookAlikes,
        public array $interactions,
        public array $nicknames,
        public array $sharedNames,
        public array $confusedNames,
        public array $compoundAliases,
        public array $claims,
        public array $schools,
    ) {}

    public function locus(string $key): Locus
    {
        return $this->loci[$key] ?? throw CatalogueFault::unknownLocus($key, 'a question to it');
    }

    public function allele(string $key): Allele
    {
        return $this->alleles[$key] ?? throw CatalogueFault::unknownAllele($key, 'a question to it');
    }

    public function groupOf(string $locus): LinkageGroup
    {
        return $this->groups[$this->locus($locus)->group];
    }

    public function sexGroup(): LinkageGroup
    {
        return $this->groupOf(Sex::LOCUS);
    }

    /** The form that a pair of alleles takes, in either order. */
    public function form(string $locus, string $a, string $b): Form
    {
        return $this->forms[$locus][SchoolChanges::pairKey($a, $b)]
            ?? throw CatalogueFault::unknownAllele("{$a}/{$b}", "the locus {$locus}");
    }

    /** @return list<Form> every form of a locus in printer's order, the wild type last */
    public function formsAt(string $locus): array
    {
        $forms = array_values($this->forms[$locus] ?? []);
        usort($forms, static fn (Form $a, Form $b): int => $a->order <=> $b->order);

        return $forms;
    }

    /** The form of one copy beside the wild type. */
    public function oneCopy(Allele $allele): Form
    {
        return $this->form($allele->locus, $allele->key, Allele::WILD);
    }

    public function twoCopies(Allele $allele): Form
    {
        return $this->form($allele->locus, $allele->key, $allele->key);
    }

    /** @return list<Mask> the masks that a form of this locus can be */
    public function masksAt(string $locus): array
    {
        return $this->masks[$locus] ?? [];
    }

    /**
     * Conditions that this form alone brings, with the evidence for each; deaths are told by the form's viability.
     *
     * @return list<array{condition: Condition, evidence: string, sex: Sex|null}>
     */
    public function conditionsOf(Form $form): array
    {
        $found = [];
        foreach ($this->conditions as $condition) {
            if ($condition->isAboutSurvival() && ! in_array($form->viability, [Viability::Lethal, Viability::Reduced], true)) {
                continue;
            }
            foreach ($condition->appliesTo as ['pattern' => $pattern, 'evidence' => $evidence]) {
                if ($pattern->fits($form->copiesOf(...))) {
                    $found[] = ['condition' => $condition, 'evidence' => $evidence, 'sex' => $pattern->sex];
                    break;
                }
            }
        }

        return $found;
    }

    /** @return list<NamedForm> shared words of which a house can choose the one line that they mean */
    public function sharedLines(): array
    {
        $names = array_map(static fn (Allele $allele): string => $allele->name, $this->alleles);

        return array_values(
            array_filter(
                $this->sharedNames,
                static fn (NamedForm $word): bool => $word->choices !== [] && array_diff($word->choices, $names) === [],
            ),
        );
    }

    /** @return list<Claim> disputes that touch this allele */
    public function claimsAbout(string $allele): array
    {
        return array_values(array_filter($this->claims, function (Claim $claim) use ($allele): bool {
            if (in_array($allele, $claim->alleles(), true)) {
                return true;
            }
            foreach ($claim->schools as $school) {
                foreach ($school->changes as $change) {
                    $condition = $this->conditions[is_string($change['condition'] ?? null) ? $change['condition'] : ''] ?? null;
                    foreach ($condition->appliesTo ?? [] as ['pattern' => $pattern]) {
                        if (isset($pattern->copies[$allele])) {
                            return true;
                        }
                    }
                }
            }

            return false;
        }));
    }

    /** @return array<string, Rational> recombination fractions in use, as "sex–banana" => r */
    public function recombinationFractions(): array
    {
        $fractions = [];
        foreach ($this->groups as $group) {
            foreach ($group->recombination as $i => $r) {
                $fractions[$group->loci[$i].'–'.$group->loci[$i + 1]] = $r;
            }
        }

        return $fractions;
    }
}
