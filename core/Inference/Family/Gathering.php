<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Inference\Evidence\Brood;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\InferenceError;

/** Joins animals by parentage and by clutches to families, and leaves out those whose records make no pedigree. */
final class Gathering
{
    /** @var array<string, Individual> those of families without a fault */
    public array $animals = [];

    /** @var list<list<string>> ids by family, parents before their young */
    public array $families = [];

    /** @var list<InferenceError> what is wrong with the records of a family, which is left out */
    public array $faults = [];

    /** @var array<string, int> family by animal */
    public array $familyOf = [];

    /** @var array<int, list<Brood>> by family */
    public array $broodsOf = [];

    /**
     * @param array<string, Individual> $everyone by id
     * @param list<Brood> $broods
     * @param array<string, InferenceError> $wrong roles that cannot be
     */
    public function __construct(private readonly array $everyone, private readonly array $broods, array $wrong)
    {
        $this->gather($wrong);
    }

    /** @param array<string, InferenceError> $wrong roles that cannot be */
    private function gather(array $wrong): void
    {
        $root = [];
        foreach (array_keys($this->everyone) as $id) {
            $root[$id] = $id;
        }
        $clutches = [];
        foreach ($this->everyone as $id => $animal) {
            foreach ([...$animal->sires(), $animal->dam] as $parent) {
                if ($parent !== null) {
                    isset($this->everyone[$parent])
                        ? self::join($root, $id, $parent)
                        : $wrong[$id] = InferenceError::unknownAnimal($parent);
                }
            }
            if ($animal->clutch !== null) {
                $this->sameClutch($clutches, $animal->clutch, $id, [$animal->sires(), $animal->dam], $root, $wrong);
            }
        }
        foreach ($this->broods as $brood) {
            foreach ([...$brood->sires, $brood->dam] as $parent) {
                if ($parent !== null) {
                    isset($this->everyone[$parent])
                        ? self::join($root, $brood->dam, $parent)
                        : $wrong[$brood->dam] = InferenceError::unknownAnimal($parent);
                }
            }
            if ($brood->clutch !== null && isset($this->everyone[$brood->dam])) {
                $this->sameClutch($clutches, $brood->clutch, $brood->dam, [$brood->sires, $brood->dam], $root, $wrong);
            }
        }
        $this->faults = array_values(array_diff_key($wrong, $this->everyone)); // eggs of a dam that is not recorded
        $this->lineUp($root, $wrong);
    }

    /**
     * @param array<string, array{string, array{list<string|null>, string|null}}> $clutches first of each clutch with its parents
     * @param array{list<string|null>, string|null} $parents
     * @param array<string, string> $root
     * @param array<string, InferenceError> $wrong
     */
    private function sameClutch(array &$clutches, string $clutch, string $id, array $parents, array &$root, array &$wrong): void
    {
        $clutches[$clutch] ??= [$id, $parents];
        if ($clutches[$clutch][1] !== $parents) {
            $wrong[$id] = InferenceError::clutchDiffers($clutch);
        }
        self::join($root, $id, $clutches[$clutch][0]);
    }

    /**
     * @param array<string, string> $root
     * @param array<string, InferenceError> $wrong
     */
    private function lineUp(array $root, array $wrong): void
    {
        $members = [];
        foreach (array_keys($this->everyone) as $id) {
            $members[self::rootOf($root, $id)][] = $id;
        }
        foreach ($members as $ids) {
            $faults = array_intersect_key($wrong, array_flip($ids));
            $line = $faults === [] ? $this->inOrder($ids) : array_values($faults)[0];
            if ($line instanceof InferenceError) {
                array_push($this->faults, ...($faults === [] ? [$line] : array_values($faults)));

                continue;
            }
            foreach ($line as $id) {
                $this->familyOf[$id] = count($this->families);
                $this->animals[$id] = $this->everyone[$id];
            }
            $this->families[] = $line;
        }
        foreach ($this->broods as $brood) {
            if (isset($this->familyOf[$brood->dam])) {
                $this->broodsOf[$this->familyOf[$brood->dam]][] = $brood;
            }
        }
    }

    /**
     * @param list<string> $ids of one family
     * @return list<string>|InferenceError parents before their young, or the circle that they make
     */
    private function inOrder(array $ids): array|InferenceError
    {
        $order = $open = [];
        foreach ($ids as $id) {
            $stack = [[$id, false]];
            while ($stack !== []) { // by hand, so that a line of five thousand generations does not exhaust the call stack
                [$one, $isDone] = array_pop($stack);
                if ($isDone) {
                    unset($open[$one]);
                    $order[$one] = true;
                } elseif (! isset($order[$one])) {
                    if (isset($open[$one])) {
                        continue;
                    }
                    $open[$one] = true;
                    $stack[] = [$one, true];
                    foreach ([...$this->everyone[$one]->sires(), $this->everyone[$one]->dam] as $parent) {
                        if ($parent !== null && isset($open[$parent])) {
                            $line = array_keys($open);
                            $circle = array_slice($line, (int) array_search($parent, $line, true));

                            return InferenceError::cycle([...array_reverse($this->onTheWay($circle, $parent)), $one]);
                        }
                        if ($parent !== null) {
                            $stack[] = [$parent, false];
                        }
                    }
                }
            }
        }

        return array_map(strval(...), array_keys($order));
    }

    /**
     * Of animals that are open, those that lead from one to the last as young and parent.
     *
     * @param list<array-key> $open
     * @return list<string>
     */
    private function onTheWay(array $open, string $first): array
    {
        $way = [$first];
        foreach (array_slice($open, 1) as $next) {
            if (
                in_array(
                    (string) $next,
                    [...$this->everyone[$way[count($way) - 1]]->sires(), $this->everyone[$way[count($way) - 1]]->dam], true,
                )
            ) {
                $way[] = (string) $next;
            }
        }

        return $way;
    }

    /** @param array<string, string> $root */
    private static function rootOf(array &$root, string $id): string
    {
        while ($root[$id] !== $id) {
            $root[$id] = $root[$root[$id]];
            $id = $root[$id];
        }

        return $id;
    }

    /** @param array<string, string> $root */
    private static function join(array &$root, string $a, string $b): void
    {
        if (isset($root[$a], $root[$b])) {
            $root[self::rootOf($root, $a)] = self::rootOf($root, $b);
        }
    }
}
