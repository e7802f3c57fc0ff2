<?php

declare(strict_types=1);

namespace Destino\Genome;

/** What genotypes express, each diplotype worked out once. */
final class Expressions
{
    /** @var array<string, Expression> by group and diplotype */
    private array $known = [];

    public function __construct(public readonly Catalogue $catalogue) {}

    public function of(LinkageGroup $group, Diplotype $diplotype): Expression
    {
        return $this->known["{$group->key} {$diplotype->key}"] ??= Expression::of($this->catalogue, $group, $diplotype);
    }

    /** @return list<Expression> one for each linkage group that the genotype speaks of */
    public function ofState(State $state): array
    {
        $all = [];
        foreach ($state->diplotypes as $group => $diplotype) {
            $all[] = $this->of($this->catalogue->groups[$group], $diplotype);
        }

        return $all;
    }

    public function isLethal(State $state): bool
    {
        foreach ($this->ofState($state) as $expression) {
            if ($expression->isLethal) {
                return true;
            }
        }

        return false;
    }

    /** @return Sex|null null where no group of it holds sex */
    public function sexOf(State $state): ?Sex
    {
        foreach ($this->ofState($state) as $expression) {
            if ($expression->sex !== null) {
                return $expression->sex;
            }
        }

        return null;
    }

    /** Whether a genotype meets what is asked of its groups, nothing being hidden. */
    public function meets(State $state, Requirement $asked): bool
    {
        foreach ($this->ofState($state) as $expression) {
            if (! $expression->meets($asked)) {
                return false;
            }
        }

        return true;
    }

    /** @return array<string, Form> the forms of a genotype by locus, over all groups that it speaks of */
    public function formsOf(State $state): array
    {
        return array_merge([], ...array_map(static fn (Expression $one): array => $one->forms, $this->ofState($state)));
    }
}
