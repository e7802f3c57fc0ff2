<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** Which young stay where there are no tubs for all. */
final readonly class Tubs
{
    /** Young beyond the tubs that are weighed one against the other. */
    private const CLOSE_CALLS = 3;

    public function __construct(private Outlooks $outlooks, private int $tubs) {}

    /**
     * Those without whose kind most would be lost, of everybody that is there: a male and a female that need each other stay
     * together, which adding one by one would not see.
     *
     * @param list<Holding> $young
     * @return list<Holding>
     */
    public function fitting(Situation $situation, array $young): array
    {
        $tubs = $this->tubs;
        if (count($young) <= $tubs) {
            return $young;
        }
        $others = array_values(array_filter($situation->animals, static fn (Holding $animal): bool => ! $animal->isYoung));
        $all = $this->withoutRepeats($young);
        $whole = $this->outlooks->hazardOf($situation, $others, $all);
        $losses = $order = $taken = [];
        foreach ($all as $i => $animal) {
            $kind = $animal->type; // whenever it is ready: the earlier stand in for the later
            $losses[$kind] ??= $whole - $this->outlooks->hazardOf(
                $situation, $others, array_filter($all, static fn (Holding $one): bool => $one->type !== $kind),
            );
            $order[$i] = $losses[$kind] * ($animal->isMale ? Choosing::ONE_MORE_MALE : 0.7) ** ($taken[$kind] ?? 0);
            $taken[$kind] = ($taken[$kind] ?? 0) + 1;
        }
        arsort($order);
        $left = array_map(static fn (int $i): Holding => $all[$i], array_slice(array_keys($order), 0, $tubs + self::CLOSE_CALLS));
        while (count($left) > $tubs) { // among the last ones each is tried
            $without = [];
            foreach ($left as $i => $animal) {
                $without["{$animal->type} {$animal->from}"] ??= [
                    $this->outlooks->hazardOf($situation, $others, array_diff_key($left, [$i => true])), $i,
                ];
            }
            rsort($without);
            $left = array_values(array_diff_key($left, [$without[0][1] => true]));
        }

        return $this->withBothSexes($left, $all, $order, $others);
    }

    /**
     * Where nobody else is of a sex, the last place goes to the best young of it.
     *
     * @param list<Holding> $kept the best first
     * @param array<int, Holding> $all
     * @param array<int, float> $order what each is worth, the best first
     * @param list<Holding> $others
     * @return list<Holding>
     */
    private function withBothSexes(array $kept, array $all, array $order, array $others): array
    {
        foreach ([true, false] as $isMale) {
            $isOf = static fn (Holding $animal): bool => $animal->isMale === $isMale;
            if (count($kept) > 1 && array_filter([...$kept, ...$others], $isOf) === []) {
                foreach (array_keys($order) as $i) {
                    if ($isOf($all[$i])) {
                        $kept[count($kept) - 1] = $all[$i];

                        break;
                    }
                }
            }
        }

        return $kept;
    }

    /**
     * @param list<Holding> $young
     * @return list<Holding> of those that are alike no more than can matter, the earliest first
     */
    private function withoutRepeats(array $young): array
    {
        usort($young, static fn (Holding $a, Holding $b): int => $a->from <=> $b->from);
        $counts = [];
        $left = [];
        foreach ($young as $animal) {
            $kind = $animal->type;
            $counts[$kind] = ($counts[$kind] ?? 0) + 1;
            if ($counts[$kind] <= min($this->tubs, $animal->isMale ? 2 : 3)) {
                $left[] = $animal;
            }
        }

        return $left;
    }
}
