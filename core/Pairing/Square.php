<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Diplotype;
use Destino\Genome\Form;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Meiosis;
use Destino\Genome\Sex;
use Destino\Probability\Rational;

/** The square behind one linkage group: the gametes of each parent with their odds, and what each pair of them gives. */
final readonly class Square
{
    /**
     * @param list<array{list<string>, Rational}> $paternal haplotypes of the sire with P(gamete)
     * @param list<array{list<string>, Rational}> $maternal haplotypes of the dam with P(gamete)
     */
    private function __construct(private Cross $cross, public LinkageGroup $group, public array $paternal, public array $maternal) {}

    /** @return list<self> one for every linkage group in which a parent may carry something */
    public static function allOf(Cross $cross): array
    {
        $squares = [];
        foreach ($cross->blocks as $block) {
            foreach ($block->groups as $group) {
                if (! $group->holdsSex() || $cross->isSexLinked) {
                    $squares[] = new self($cross, $group, self::gametes($group, $cross->sire), self::gametes($group, $cross->dam));
                }
            }
        }

        return $squares;
    }

    /** @return list<Form> what the pair of gametes gives, by locus, the sex locus left out */
    public function forms(int $paternal, int $maternal): array
    {
        $diplotype = new Diplotype($this->paternal[$paternal][0], $this->maternal[$maternal][0]);
        $forms = [];
        foreach ($this->group->loci as $i => $locus) {
            if ($locus !== Sex::LOCUS) {
                $forms[] = $this->cross->catalogue->form($locus, ...$diplotype->pairAt($i));
            }
        }

        return $forms;
    }

    public function sex(int $paternal, int $maternal): ?Sex
    {
        if (! $this->group->holdsSex()) {
            return null;
        }
        $i = $this->group->indexOf(Sex::LOCUS);

        return Sex::ofAlleles([$this->paternal[$paternal][0][$i], $this->maternal[$maternal][0][$i]]);
    }

    public function probability(int $paternal, int $maternal): Rational
    {
        return $this->paternal[$paternal][1]->times($this->maternal[$maternal][1]);
    }

    /** @return list<array{list<string>, Rational}> */
    private static function gametes(LinkageGroup $group, Belief $parent): array
    {
        $pool = (new Meiosis)->pool([$group], $parent->factorOf($group)->states->entries())->entries();
        $gametes = array_map(static fn (array $entry): array => [$entry[0]->haplotypes[$group->key], $entry[1]], $pool);
        uasort($gametes, static function (array $a, array $b): int {
            $byWildness = self::wildness($a[0]) <=> self::wildness($b[0]);

            return $byWildness !== 0 ? $byWildness : $b[1]->compareTo($a[1]);
        });

        return array_values($gametes);
    }

    /** @param list<string> $haplotype */
    private static function wildness(array $haplotype): int
    {
        return count(array_filter($haplotype, static fn (string $allele): bool => $allele === Allele::WILD));
    }
}
