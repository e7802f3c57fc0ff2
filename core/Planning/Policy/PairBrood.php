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

    public const MALE = 0;

    public const FEMALE = 1;

    /** @var array<int, float> P(a young is of this sex), where no group of the plan tells */
    private array $shares;

    public function __construct(private Space $space)
    {
        $this->shares = [self::MALE => $space->shareOf(Sex::Male), self::FEMALE => $space->shareOf(Sex::Female)];
    }

    /**
     * @param list<int> $male phenotypes by group
     * @param list<int> $female
     * @return list<array{list<int>, array<int, float>}> phenotypes of young that carry something wanted, and P(an egg that hatches is
     *     such a young) by its sex (MALE, FEMALE)
     */
    public function of(array $male, array $female): array
    {
        $young = [];
        $this->descend($male, $female, 0, [], 1.0, null, [], $young);

        return $young;
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
        if ($this->space->choices->isAny()) {
            $hits = $this->hitsByChoice($male, $female);
        } elseif ($this->space->sexAt !== null) { // a group of the plan tells the sex: count each
            $bySex = $this->hitsBySex($male, $female);
            $hits = [$bySex[0], $bySex[1]];
        } else {
            $hit = $this->space->crossing->oddsOfTarget($male, $female)->toFloat();
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
    private function hitsByChoice(array $male, array $female): array
    {
        $hits = [self::MALE => 0.0, self::FEMALE => 0.0];
        foreach ($this->space->crossing->leaving($male, $female) as [$sex, $left, $chance]) {
            foreach ($this->bySex($chance->toFloat(), $sex) as $own => $p) {
                $hits[$own] += $this->space->choices->sufficesFor($left, $own === self::MALE ? Sex::Male : Sex::Female) ? $p : 0.0;
            }
        }

        return [$hits[self::MALE], $hits[self::FEMALE]];
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
     * @param list<array{list<int>, array<int, float>}> $young as of() gives them, added to
     */
    private function descend(
        array $male, array $female, int $at, array $looks, float $chance, ?Sex $sex, array $hiding, array &$young,
    ): void {
        if ($at === count($this->space->groups)) {
            if (Wanted::isAnyIn($this->space->groups, $looks)) {
                $young[] = [$looks, $this->bySex($chance, $sex)];
            }

            return;
        }
        $group = $this->space->groups[$at];
        foreach ($group->cross($male[$at], $female[$at], $hiding) as [$look, , $p, $ownSex]) {
            if ($chance * $p < self::RARE) {
                continue;
            }
            $more = $group->canHide ? [...$hiding, ...$group->hides($look)] : $hiding;
            $this->descend($male, $female, $at + 1, [...$looks, $look], $chance * $p, $sex ?? $ownSex, $more, $young);
        }
    }

    /** @return array<int, float> */
    private function bySex(float $chance, ?Sex $sex): array
    {
        return match ($sex) {
            null => [self::MALE => $chance * $this->shares[self::MALE], self::FEMALE => $chance * $this->shares[self::FEMALE]],
            Sex::Male => [self::MALE => $chance * $this->shares[self::MALE]],
            Sex::Female => [self::FEMALE => $chance * $this->shares[self::FEMALE]],
        };
    }
}
