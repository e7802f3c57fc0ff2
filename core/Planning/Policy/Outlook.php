<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Closure;

/**
 * What is to be expected from a situation on, by a mean-field pass forward and back: expected numbers of animals of each type
 * and season instead of every way that luck can take.
 *
 * Forward: each female is shared out among the males that are there, so that every way stays open (going to the best only,
 * round after round, loses sight of ways that need two kinds of young at once); an edge adds the hazard −ln(1 − P(a hit in a
 * season)) and the young that are expected of it. Backward: what one more animal of a type, ready in a season, adds to the
 * sum of hazards (its worth); the worth of a pair is its hazard and that of its young.
 */
final class Outlook
{
    /** Pairs of all seasons that are kept for animals that were not foreseen. */
    private const REMEMBERED = 2000;

    /** @var array<int, array<int, float>> worth of one more animal, by type and the season in which it is ready */
    private array $worth = [];

    /** @var array<int, array<int, float>> worth of a pair by season and number of the pair */
    private array $pairs = [];

    /** @var array<int, array<int, float>> worth of one more young by the season of its mating and type: of seasons that follow it */
    private array $later = [];

    /** @var array<int, array<int, float>> worth of the best male that is there, by season and type of the female */
    private array $bestNow = [];

    /** The sum of all hazards that are foreseen. */
    public float $hazard = 0.0;

    /** Numbers that it keeps. */
    public readonly int $size;

    /** Whether some season has more females than its males can serve. */
    public bool $isScarce = false;

    private ?float $best = null;

    private readonly Foreseen $foreseen;

    private readonly Numbers $numbers;

    /**
     * @param list<array{int, int, float}> $held type, first season in which it breeds, how many
     * @param array{float, float} $weights of male and female hits
     * @param int|null $free tubs for young that are free; null for no limit
     */
    public function __construct(
        private readonly Law $law,
        private readonly int $season,
        private readonly array $held,
        private readonly array $weights = [1.0, 1.0],
        private readonly ?int $free = null,
    ) {
        $this->foreseen = new Foreseen($law, $season, $held);
        $this->numbers = $this->numbers();
        $this->hazard = $this->numbers->hazard;
        $this->isScarce = $this->numbers->isScarce;
        $this->backward();
        // Of the pairs only those of this season are asked for again; the others take most of the room.
        $this->pairs = array_intersect_key($this->pairs, [$season => true]);
        $this->size = array_sum(array_map(count(...),
            [$this->pairs[$season] ?? [], ...$this->worth, ...$this->numbers->males, ...$this->numbers->females]))
            + count($this->foreseen->earliest);
    }

    /** @param (Closure(int, int, array<int, float>): list<array{int, float, float, float, float}>)|null $ranked */
    private function numbers(?Closure $ranked = null): Numbers
    {
        $worth = fn (int $type, int $from): ?float => $this->worth[$type][$from] ?? null;

        return new Numbers($this->law, $this->foreseen, $this->held, $this->season, $this->weights, $this->free, $worth, $ranked);
    }

    /**
     * What one more young of a type, ready in a season, adds to the sum of hazards. Of a type that is foreseen it counts from when
     * others like it come: played out, young that are kept for more than that do a little worse.
     */
    public function worth(int $type, int $from): float
    {
        return $this->worthNow($type, max($from, $this->foreseen->earliest[$type] ?? $from));
    }

    /** The same of an animal that is to be had now, with all its seasons, though others like it come later. */
    public function worthNow(int $type, int $from): float
    {
        $from = max($from, $this->season);
        $foreseen = max($from, $this->foreseen->earliest[$type] ?? $this->law->horizon + 1);

        return $this->unforeseen($type, $from, $foreseen) + ($this->worth[$type][$foreseen] ?? 0.0);
    }

    /** The worth of mating two types in this season. */
    public function pair(int $sire, int $dam): float
    {
        return $this->value($sire, $dam, $this->season);
    }

    /** The sum of hazards where every female goes to the best male that there is. */
    public function atBest(): float
    {
        if ($this->best === null) {
            $best = $this->numbers($this->ranked(...));
            $this->best = $best->hazard;
            $this->isScarce = $this->isScarce || $best->isScarce;
        }

        return $this->best;
    }

    /** P(a hit by the horizon), as far as this way of reckoning goes. */
    public function chance(): float
    {
        return 1 - exp(-$this->hazard);
    }

    /**
     * Males that are worth something to a female, the best first.
     *
     * @param array<int, float> $males that are there, by type
     * @return list<array{int, float, float, float, float}> type, P(he is there and no better one), P(no better one is there), P(he is there), worth
     */
    private function ranked(int $dam, int $season, array $males): array
    {
        $worth = [];
        foreach ($males as $sire => $count) {
            if ($count > Numbers::SOME) {
                $value = $this->pairs[$season][$sire << 24 | $dam] ?? $this->value($sire, $dam, $season);
                if ($value > 0.0) {
                    $worth[$sire] = $value;
                }
            }
        }
        if (count($worth) > 1) {
            arsort($worth);
        }
        $rest = 1.0;
        $ranked = [];
        foreach ($worth as $sire => $value) {
            $count = $males[$sire];
            $there = $count > 20.0 ? 1.0 : 1 - exp(-$count);
            $ranked[] = [$sire, $rest * $there, $rest, $there, $value];
            $rest *= 1 - $there;
            if ($rest < 0.01) {
                break;
            }
        }

        return $ranked;
    }

    private function backward(): void
    {
        for ($season = $this->law->horizon; $season >= $this->season; $season--) {
            $values = $ranks = $gains = [];
            foreach ($this->foreseen->females as $dam) {
                if ($this->foreseen->earliest[$dam] <= $season) {
                    $ranks[$dam] = $this->ranked($dam, $season, $this->numbers->males[$season]);
                    $values[$dam] = 0.0;
                    foreach ($ranks[$dam] as [, $share, , , $own]) {
                        $values[$dam] += $share * $own;
                    }
                }
            }
            [$served, $least] = $this->numbers->served($season, $values);
            foreach ($values as $dam => $value) { // where males are few one more female takes the place of another
                $this->worth[$dam][$season] = ($this->worth[$dam][$season + 1] ?? 0.0) + max(0.0, $value - $least);
                $count = $this->numbers->females[$season][$dam] ?? 0.0;
                if ($count > Numbers::SOME) {
                    $this->gains($dam, $season, $count, $served[$dam] ?? 1.0, $ranks[$dam], $gains);
                }
            }
            foreach ($this->foreseen->males as $sire) {
                if ($this->foreseen->earliest[$sire] <= $season) {
                    $this->worth[$sire][$season] = ($this->worth[$sire][$season + 1] ?? 0.0) + (
                        isset($gains[$sire]) ? $this->gained($gains[$sire]) : 0.0
                    );
                }
            }
        }
    }

    /**
     * What one more male of each type would add to the females of a type.
     *
     * @param float $served share of them that has a male already
     * @param list<array{int, float, float, float, float}> $ranked
     * @param array<int, list<array{float, float}>> $gains worth and number of females, by male; added to
     */
    private function gains(int $dam, int $season, float $count, float $served, array $ranked, array &$gains): void
    {
        $least = 0.0; // what a female has without any more males
        foreach ($ranked as [, $share, , , $worth]) {
            $least += $share * $worth;
        }
        foreach ($this->foreseen->males as $sire) {
            if ($this->foreseen->earliest[$sire] > $season) {
                continue;
            }
            $own = $this->pairs[$season][$sire << 24 | $dam] ?? $this->value($sire, $dam, $season);
            if ($own <= 0.0) {
                continue;
            }
            if ($served < 1.0) {
                $gains[$sire][] = [$own, $count * (1 - $served)];
            }
            $with = 0.0;
            $rest = 1.0;
            foreach ($ranked as [, $share, $before, $there, $worth]) {
                if ($worth <= $own) {
                    break;
                }
                $with += $share * $worth;
                $rest = $before * (1 - $there);
            }
            $gain = $with + $rest * $own - $least;
            if ($gain > 1e-9) {
                $gains[$sire][] = [$gain, $count * $served];
            }
        }
    }

    /** @param list<array{float, float}> $gains those of the females that he can serve count, the best first */
    private function gained(array $gains): float
    {
        if (count($gains) > 1) {
            usort($gains, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        }
        $left = (float) $this->law->femalesPerMale;
        $sum = 0.0;
        foreach ($gains as [$gain, $count]) {
            $sum += $gain * min($left, $count);
            $left -= $count;
            if ($left <= 0.0) {
                break;
            }
        }

        return $sum;
    }

    private function value(int $sire, int $dam, int $season): float
    {
        $this->law->work++;

        return $this->pairs[$season][$sire << 24 | $dam] ??= $this->reckon($this->law->types->pair($sire, $dam), $season);
    }

    private function reckon(Pair $pair, int $season): float
    {
        $value = $pair->hit > 0.0 ? $this->law->hazard($pair, $this->weights) : 0.0;
        if ($season + $this->law->shortest > $this->law->horizon) {
            return $value;
        }
        $later = $this->later[$season] ??= $this->laterFrom($season);
        foreach ($pair->children as $child => $chance) {
            if (isset($later[$child])) { // many alike do not add up without end
                $count = $this->law->young * $chance;
                $value += ($count <= 1.0 ? $count : 1.0 + log($count)) * $later[$child];
            }
        }

        return $value;
    }

    /** @return array<int, float> worth of one more young of a mating of this season, by type, where it is worth something */
    private function laterFrom(int $season): array
    {
        $later = [];
        foreach ($this->worth as $type => $worths) {
            $worth = $worths[$season + ($this->law->types->isMale($type) ? $this->law->maleDelay : $this->law->femaleDelay)] ?? 0.0;
            if ($worth > 0.0) {
                $later[$type] = $worth;
            }
        }

        return $later;
    }

    /** What an animal of a type that is not foreseen before a season adds until then beside those that are there. */
    private function unforeseen(int $type, int $from, int $before): float
    {
        if (array_sum(array_map(count(...), $this->pairs)) > self::REMEMBERED) {
            $this->pairs = array_intersect_key($this->pairs, [$this->season => true]);
        }
        $sum = 0.0;
        for ($season = $from; $season < $before; $season++) {
            $best = 0.0;
            if ($this->law->types->isMale($type)) {
                $gains = [];
                foreach ($this->numbers->females[$season] ?? [] as $dam => $count) {
                    $value = $this->value($type, $dam, $season);
                    $now = $this->bestNow[$season][$dam] ??= $this->ranked($dam, $season, $this->numbers->males[$season])[0][4] ?? 0.0;
                    if ($value > $now) {
                        $gains[] = [$value - $now, $count];
                    }
                }
                $best = $this->gained($gains);
            } else {
                foreach ($this->numbers->males[$season] ?? [] as $sire => $count) {
                    $best = max($best, $this->value($sire, $type, $season) * (1 - exp(-$count)));
                }
            }
            $sum += $best;
        }

        return $sum;
    }
}
