<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Genome\Mask;
use Destino\Genome\Sex;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Phenotypes\Wanted;

/** The young that two animals of a plan give, by what is known of them, and how many of them meet the target. */
final readonly class PairBrood
{
    /** Young rarer than this among the eggs are not foreseen; when they hatch they are seen all the same. */
    private const RARE = 0.002;

    public function __construct(private Space $space) {}

    /** @param list<int> $looks phenotypes by group */
    public static function key(array $looks, bool $isMale): string
    {
        return implode('.', $looks).($isMale ? 'm' : 'f');
    }

    /**
     * @param list<int> $male phenotypes by group
     * @param list<int> $female
     * @return array{array<string, float>, array<string, list<int>>} P(an egg that hatches is such a young), and its phenotypes, by key
     */
    public function of(array $male, array $female): array
    {
        $young = $looks = [];
        $this->descend($male, $female, 0, [], 1.0, null, [], $young, $looks);

        return [$young, $looks];
    }

    /**
     * @param list<int> $male
     * @param list<int> $female
     * @return array{float, float} P(an egg that hatches meets the target and is male; female)
     */
    public function hits(array $male, array $female): array
    {
        $project = $this->space->project;
        if ($project->sure && ! $this->space->crossing->isSure($male, $female)) {
            return [0.0, 0.0];
        }
        $hit = $this->space->crossing->oddsOfTarget($male, $female)->toFloat();
        if ($this->space->sexAt !== null) { // a group of the plan tells the sex: count each
            $bySex = $this->hitsBySex($male, $female);
            $hits = [$bySex[0], $bySex[1]];
        } else {
            $females = $project->assumptions->femaleShare;
            $hits = [$hit * (1 - $females), $hit * $females];
        }

        return [$project->target->acceptsSex(Sex::Male) ? $hits[0] : 0.0, $project->target->acceptsSex(Sex::Female) ? $hits[1] : 0.0];
    }

    /**
     * @param list<int> $male
     * @param list<int> $female
     * @return array{float, float}
     */
    private function hitsBySex(array $male, array $female): array
    {
        $rest = 1.0;
        $bySex = [0.0, 0.0];
        foreach ($this->space->groups as $i => $group) {
            if ($i !== $this->space->sexAt) {
                $rest *= $group->meeting($male[$i], $female[$i])->toFloat();

                continue;
            }
            foreach ($group->cross($male[$i], $female[$i]) as [$look, , $chance, $sex]) {
                $bySex[$sex === Sex::Male ? 0 : 1] += $chance * $group->accepted($look)->toFloat();
            }
        }

        return [$bySex[0] * $rest, $bySex[1] * $rest];
    }

    /**
     * @param list<int> $male
     * @param list<int> $female
     * @param list<int> $looks so far
     * @param list<Mask> $hiding
     * @param array<string, float> $young P(an egg that hatches is of this type) by its key, added to
     * @param array<string, list<int>> $all phenotypes by the same key, added to
     */
    private function descend(
        array $male, array $female, int $at, array $looks, float $chance, ?Sex $sex, array $hiding, array &$young, array &$all,
    ): void {
        if ($chance < self::RARE) {
            return;
        }
        if ($at === count($this->space->groups)) {
            if (Wanted::isAnyIn($this->space->groups, $looks)) {
                foreach ($sex === null ? [Sex::Male, Sex::Female] : [$sex] as $own) {
                    $key = self::key($looks, $own === Sex::Male);
                    $young[$key] = ($young[$key] ?? 0.0) + $chance * $this->space->shareOf($own);
                    $all[$key] = $looks;
                }
            }

            return;
        }
        $group = $this->space->groups[$at];
        foreach ($group->cross($male[$at], $female[$at], $hiding) as [$look, , $p, $ownSex]) {
            $more = $group->canHide ? [...$hiding, ...$group->hides($look)] : $hiding;
            $this->descend($male, $female, $at + 1, [...$looks, $look], $chance * $p, $sex ?? $ownSex, $more, $young, $all);
        }
    }
}
