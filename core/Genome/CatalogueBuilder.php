<?php

declare(strict_types=1);

namespace Destino\Genome;

/**
 * Builds the Catalogue from a decoded document (catalogue/schema.json) and the chosen schools.
 */
final readonly class CatalogueBuilder
{
    /** @param array<string, string> $choices school by claim; claims left out take their default */
    public static function build(mixed $document, array $choices = []): Catalogue
    {
        $facts = Facts::of($document);
        $claims = Claims::of($facts);
        [$schools, $inUse] = Claims::choose($claims, $choices);
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
        $told = new AlleleFacts($this->facts, $this->changes, $alleles);
        $conditions = $told->conditions();

        return new Catalogue(
            $loci,
            $alleles,
            $this->completed($groups, $loci),
            $forms,
            $conditions,
            $told->warnings($conditions),
            $told->masks(),
            $told->lookAlikes(),
            $told->interactions(),
            ...$told->names($forms),
            compoundAliases: $compoundAliases,
            claims: $claims,
            schools: $inUse,
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
        foreach ($this->changes->links as [$alleles, $fraction, $coupling]) {
            $linked = array_map(
                fn (string $allele): string => (
                    $this->genes[$allele] ?? throw CatalogueFault::unknownAllele($allele, 'a school')
                )->string('locus'),
                $alleles,
            );
            $groups[implode('-', $linked)] = new LinkageGroup(implode('-', $linked), $linked, [$fraction], 'Linked by the chosen school.',
                $coupling);
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
}
