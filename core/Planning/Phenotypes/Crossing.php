<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Destino\Probability\Rational;

/** What two animals of a plan give, over all its groups. */
final readonly class Crossing
{
    /** @param list<GroupTable> $groups */
    public function __construct(private array $groups) {}

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
        $odds = Rational::one();
        foreach ($this->groups as $i => $group) {
            $odds = $odds->times($group->meeting($sire[$i], $dam[$i]));
        }

        return $odds;
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
        $looks = $hiding = [];
        foreach ($this->groups as $i => $group) {
            $best = -1.0;
            $looks[$i] = -1;
            foreach ($group->cross($sire[$i], $dam[$i], $hiding) as [$look, , $p]) {
                $hit = $p * $group->accepted($look)->toFloat();
                if ($hit > $best) {
                    [$best, $looks[$i]] = [$hit, $look];
                }
            }
            $hiding = $looks[$i] < 0 ? $hiding : [...$hiding, ...$group->hides($looks[$i])];
        }

        return array_values($looks);
    }
}
