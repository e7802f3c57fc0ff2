<?php

declare(strict_types=1);

namespace Destino\Genome;

use Destino\Probability\InvalidNumber;

/**
 * Builds the Catalogue from a decoded document (catalogue/schema.json) and the chosen schools.
 */
final readonly class CatalogueBuilder
{
    /** @param array<string, string> $choices school by claim; claims left out take their default */
    public static function build(mixed $document, array $choices = []): Catalogue
    {
        $facts = Facts::of($document);
        $claims = self::claims($facts);
        [$schools, $inUse] = self::choose($claims, $choices);
        $builder = new self($facts, SchoolChanges::of($schools));

        return $builder->assemble($claims, $inUse);
    }

    /** @var array<string, Facts> gene files by key */
    private array $genes;

    private function __construct(private Facts $facts, private SchoolChanges $changes)
    {
        $genes = [];
        foreach ($facts->children('genes') as $gene) {
            $genes[$gene->string('key')] = $gene;
        }
        $this->genes = $genes;
    }

    /**
     * @param array<string, Claim> $claims
     * @param array<string, string> $inUse
     */
    private function assemble(array $claims, array $inUse): Catalogue
    {
        $alleles = $this->alleles();
        $groups = $this->groups();
        $loci = $this->loci($alleles, $groups);
        [$forms, $compoundAliases] = (new FormBuilder($this->facts, $this->changes, $this->genes, $alleles))->forms($loci);
        $conditions = $this->conditions($alleles);

        return new Catalogue(
            $loci,
            $alleles,
            $this->completed($groups, $loci),
            $forms,
            $conditions,
            $this->warnings($alleles, $conditions),
            $this->masks($alleles),
            $this->lookAlikes($alleles),
            $this->interactions($alleles),
            ...$this->names($alleles, $forms),
            compoundAliases: $compoundAliases,
            claims: $claims,
            schools: $inUse,
        );
    }

    /** @return array<string, Claim> */
    public static function claims(Facts $facts): array
    {
        $claims = [];
        foreach ($facts->children('claims') as $claim) {
            $schools = [];
            foreach ($claim->children('schools') as $school) {
                $schools[$school->string('key')] = new School(
                    $school->string('key'), $school->string('name'), $school->string('effect'), $school->string('argument'),
                    array_map(static fn (Facts $change): array => $change->values(), $school->children('changes')),
                );
            }
            $free = $claim->has('free_fraction') ? $claim->child('free_fraction') : null;
            $claims[$claim->string('key')] = new Claim(
                $claim->string('key'), $claim->string('question'), $claim->string('default'), $claim->string('why_default'), $schools,
                $free === null ? null : ['linkage' => $free->string('linkage'), 'between' => $free->pair('between')],
            );
        }

        return $claims;
    }

    /**
     * @param array<string, Claim> $claims
     * @param array<array-key, string> $choices
     * @return array{list<School>, array<string, string>}
     *
     * @throws UnknownSchool
     */
    private static function choose(array $claims, array $choices): array
    {
        foreach (array_keys($choices) as $claim) {
            if (! isset($claims[$claim])) {
                throw UnknownSchool::noSuchClaim((string) $claim, array_keys($claims));
            }
        }
        $schools = $inUse = [];
        foreach ($claims as $key => $claim) {
            $choice = $choices[$key] ?? $claim->default;
            $schools[] = $claim->schools[$choice] ?? self::freeFraction($claim, $choice);
            $inUse[$key] = $choice;
        }

        return [$schools, $inUse];
    }

    /** @throws UnknownSchool when the claim is not about a fraction, or the choice is not one */
    private static function freeFraction(Claim $claim, string $choice): School
    {
        if ($claim->freeFraction !== null) {
            try {
                $fraction = SchoolChanges::fraction($choice)->toString();

                return new School(
                    $choice, "r = {$fraction}", '', '',
                    [['change' => 'set-recombination', 'fraction' => $fraction] + $claim->freeFraction],
                );
            } catch (InvalidNumber|CatalogueFault) {
                // Not a fraction: the message below lists what can be chosen.
            }
        }
        throw UnknownSchool::noSuchChoice(
            $claim->key, $choice,
            [...array_keys($claim->schools), ...($claim->freeFraction === null ? [] : ['a fraction from 0 to 1/2'])],
        );
    }

    /** @return array<string, Allele> in catalogue order */
    private function alleles(): array
    {
        $genes = $this->genesInOrder();
        $locusOf = [];
        foreach ($genes as $gene) {
            $locusOf[$gene->string('key')] = $gene->string('locus');
        }
        $locusOf = $this->joined($locusOf);
        $alleles = [];
        foreach ($genes as $gene) {
            $key = $gene->string('key');
            if (! $this->changes->isDropped($key)) {
                $alleles[$key] = $this->allele($gene, $locusOf[$key], count($alleles), $this->takenFor($key, $genes));
            }
        }

        return $alleles;
    }

    /**
     * @return list<Facts> by locus and place in it, as the catalogue has them
     *
     * @throws CatalogueFault when a gene names a locus that is not there
     */
    private function genesInOrder(): array
    {
        $rank = [];
        foreach ($this->facts->children('loci') as $i => $locus) {
            $rank[$locus->string('key')] = $i;
        }
        $genes = array_values($this->genes);
        foreach ($genes as $gene) {
            if (! isset($rank[$gene->string('locus')])) {
                throw CatalogueFault::unknownLocus($gene->string('locus'), $gene->path());
            }
        }
        $place = static fn (Facts $gene): array => [$rank[$gene->string('locus')], $gene->int('position')];
        usort($genes, static fn (Facts $a, Facts $b): int => $place($a) <=> $place($b));

        return $genes;
    }

    /**
     * @param list<Facts> $genes
     * @return list<Facts> those that a school holds to be the same as this one
     */
    private function takenFor(string $key, array $genes): array
    {
        return array_values(array_filter(
            $genes,
            fn (Facts $other): bool => $this->changes->isDropped($other->string('key'))
                && $this->changes->rename($other->string('key')) === $key,
        ));
    }

    /** @param list<Facts> $others that are held to be the same */
    private function allele(Facts $gene, string $locus, int $rank, array $others): Allele
    {
        $key = $gene->string('key');
        $two = $gene->child('two_copies');
        $names = array_map(static fn (Facts $other): array => [$other->string('name'), ...$other->strings('aliases')], $others);

        return new Allele(
            $key, $gene->string('name'), array_merge($gene->strings('aliases'), ...$names), $locus, $rank,
            Inheritance::from($gene->string('inheritance')), $gene->string('evidence'), $gene->string('source'),
            Effect::from($gene->string('effect')), $gene->string('summary'), $gene->textOr('note', ''), $two->string('name'),
            [
                ...($two->has('aliases') ? $two->strings('aliases') : []),
                ...array_map(static fn (Facts $other): string => $other->child('two_copies')->string('name'), $others),
            ],
            array_key_exists($key, $this->changes->toldApart)
                ? $this->changes->toldApart[$key]
                : SchoolChanges::certainty($two->textOr('told_apart', 'yes')),
        );
    }

    /**
     * @param array<string, string> $locusOf locus by allele, as recorded
     * @return array<string, string> with the loci joined that the schools join
     */
    private function joined(array $locusOf): array
    {
        foreach ($this->changes->joins as [$a, $b]) {
            $kept = $locusOf[$a] ?? throw CatalogueFault::unknownAllele($a, 'a school');
            $gone = $locusOf[$b] ?? throw CatalogueFault::unknownAllele($b, 'a school');
            $locusOf = array_map(static fn (string $locus): string => $locus === $gone ? $kept : $locus, $locusOf);
        }

        return $locusOf;
    }

    /** @return array<string, LinkageGroup> the groups of several loci, by key */
    private function groups(): array
    {
        $groups = [];
        foreach ($this->facts->children('linkage') as $group) {
            $loci = $group->strings('loci');
            $fractions = $group->strings('recombination');
            if (count($fractions) !== count($loci) - 1) {
                throw CatalogueFault::missing($group->path(), 'one recombination fraction for each neighbouring pair of loci');
            }
            $r = [];
            foreach ($fractions as $i => $fraction) {
                $r[] = $this->changes->fractions["{$group->string('key')}:{$loci[$i]}:{$loci[$i + 1]}"]
                    ?? SchoolChanges::fraction($fraction);
            }
            $groups[$group->string('key')] = new LinkageGroup($group->string('key'), $loci, $r, $group->textOr('note', ''));
        }
        foreach ($this->changes->links as [$alleles, $fraction]) {
            $linked = array_map(
                fn (string $allele): string => (
                    $this->genes[$allele] ?? throw CatalogueFault::unknownAllele($allele, 'a school')
                )->string('locus'),
                $alleles,
            );
            $groups[implode('-', $linked)] = new LinkageGroup(implode('-', $linked), $linked, [$fraction], 'Linked by the chosen school.');
        }

        return $groups;
    }

    /**
     * @param array<string, Allele> $alleles
     * @param array<string, LinkageGroup> $groups
     * @return array<string, Locus>
     */
    private function loci(array $alleles, array $groups): array
    {
        $groupOf = [];
        foreach ($groups as $group) {
            $groupOf += array_fill_keys($group->loci, $group->key);
        }
        $loci = [];
        foreach ($this->facts->children('loci') as $rank => $locus) {
            $key = $locus->string('key');
            $own = array_filter($alleles, static fn (Allele $allele): bool => $allele->locus === $key);
            uasort(
                $own,
                static fn (Allele $a, Allele $b): int => [
                    ! $a->inheritance->showsInOneCopy(), $a->rank,
                ] <=> [! $b->inheritance->showsInOneCopy(), $b->rank],
            );
            if ($own !== []) {
                $loci[$key] = new Locus(
                    $key, $this->locusName($key, array_keys($own)), $rank, array_keys($own), $groupOf[$key] ?? $key,
                    $locus->string('evidence'), $locus->textOr('note', ''),
                );
            }
        }
        $loci[Sex::LOCUS] = new Locus(
            Sex::LOCUS, 'Sex', count($loci) + 1000, [], $groupOf[Sex::LOCUS] ?? Sex::LOCUS, 'established',
            'Females are XX, males XY.',
        );

        return $loci;
    }

    /**
     * The names of the loci that a school has joined, or the one name.
     *
     * @param list<string> $alleles
     */
    private function locusName(string $key, array $alleles): string
    {
        $recorded = array_unique(array_map(fn (string $allele): string => $this->genes[$allele]->string('locus'), $alleles));
        $names = [];
        foreach ($this->facts->children('loci') as $locus) {
            if ($locus->string('key') === $key || in_array($locus->string('key'), $recorded, true)) {
                $names[] = $locus->string('name');
            }
        }

        return implode(' with ', $names);
    }

    /**
     * @param array<string, LinkageGroup> $groups
     * @param array<string, Locus> $loci
     * @return array<string, LinkageGroup> with a group of one for every unlinked locus
     */
    private function completed(array $groups, array $loci): array
    {
        foreach ($loci as $locus) {
            $groups[$locus->group] ??= new LinkageGroup($locus->group, [$locus->key], []);
        }

        return $groups;
    }

    /**
     * @param array<string, Allele> $alleles
     * @return array<string, Condition>
     */
    private function conditions(array $alleles): array
    {
        $conditions = [];
        foreach ($this->facts->children('conditions') as $condition) {
            $key = $condition->string('key');
            $applies = [];
            foreach ($condition->children('applies_to') as $form) {
                $pattern = $this->pattern($alleles, $form->strings('alleles'), $form->path(), Sex::tryFrom($form->textOr('sex', '')));
                $applies[] = ['pattern' => $pattern, 'evidence' => $form->string('evidence')];
            }
            $conditions[$key] = new Condition(
                $key, $condition->string('name'), $condition->string('kind'),
                $this->changes->severities[$key] ?? Severity::from($condition->string('severity')), $condition->string('text'), $applies,
            );
        }

        return $conditions;
    }

    /**
     * @param array<string, Allele> $alleles
     * @param array<string, Condition> $conditions
     * @return list<PairWarning>
     */
    private function warnings(array $alleles, array $conditions): array
    {
        return array_map(fn (Facts $warning): PairWarning => new PairWarning(
            $this->pattern($alleles, $warning->strings('alleles'), $warning->path()),
            $conditions[$warning->string('condition')]
            ?? throw CatalogueFault::unknownCondition($warning->string('condition'), $warning->path()),
            $warning->string('text'),
            $warning->string('evidence'),
        ), $this->facts->children('warnings'));
    }

    /**
     * @param array<string, Allele> $alleles
     * @return array<string, list<Mask>>
     */
    private function masks(array $alleles): array
    {
        $masks = [];
        foreach ($this->facts->children('masks') as $mask) {
            $form = $this->pattern($alleles, $mask->strings('form'), $mask->path());
            $through = [];
            foreach ($mask->children('shows_through') as $shown) {
                $through[
                    $this->changes->rename($shown->string('allele')).($shown->has('copies') ? ' twice' : '')
                ] = $shown->string('degree');
            }
            $locus = $alleles[(string) array_key_first($form->copies)]->locus;
            $masks[$locus][] = new Mask($locus, $form, Concealment::from($mask->string('hides')), $mask->string('text'), $through);
        }

        return $masks;
    }

    /**
     * @param array<string, Allele> $alleles
     * @return list<LookAlike>
     */
    private function lookAlikes(array $alleles): array
    {
        $sets = [];
        foreach ($this->facts->children('lookalikes') as $set) {
            $members = array_values(array_unique(array_map($this->changes->rename(...), $set->strings('members'))));
            $this->requireAlleles($alleles, $members, $set->path());
            if (count($members) > 1) {
                $sets[] = new LookAlike(
                    $members, $set->string('copies'), $set->string('stage'), $set->string('text'), $set->string('evidence'),
                );
            }
        }

        return $sets;
    }

    /**
     * @param array<string, Allele> $alleles
     * @return list<Interaction>
     */
    private function interactions(array $alleles): array
    {
        return array_map(function (Facts $facts) use ($alleles): Interaction {
            $members = array_map($this->changes->rename(...), $facts->strings('alleles'));
            $this->requireAlleles($alleles, $members, $facts->path());

            return new Interaction($members, $facts->string('text'), $facts->string('evidence'));
        }, $this->facts->children('interactions'));
    }

    /**
     * @param array<string, Allele> $alleles
     * @param array<string, array<string, Form>> $forms
     * @return array{nicknames: list<NamedForm>, sharedNames: list<NamedForm>}
     */
    private function names(array $alleles, array $forms): array
    {
        $names = $this->facts->child('names');
        $nicknames = array_map(
            static fn (Facts $name): NamedForm => new NamedForm($name->string('name'), $name->string('means')),
            $names->children('nicknames'),
        );
        $shared = [];
        foreach ($names->children('shared') as $name) {
            $members = array_values(array_unique(array_map($this->changes->rename(...), $name->strings('members'))));
            $this->requireAlleles($alleles, $members, $name->path());
            $shared[] = new NamedForm(
                $name->string('name'), '', array_map(static fn (string $key): string => $alleles[$key]->name, $members),
                $name->string('text'), $name->has('aliases') ? $name->strings('aliases') : [],
            );
        }
        foreach ($names->children('classes') as $class) {
            $choices = [];
            foreach ($class->children('members') as $i => $member) {
                [$a, $b] = array_map($this->changes->rename(...), array_values(array_filter($member->values(), is_string(...))));
                $this->requireAlleles($alleles, [$a, $b], $class->path());
                $form = $forms[$alleles[$a]->locus][SchoolChanges::pairKey($a, $b)]
                    ?? throw CatalogueFault::missing("{$class->path()}[{$i}]", 'two alleles of one locus');
                $choices[$form->text] = $form->text;
            }
            $shared[] = new NamedForm(
                $class->string('name'), '', array_values($choices), $class->string('text'), $class->strings('aliases'),
            );
        }

        foreach ($names->children('questions') as $question) {
            $shared[] = new NamedForm($question->string('name'), '', $question->strings('choices'), $question->string('text'), [], true);
        }

        return ['nicknames' => $nicknames, 'sharedNames' => $shared];
    }

    /**
     * @param array<string, Allele> $alleles
     * @param list<string> $members
     */
    private function pattern(array $alleles, array $members, string $path, ?Sex $sex = null): GenotypePattern
    {
        $members = array_map($this->changes->rename(...), $members);
        $this->requireAlleles($alleles, $members, $path);

        return GenotypePattern::ofList($members, $sex);
    }

    /**
     * @param array<string, Allele> $alleles
     * @param list<string> $keys
     */
    private function requireAlleles(array $alleles, array $keys, string $path): void
    {
        foreach ($keys as $key) {
            if (! isset($alleles[$key])) {
                throw CatalogueFault::unknownAllele($key, $path);
            }
        }
    }
}
