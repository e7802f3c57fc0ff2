<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Probability\Rational;

/** Linkage groups that evidence or the parents tie together: the genotypes of a young over them, numbered. */
final class Strand
{
    private const MOST = 60_000;

    /** @var list<list<int>> place of the option of each group, by genotype */
    public readonly array $genotypes;

    /** @var array<string, int> number of a genotype by its places */
    private array $numbers = [];

    /** @param list<string> $groups */
    public function __construct(public readonly Parentage $parentage, public readonly array $groups)
    {
        $all = [[]];
        foreach ($groups as $group) {
            $longer = [];
            foreach ($all as $places) {
                foreach (array_keys($parentage->options($group)) as $place) {
                    $longer[] = [...$places, $place];
                }
            }
            $all = $longer;
            if (count($all) > self::MOST) {
                throw IdentificationError::tooMuch(count($all));
            }
        }
        $this->genotypes = $all;
        foreach ($all as $number => $places) {
            $this->numbers[implode(' ', $places)] = $number;
        }
    }

    /** @return array<string, Form> by locus */
    public function forms(int $number): array
    {
        $forms = [];
        foreach ($this->groups as $i => $group) {
            $forms += $this->parentage->options($group)[$this->genotypes[$number][$i]]->forms;
        }

        return $forms;
    }

    /** @return list<string> the group that tells the sex, where it is here */
    public function sexGroups(): array
    {
        return array_values(array_filter($this->groups, fn (string $group): bool => $this->parentage->options($group)[0]->sex !== null));
    }

    /**
     * Something that follows from some of the groups, for every genotype; worked out once for equal ones.
     *
     * @template V
     *
     * @param list<string> $groups those of them that are here count
     * @param callable(array<string, Form>, Sex|null): V $of
     * @return array<int, V> by genotype
     */
    public function each(array $groups, callable $of): array
    {
        $places = array_keys(array_intersect($this->groups, $groups));
        $known = $all = [];
        foreach ($this->genotypes as $number => $options) {
            $key = '';
            foreach ($places as $i) {
                $key .= " {$options[$i]}";
            }
            if (! array_key_exists($key, $known)) {
                $forms = [];
                $sex = null;
                foreach ($places as $i) {
                    $option = $this->parentage->options($this->groups[$i])[$options[$i]];
                    $forms += $option->forms;
                    $sex ??= $option->sex;
                }
                $known[$key] = $of($forms, $sex);
            }
            $all[$number] = $known[$key];
        }

        return $all;
    }

    /**
     * The cases of the parents: how likely each is, and what a living young is in it.
     *
     * @param array{id: string, belief: \Destino\Genome\Belief, weight: Rational} $sire
     * @return list<array{Rational, array<int, Rational>}> weight, and chance by genotype
     */
    public function cases(array $sire): array
    {
        $cases = [];
        foreach ($this->parentage->cases($sire['belief'], $this->groups) as [$male, $female, $weight]) {
            $young = [['', Rational::one()]];
            foreach ($this->groups as $group) {
                $of = $this->parentage->catalogue->groups[$group];
                $longer = [];
                foreach ($young as [$places, $p]) {
                    foreach ($this->parentage->young($group, $male->at($of), $female->at($of)) as $place => $chance) {
                        $longer[] = [$places === '' ? (string) $place : "{$places} {$place}", $p->times($chance)];
                    }
                }
                $young = $longer;
            }
            $chances = [];
            foreach ($young as [$places, $p]) {
                $chances[$this->numbers[$places]] = $p;
            }
            $cases[] = [$weight, $chances];
        }

        return $cases;
    }
}
