<?php

declare(strict_types=1);

namespace Destino\Genome;

/**
 * Builds the form of every pair of alleles: what it is called, what it looks like, whether it lives.
 *
 * @phpstan-type CompoundFacts array{
 *     name: string|null, looks: string, viability: Viability, evidence: string, extrapolated: bool, aliases: list<string>,
 *     recorded: bool,
 * }
 */
final readonly class FormBuilder
{
    /**
     * @param array<string, Facts> $genes gene files by key
     * @param array<string, Allele> $alleles
     */
    public function __construct(private Facts $facts, private SchoolChanges $changes, private array $genes, private array $alleles) {}

    /**
     * @param array<string, Locus> $loci
     * @return array{array<string, array<string, Form>>, array<string, list<string>>} forms by locus and pair, further names
     *     of compounds by pair
     */
    public function forms(array $loci): array
    {
        $alleles = $this->alleles;
        $compounds = $this->compounds();
        $forms = [];
        foreach ($loci as $locus) {
            $order = 0;
            foreach ($locus->alleles as $i => $a) {
                foreach (array_slice($locus->alleles, $i) as $b) {
                    $pair = SchoolChanges::pairKey($a, $b);
                    $forms[$locus->key][$pair] = $a === $b
                        ? $this->twoCopies($alleles[$a], $order++)
                        : $this->compound($alleles[$a], $alleles[$b], $compounds[$pair] ?? self::unrecorded(), $order++);
                }
                $forms[$locus->key][SchoolChanges::pairKey($a, Allele::WILD)] = self::oneCopy($alleles[$a], $order++);
            }
            $forms[$locus->key][SchoolChanges::pairKey(Allele::WILD, Allele::WILD)] = new Form(
                $locus->key, [Allele::WILD, Allele::WILD], '', null, FormKind::Wild, Allele::WILD, [], 'Wild type at this locus.',
                Viability::Viable, 'established', false, $order,
            );
        }

        return [$forms, array_filter(array_map(static fn (array $compound): array => $compound['aliases'], $compounds))];
    }

    private static function oneCopy(Allele $allele, int $order): Form
    {
        $shows = $allele->inheritance->showsInOneCopy();

        return new Form(
            $allele->locus, [$allele->key, Allele::WILD], $shows ? $allele->name : 'het '.$allele->name, null,
            $shows ? FormKind::Visible : FormKind::Het, $shows ? $allele->key : Allele::WILD, $shows ? [$allele->key] : [],
            $allele->summary, Viability::Viable, $allele->evidence, false, $order,
        );
    }

    private function twoCopies(Allele $allele, int $order): Form
    {
        $two = $this->genes[$allele->key]->child('two_copies');
        $shows = $allele->inheritance->showsInOneCopy();

        return new Form(
            $allele->locus, [$allele->key, $allele->key], $allele->twoCopyName, null,
            $shows ? FormKind::Visible : FormKind::Visual,
            $shows && $allele->twoCopiesToldApart === false ? $allele->key : "{$allele->key}/{$allele->key}",
            [$allele->key], $two->string('looks'),
            $this->changes->viabilityOf($allele->key, $allele->key, Viability::from($two->string('viability'))),
            $two->string('evidence'), false, $order,
        );
    }

    /** @param CompoundFacts $facts */
    private function compound(Allele $a, Allele $b, array $facts, int $order): Form
    {
        $aShows = $a->inheritance->showsInOneCopy();
        $bShows = $b->inheritance->showsInOneCopy();
        // Nobody has described this pair: a dominant allele covers a recessive one, anything else is a look of its own.
        $hidden = ! $facts['recorded'] && $a->inheritance === Inheritance::Dominant && ! $bShows;

        return new Form(
            $a->locus, [$a->key, $b->key], "{$a->name}/{$b->name}", $facts['name'],
            $aShows || $bShows ? FormKind::Visible : FormKind::Visual,
            $hidden ? $a->key : "{$a->key}/{$b->key}",
            $hidden ? [$a->key] : [$a->key, $b->key],
            $facts['looks'], $this->changes->viabilityOf($a->key, $b->key, $facts['viability']), $facts['evidence'],
            $facts['extrapolated'], $order,
        );
    }

    /** @return CompoundFacts */
    private static function unrecorded(): array
    {
        return [
            'name' => null, 'looks' => 'No description of this pair is known to us.', 'viability' => Viability::Unknown,
            'evidence' => 'reported', 'extrapolated' => true, 'aliases' => [], 'recorded' => false,
        ];
    }

    /** @return array<string, CompoundFacts> by pair key, for pairs that share a locus under the chosen schools */
    private function compounds(): array
    {
        $alleles = $this->alleles;
        $compounds = [];
        foreach ($this->facts->children('compounds') as $compound) {
            [$a, $b] = array_map($this->changes->rename(...), $compound->pair('alleles'));
            foreach ([$a, $b] as $key) {
                if (! isset($alleles[$key])) {
                    throw CatalogueFault::unknownAllele($key, $compound->path());
                }
            }
            if ($a === $b || $alleles[$a]->locus !== $alleles[$b]->locus) {
                continue;
            }
            $name = $compound->optionalString('name');
            $pair = SchoolChanges::pairKey($a, $b);
            if (isset($compounds[$pair])) { // two lines of one allele: the second name stays as an alias
                $compounds[$pair]['aliases'] = [...$compounds[$pair]['aliases'], ...($name === null ? [] : [$name])];
                continue;
            }
            $compounds[$pair] = [
                'name' => $name, 'looks' => $compound->string('looks'), 'viability' => Viability::from($compound->string('viability')),
                'evidence' => $compound->string('evidence'), 'extrapolated' => $compound->flag('extrapolated'),
                'aliases' => $compound->has('aliases') ? $compound->strings('aliases') : [], 'recorded' => true,
            ];
        }

        return $compounds;
    }
}
