<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Destino\Genome\Mask;
use Destino\Genome\Sex;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/** What two animals of a plan give, over all its groups. */
final readonly class Crossing
{
    /** @param list<GroupTable> $groups */
    public function __construct(private array $groups, private Choices $choices) {}

    /**
     * P(an egg is such a young), the two parents' looks taken as they are known.
     *
     * @param list<int> $sire
     * @param list<int> $dam
     * @param list<int> $young
     */
    public function oddsOf(array $sire, array $dam, array $young): Rational
    {
        $odds = Rational::one();
        $hiding = [];
        foreach ($this->groups as $i => $group) {
            $own = Rational::zero();
            foreach ($group->cross($sire[$i], $dam[$i], $hiding) as [$look, $chance]) {
                $own = $look === $young[$i] ? $own->plus($chance) : $own;
            }
            $odds = $odds->times($own);
            $hiding = [...$hiding, ...$group->hides($young[$i])];
        }

        return $odds;
    }

    /**
     * P(an egg meets the target), over all looks of the young, sex included where a group of the plan tells it.
     *
     * @param list<int> $sire
     * @param list<int> $dam
     */
    public function oddsOfTarget(array $sire, array $dam): Rational
    {
        if ($this->choices->isAny()) {
            $half = Rational::of(1, 2);

            return Weights::sum(array_merge([], ...array_map(
                fn (array $egg): array => array_map(
                    fn (Sex $sex): Rational => $this->choices->sufficesFor($egg[1], $sex)
                        ? ($egg[0] === null ? $egg[2]->times($half) : $egg[2])
                        : Rational::zero(),
                    $egg[0] === null ? [Sex::Male, Sex::Female] : [$egg[0]],
                ),
                $this->leaving($sire, $dam),
            )));
        }
        $odds = Rational::one();
        foreach ($this->groups as $i => $group) {
            $odds = $odds->times($group->meeting($sire[$i], $dam[$i]));
        }

        return $odds;
    }

    /**
     * Eggs that live and meet the conditions: sex where a group of the plan tells it, the options of the choices that are left, chance.
     *
     * @param list<int> $sire
     * @param list<int> $dam
     * @return list<array{Sex|null, int, Rational}>
     */
    public function leaving(array $sire, array $dam): array
    {
        $eggs = [[null, $this->choices->all, Rational::one()]];
        foreach ($this->groups as $i => $group) {
            $next = [];
            foreach ($eggs as [$sex, $left, $p]) {
                foreach ($group->leaving($sire[$i], $dam[$i]) as [$own, $here, $q]) {
                    $both = $left & $here;
                    $key = $both.($sex ?? $own)?->value;
                    $chance = $p->times($q);
                    $next[$key] = [$sex ?? $own, $both, isset($next[$key]) ? $next[$key][2]->plus($chance) : $chance];
                }
            }
            $eggs = array_values($next);
        }

        return $eggs;
    }

    /**
     * P(an egg lives and carries a copy of all that is wanted: every allele of the conditions and of enough options of each choice).
     *
     * @param list<int> $sire
     * @param list<int> $dam
     */
    public function oddsOfCarrying(array $sire, array $dam): Rational
    {
        $eggs = [$this->choices->all => Rational::one()];
        foreach ($this->groups as $i => $group) {
            $next = [];
            foreach ($eggs as $before => $p) {
                foreach ($group->carrying($sire[$i], $dam[$i]) as $here => $q) {
                    $next[$before & $here] = ($next[$before & $here] ?? Rational::zero())->plus($p->times($q));
                }
            }
            $eggs = $next;
        }

        return Weights::sum(array_values(array_filter($eggs, $this->choices->suffices(...), ARRAY_FILTER_USE_KEY)));
    }

    /**
     * Whether every egg of two looks that lives meets the target, sex included where a group of the plan tells it.
     *
     * @param list<int> $sire
     * @param list<int> $dam
     */
    public function isSure(array $sire, array $dam): bool
    {
        foreach ($this->groups as $i => $group) {
            foreach ($group->cross($sire[$i], $dam[$i]) as [$look]) {
                if (! $group->accepted($look)->isOne()) {
                    return false;
                }
            }
        }
        foreach ($this->choices->isAny() ? $this->leaving($sire, $dam) : [] as [$sex, $left]) {
            if (! $this->choices->sufficesFor($left, $sex)) {
                return false;
            }
        }

        return true;
    }

    /**
     * The looks of the young that most often meet the target.
     *
     * @param list<int> $sire
     * @param list<int> $dam
     * @return list<int>
     */
    public function likeliestHit(array $sire, array $dam): array
    {
        /** @var array<int, array{float, list<int>, list<Mask>}> $best chance and looks, and what they hide, by the options left */
        $best = [$this->choices->all => [1.0, [], []]];
        foreach ($this->groups as $i => $group) {
            $next = [];
            foreach ($best as $left => [$chance, $looks, $hiding]) {
                foreach ($group->cross($sire[$i], $dam[$i], $hiding) as [$look, , $p]) {
                    foreach ($group->left($look) as $here => $q) {
                        $own = $chance * $p * $q->toFloat();
                        if ($own > ($next[$left & $here][0] ?? 0.0)) {
                            $next[$left & $here] = [$own, [...$looks, $look], [...$hiding, ...$group->hides($look)]];
                        }
                    }
                }
            }
            $best = $next;
        }
        $enough = array_filter(
            $best,
            fn (int $left): bool => $this->choices->sufficesFor($left, Sex::Male) || $this->choices->sufficesFor($left, Sex::Female),
            ARRAY_FILTER_USE_KEY,
        );
        usort($enough, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return $enough[0][1] ?? [];
    }
}
