<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Genome\Mask;
use Destino\Genome\Sex;
use Destino\Planning\Phenotypes\GroupTable;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Phenotypes\Wanted;
use Destino\Planning\Search\RouteStep;
use Destino\Planning\Search\Welfare;

/**
 * What an animal is to a plan: its sex, and what is known of it at the groups that matter. Types have numbers; what two of
 * them give is worked out once.
 */
final class Types
{
    /** Young rarer than this among the eggs are not foreseen; when they hatch they are seen all the same. */
    private const RARE = 0.002;

    /** Kinds of young of one pair that are looked ahead for, those that carry most first. */
    private const MOST_CHILDREN = 40;

    /** Pairs that are kept, of some three kilobytes each. */
    private const REMEMBERED = 24_000;

    /** @var array<string, int> */
    private array $numbers = [];

    /** @var array<int, array<string, true>> what young of a type are called, where a project says how many to keep of some */
    private array $told = [];

    /** @var array<string, string> words by phenotypes */
    private array $texts = [];

    /** @var list<list<int>> phenotypes by group */
    private array $looks = [];

    /** @var list<bool> */
    private array $males = [];

    /** @var list<float> */
    private array $promises = [];

    /** @var list<int>|null */
    private ?array $asked = null;

    /** @var array<int, array<int, float>> */
    private array $wanted = [];

    /** @var array<int, Pair> */
    private array $pairs = [];

    private readonly Welfare $welfare;

    public function __construct(public readonly Space $space)
    {
        $this->welfare = new Welfare($space);
    }

    /** @param list<int> $looks phenotypes by group */
    public function of(array $looks, bool $isMale): int
    {
        $key = self::key($looks, $isMale);
        if (! isset($this->numbers[$key])) {
            $this->numbers[$key] = count($this->looks);
            $this->looks[] = $looks;
            $this->males[] = $isMale;
            $this->promises[] = $this->promiseOf($looks);
        }

        return $this->numbers[$key];
    }

    /**
     * A young as a keeper takes it: alike where the chances of what it carries are much alike.
     *
     * @param list<int> $looks phenotypes by group
     */
    public function young(array $looks, bool $isMale): int
    {
        $coarse = [];
        foreach ($looks as $i => $look) {
            $coarse[] = $this->space->groups[$i]->book->coarse($look);
        }
        $type = $this->of($coarse, $isMale);
        foreach ($this->space->project->keep === [] ? [] : [null, $isMale ? Sex::Male : Sex::Female] as $sex) {
            $this->told[$type][RouteStep::wordsOf($this->texts[implode('.', $looks)] ??= $this->space->text($looks), $sex)] = true;
        }

        return $type;
    }

    /** Whether young of this type are what some words of a way call them (RouteStep::young). */
    public function isCalled(int $type, string $words): bool
    {
        return isset($this->told[$type][$words]);
    }

    /** @param list<int> $looks phenotypes by group */
    private static function key(array $looks, bool $isMale): string
    {
        return implode('.', $looks).($isMale ? 'm' : 'f');
    }

    /** @return list<int> */
    public function looks(int $type): array
    {
        return $this->looks[$type];
    }

    public function isMale(int $type): bool
    {
        return $this->males[$type];
    }

    /** How much of what is wanted it carries, from 0 to 1: what to look at first, and no more. */
    public function promise(int $type): float
    {
        return $this->promises[$type];
    }

    /** @return list<int> places of the groups that the target asks something of */
    public function askedGroups(): array
    {
        return $this->asked ??= array_keys(array_filter($this->space->groups, static fn (GroupTable $group): bool => $group->asks()));
    }

    /** Expected copies of what is wanted at a group. */
    public function wanted(int $type, int $group): float
    {
        return $this->wanted[$type][$group] ??= $this->space->groups[$group]->wanted($this->looks[$type][$group]);
    }

    public function pair(int $sire, int $dam): Pair
    {
        $number = $sire << 24 | $dam;
        if (! isset($this->pairs[$number])) {
            if (count($this->pairs) >= self::REMEMBERED) { // the older half gives way
                $this->pairs = array_slice($this->pairs, self::REMEMBERED >> 1, null, true);
            }
            $this->pairs[$number] = $this->mate($sire, $dam);
        }

        return $this->pairs[$number];
    }

    private function mate(int $sire, int $dam): Pair
    {
        [$male, $female] = [$this->looks[$sire], $this->looks[$dam]];
        if ($this->welfare->refuses($male, $female)) {
            return new Pair(0.0, 0.0, 0.0, [], true);
        }
        $young = $looks = [];
        $this->descend($male, $female, 0, [], 1.0, null, [], $young, $looks);
        arsort($young);
        $children = [];
        foreach ($young as $key => $chance) { // only those that are looked ahead for get a number
            if (count($children) < self::MOST_CHILDREN || $chance >= 0.02) {
                $type = $this->young($looks[$key], str_ends_with($key, 'm'));
                $children[$type] = ($children[$type] ?? 0.0) + $chance;
            }
        }
        $hits = $this->hits($male, $female);

        return new Pair($hits[0] + $hits[1], $hits[0], $hits[1], $children, false);
    }

    /**
     * @param list<int> $male
     * @param list<int> $female
     * @return array{float, float} P(an egg that hatches meets the target and is male; female)
     */
    private function hits(array $male, array $female): array
    {
        $project = $this->space->project;
        if ($project->sure && ! $this->space->isSure($male, $female)) {
            return [0.0, 0.0];
        }
        $hit = $this->space->oddsOfTarget($male, $female)->toFloat();
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

    /** @param list<int> $looks */
    private function promiseOf(array $looks): float
    {
        $wanted = $asked = 0.0;
        foreach ($looks as $i => $look) {
            $group = $this->space->groups[$i];
            $asked += $group->asks() ? 1.0 : 0.0;
            $wanted += $group->asks() ? min(1.0, $group->wanted($look) / 2) : 0.0;
        }

        return $asked === 0.0 ? 1.0 : $wanted / $asked;
    }
}
