<?php

declare(strict_types=1);

namespace Destino\Inference\Inheritance;

use Destino\Genome\Catalogue;
use Destino\Genome\Expressions;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Meiosis;
use Destino\Genome\Requirement;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/**
 * P(genotype of a young | genotypes of its parents) over some linkage groups, worked out once for each pair of genotypes.
 * What is recorded as an animal has hatched, so forms that die in the egg are left out and the rest is scaled.
 */
final class YoungLaw
{
    /** @var array<string, array<array-key, array{State, Rational}>> living young by pair of parents */
    private array $living = [];

    /** @var array<string, Weights<State>> eggs by pair of parents */
    private array $eggs = [];

    public readonly Meiosis $meiosis;

    public readonly Expressions $expressions;

    /** @param list<LinkageGroup> $groups */
    public function __construct(Catalogue $catalogue, private readonly array $groups)
    {
        $this->meiosis = new Meiosis;
        $this->expressions = new Expressions($catalogue);
    }

    /**
     * @param State|null $sire null for one outside the records: wild type
     * @return array<array-key, array{State, Rational}> living young by key; empty where all die
     */
    public function living(?State $sire, ?State $dam): array
    {
        $pair = self::keyOf($sire, $dam);
        if (! isset($this->living[$pair])) {
            $alive = $this->laid($sire, $dam)->where(fn (State $egg): bool => ! $this->expressions->isLethal($egg));
            $this->living[$pair] = $alive->isEmpty() ? [] : $alive->normalised()->entries();
        }

        return $this->living[$pair];
    }

    /** @return array<array-key, array{State, Rational}> eggs by key */
    public function eggs(?State $sire, ?State $dam): array
    {
        return $this->laid($sire, $dam)->entries();
    }

    /**
     * P(an egg was seen to be such | its parents): of those that live, or of those that are found dead.
     *
     * @param Rational $lethalDead P(it died of its form | it is dead and such a form is possible)
     */
    public function seen(?State $sire, ?State $dam, Requirement $saw, bool $isDead, Rational $lethalDead): Rational
    {
        if (! $isDead) {
            return $this->share($this->living($sire, $dam), $saw);
        }
        $eggs = $this->laid($sire, $dam);
        $dying = $eggs->where($this->expressions->isLethal(...));

        return $this->share($dying->entries(), $saw)
            ->times($lethalDead)
            ->plus($this->share($eggs->entries(), $saw)->times($lethalDead->complement()));
    }

    /** @return Weights<State> */
    private function laid(?State $sire, ?State $dam): Weights
    {
        return $this->eggs[self::keyOf($sire, $dam)] ??= $this->meiosis->eggs(
            $this->groups, $sire ?? State::wild($this->groups, Sex::Male), $dam ?? State::wild($this->groups, Sex::Female),
        );
    }

    private static function keyOf(?State $sire, ?State $dam): string
    {
        return ($sire->key ?? '-').' x '.($dam->key ?? '-');
    }

    /** @param array<array-key, array{State, Rational}> $young */
    private function share(array $young, Requirement $saw): Rational
    {
        return Weights::sum(array_column(array_filter($young, fn (array $one): bool => $this->expressions->meets($one[0], $saw)), 1));
    }
}
