<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Genome\Sex;
use Destino\Planning\Phenotypes\GroupTable;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Search\RouteStep;
use Destino\Planning\Search\Welfare;

/**
 * What an animal is to a plan: its sex, and what is known of it at the groups that matter. Types have numbers; what two of
 * them give is worked out once.
 */
final class Types
{
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

    /** @var array<int, Pair> pairs that were asked for lately */
    private array $pairs = [];

    /** @var array<int, Pair> those that were asked for before them: the first to be forgotten */
    private array $before = [];

    private readonly Welfare $welfare;

    private readonly PairBrood $brood;

    public function __construct(public readonly Space $space)
    {
        $this->welfare = new Welfare($space);
        $this->brood = new PairBrood($space);
    }

    /** @param list<int> $looks phenotypes by group */
    public function of(array $looks, bool $isMale): int
    {
        $key = implode('.', $looks).($isMale ? 'm' : 'f');
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
        return $this->alike($this->coarse($looks), $looks, $isMale);
    }

    /**
     * @param list<int> $looks phenotypes by group
     * @return list<int> those on the grid that stand for them
     */
    private function coarse(array $looks): array
    {
        $coarse = [];
        foreach ($looks as $i => $look) {
            $coarse[] = $this->space->groups[$i]->book->coarse($look);
        }

        return $coarse;
    }

    /**
     * @param list<int> $coarse
     * @param list<int> $looks
     */
    private function alike(array $coarse, array $looks, bool $isMale): int
    {
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
        if (isset($this->pairs[$number])) {
            return $this->pairs[$number];
        }
        if (count($this->pairs) >= self::REMEMBERED >> 1) {
            [$this->before, $this->pairs] = [$this->pairs, []];
        }

        return $this->pairs[$number] = $this->before[$number] ?? $this->mate($sire, $dam);
    }

    private function mate(int $sire, int $dam): Pair
    {
        [$male, $female] = [$this->looks[$sire], $this->looks[$dam]];
        if ($this->welfare->refuses($male, $female)) {
            return new Pair(0.0, 0.0, 0.0, [], true);
        }
        $young = $this->brood->of($male, $female);
        $chances = [];
        foreach ($young as $at => [, $bySex]) {
            foreach ($bySex as $sex => $chance) {
                $chances[2 * $at + $sex] = $chance;
            }
        }
        arsort($chances);
        $children = $coarse = [];
        foreach ($chances as $place => $chance) { // only those that are looked ahead for get a number
            if (count($children) < self::MOST_CHILDREN || $chance >= 0.02) {
                $at = $place >> 1;
                $coarse[$at] ??= $this->coarse($young[$at][0]);
                $type = $this->alike($coarse[$at], $young[$at][0], ($place & 1) === PairBrood::MALE);
                $children[$type] = ($children[$type] ?? 0.0) + $chance;
            }
        }
        $hits = $this->brood->hits($male, $female);

        return new Pair($hits[0] + $hits[1], $hits[0], $hits[1], $children, false);
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
