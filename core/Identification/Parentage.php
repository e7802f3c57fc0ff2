<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\Expression;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Meiosis;
use Destino\Genome\State;
use Destino\Probability\Rational;

/** What the young of a clutch can be, group by group, for every sire and every genotype of the parents; those that live. */
final class Parentage
{
    /** @var array<string, list<Option>> what a young can be in a group, over all cases */
    private array $options = [];

    /** @var array<string, array<string, int>> place of an option by its key */
    private array $places = [];

    /** @var array<string, array<int, Rational>> P(option | genotypes of both parents, it lives) */
    private array $known = [];

    private readonly Meiosis $meiosis;

    /** @var list<string> keys of the groups in which the young can differ, in catalogue order */
    public readonly array $groups;

    /** @var list<Option> what every young is in the other groups that the parents' genes lie in */
    public readonly array $fixed;

    public function __construct(public readonly Catalogue $catalogue, public readonly Clutch $clutch)
    {
        $this->meiosis = new Meiosis;
        $named = $clutch->dam->groups();
        foreach ($clutch->sires as $sire) {
            $named = [...$named, ...$sire['belief']->groups()];
        }
        $named = array_values(
            array_filter(array_keys($catalogue->groups), static fn (string $group): bool => in_array($group, $named, true)),
        );
        foreach ($named as $group) {
            $this->gather($catalogue->groups[$group]);
        }
        $fixed = $groups = [];
        foreach ($named as $group) {
            count($this->options[$group]) > 1 ? $groups[] = $group : $fixed[] = $this->options[$group][0];
        }
        [$this->groups, $this->fixed] = [$groups, $fixed];
    }

    /** @return list<Option> */
    public function options(string $group): array
    {
        return $this->options[$group];
    }

    /**
     * Genotypes of both parents over some groups, with their weights.
     *
     * @param list<string> $groups
     * @return list<array{State, State, Rational}> sire, dam, P(both)
     */
    public function cases(Belief $sire, array $groups): array
    {
        $groups = array_map(fn (string $group): LinkageGroup => $this->catalogue->groups[$group], $groups);
        $cases = [];
        foreach ($sire->statesOver($groups) as [$male, $p]) {
            foreach ($this->clutch->dam->statesOver($groups) as [$female, $q]) {
                $cases[] = [$male, $female, $p->times($q)];
            }
        }

        return $cases;
    }

    /** @return array<int, Rational> P(option | parents, it lives), by place of the option; those with chance 0 are left out */
    public function young(string $group, Diplotype $sire, Diplotype $dam): array
    {
        $key = "{$group} {$sire->key} {$dam->key}";
        if (! isset($this->known[$key])) {
            $chances = [];
            $lives = Rational::zero();
            foreach ($this->eggs($this->catalogue->groups[$group], $sire, $dam) as [$option, $chance]) {
                if (! $option->isLethal) {
                    $place = $this->places[$group][$option->key];
                    $chances[$place] = isset($chances[$place]) ? $chances[$place]->plus($chance) : $chance;
                    $lives = $lives->plus($chance);
                }
            }
            $this->known[$key] = array_map(static fn (Rational $chance): Rational => $chance->dividedBy($lives), $chances);
        }

        return $this->known[$key];
    }

    private function gather(LinkageGroup $group): void
    {
        $this->options[$group->key] = [];
        foreach ($this->clutch->sires as $sire) {
            foreach ($this->cases($sire['belief'], [$group->key]) as [$male, $female]) {
                foreach ($this->eggs($group, $male->at($group), $female->at($group)) as [$option]) {
                    if (! $option->isLethal && ! isset($this->places[$group->key][$option->key])) {
                        $this->places[$group->key][$option->key] = count($this->options[$group->key]);
                        $this->options[$group->key][] = $option;
                    }
                }
            }
        }
    }

    /** @return iterable<array{Option, Rational}> */
    private function eggs(LinkageGroup $group, Diplotype $sire, Diplotype $dam): iterable
    {
        foreach ($this->meiosis->strands($group, $sire)->entries() as [$left, $p]) {
            foreach ($this->meiosis->strands($group, $dam)->entries() as [$right, $q]) {
                $expression = Expression::of($this->catalogue, $group, new Diplotype($left, $right));
                $key = $expression->sex->value ?? '';
                foreach ($expression->forms as $locus => $form) {
                    $key .= " {$locus}:".implode('/', $form->pair);
                }
                yield [new Option($key, $expression->forms, $expression->sex, $expression->isLethal), $p->times($q)];
            }
        }
    }
}
