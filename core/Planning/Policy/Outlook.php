<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

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
    /** Types that are added in each generation, by sex. */
    private const BEAM = 6;

    private const GENERATIONS = 4;

    /** Pairs of all seasons that are kept for animals that were not foreseen. */
    private const REMEMBERED = 2000;

    /** Fewer animals than this are not looked at. */
    private const SOME = 1e-3;

    /** @var array<int, array<int, float>> females ready by season and type */
    private array $females = [];

    /** @var array<int, array<int, float>> males ready by season and type: P(one is there) follows */
    private array $males = [];

    /** @var array<int, float> females that the males of a season can serve */
    private array $capacity = [];

    /** @var array<int, array<int, float>> worth of one more animal, by type and the season in which it is ready */
    private array $worth = [];

    /** @var array<int, int> first season in which an animal of a type can be there */
    private array $earliest = [];

    /** @var list<int> */
    private array $maleTypes = [];

    /** @var list<int> */
    private array $femaleTypes = [];

    /** @var array<int, array<int, float>> worth of a pair by season and number of the pair */
    private array $pairs = [];

    /** The sum of all hazards that are foreseen. */
    public float $hazard = 0.0;

    /** Numbers that it keeps. */
    public readonly int $size;

    /** Whether some season has more females than its males can serve. */
    public bool $isScarce = false;

    private ?float $best = null;

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
        $this->gather();
        $this->forward();
        $this->backward();
        // Of the pairs only those of this season are asked for again; the others take most of the room.
        $this->pairs = array_intersect_key($this->pairs, [$season => true]);
        $this->size = array_sum(array_map(count(...), [$this->pairs[$season] ?? [], ...$this->worth, ...$this->males, ...$this->females]))
            + count($this->earliest);
    }

    /** What one more animal of a type, ready in a season, adds to the sum of hazards. */
    public function worth(int $type, int $from): float
    {
        $from = max($from, $this->season);

        return isset($this->earliest[$type])
            ? $this->worth[$type][max($from, $this->earliest[$type])] ?? 0.0
            : $this->unforeseen($type, $from);
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
            [$hazard, $males, $females] = [$this->hazard, $this->males, $this->females];
            $this->hazard = 0.0;
            $this->forward(true);
            $this->best = $this->hazard;
            [$this->hazard, $this->males, $this->females] = [$hazard, $males, $females];
        }

        return $this->best;
    }

    /** P(a hit by the horizon), as far as this way of reckoning goes. */
    public function chance(): float
    {
        return 1 - exp(-$this->hazard);
    }

    /** The types that matter: what is held, and their young over some generations, as far as they can come in time. */
    private function gather(): void
    {
        $types = $this->law->types;
        $sexes = [[], []];
        foreach ($this->held as [$type, $from]) {
            if (! isset($this->earliest[$type])) {
                $sexes[$types->isMale($type) ? 0 : 1][] = $type;
            }
            $this->earliest[$type] = min($this->earliest[$type] ?? PHP_INT_MAX, max($from, $this->season));
        }
        $new = $sexes;
        for ($generation = 0; $generation < self::GENERATIONS; $generation++) {
            $found = [];
            foreach ($sexes[0] as $sire) {
                foreach (in_array($sire, $new[0], true) ? $sexes[1] : $new[1] as $dam) {
                    $mated = max($this->earliest[$sire], $this->earliest[$dam]);
                    if ($mated + $this->law->shortest <= $this->law->horizon) {
                        $this->find($types->pair($sire, $dam), $mated, $found);
                    }
                }
            }
            $new = $this->best($found);
            if ($new === [[], []]) {
                break;
            }
            $sexes = [[...$sexes[0], ...$new[0]], [...$sexes[1], ...$new[1]]];
        }
        [$this->maleTypes, $this->femaleTypes] = $sexes;
    }

    /** @param array<int, array{float, int}> $found chance and first season of new types, added to */
    private function find(Pair $pair, int $mated, array &$found): void
    {
        foreach ($pair->children as $child => $chance) {
            $ready = $mated + ($this->law->types->isMale($child) ? $this->law->maleDelay : $this->law->femaleDelay);
            if (! isset($this->earliest[$child]) && $ready <= $this->law->horizon) {
                $found[$child] = isset($found[$child])
                    ? [max($found[$child][0], $chance), min($found[$child][1], $ready)]
                    : [$chance, $ready];
            }
        }
    }

    /**
     * Those that promise most, and for each gene that is asked for the one that has most of it, so that no way is lost sight of.
     *
     * @param array<int, array{float, int}> $found
     * @return array{list<int>, list<int>} males and females; they are looked at from now on
     */
    private function best(array $found): array
    {
        $types = $this->law->types;
        $scores = [];
        foreach ($found as $type => [$chance]) {
            $scores[$type] = $types->promise($type) ** 3 * sqrt($chance);
        }
        arsort($scores);
        $best = [[], []];
        foreach ([0, 1] as $sex) {
            $own = array_keys(
                array_filter(
                    $scores, static fn (float $score, int $type): bool => $types->isMale($type) === ($sex === 0), ARRAY_FILTER_USE_BOTH,
                ),
            );
            $chosen = array_slice($own, 0, self::BEAM);
            foreach ($own === [] ? [] : $types->askedGroups() as $group) {
                $most = $own[0];
                foreach ($own as $type) {
                    $most = $types->wanted($type, $group) > $types->wanted($most, $group) ? $type : $most;
                }
                $chosen[] = $most;
            }
            $best[$sex] = array_values(array_unique($chosen));
            foreach ($best[$sex] as $type) {
                $this->earliest[$type] = $found[$type][1];
            }
        }

        return $best;
    }

    /** @param bool $toTheBest whether females go to the best males only */
    private function forward(bool $toTheBest = false): void
    {
        $types = $this->law->types;
        $horizon = $this->law->horizon;
        /** @var array<int, array<int, float>> $arrivals animals that are ready from a season on, by type */
        $arrivals = $sires = [];
        foreach ($this->held as [$type, $from, $count]) { // males that are held are there for certain
            $season = max($from, $this->season);
            $sires[$season] = ($sires[$season] ?? 0.0) + ($types->isMale($type) ? $count : 0.0);
            $arrivals[$season][$type] = ($arrivals[$season][$type] ?? 0.0) + ($types->isMale($type) ? 50.0 * $count : $count);
        }
        $room = $this->free === null ? null : (float) $this->free;
        $males = $females = [];
        for ($season = $this->season; $season <= $horizon; $season++) {
            foreach ($arrivals[$season] ?? [] as $type => $count) {
                if ($types->isMale($type)) {
                    $males[$type] = ($males[$type] ?? 0.0) + $count;
                } else {
                    $females[$type] = ($females[$type] ?? 0.0) + $count;
                }
            }
            $this->males[$season] = $males;
            $this->females[$season] = $females;
            $this->capacity[$season] = ($this->capacity[$season - 1] ?? 0.0) + $this->law->femalesPerMale * ($sires[$season] ?? 0.0);
            $this->isScarce = $this->isScarce || array_sum($females) > $this->capacity[$season];
            foreach ($this->housed($this->expected($season, $toTheBest), $season, $room) as $child => $count) {
                if ($count > self::SOME && isset($this->earliest[$child])) {
                    $isMale = $types->isMale($child);
                    $ready = $season + ($isMale ? $this->law->maleDelay : $this->law->femaleDelay);
                    $arrivals[$ready][$child] = ($arrivals[$ready][$child] ?? 0.0) + $count;
                    $sires[$ready] = ($sires[$ready] ?? 0.0) + ($isMale ? $count : 0.0);
                }
            }
        }
    }

    /** @return array<int, float> young that are expected of a season, by type; the hazards of its matings are added up */
    private function expected(int $season, bool $toTheBest): array
    {
        $breeds = $season + $this->law->shortest <= $this->law->horizon;
        $young = [];
        $served = $this->served($season, array_map($this->law->types->promise(...), array_combine(
            array_keys($this->females[$season]), array_keys($this->females[$season]),
        )))[0];
        foreach ($this->females[$season] as $dam => $all) {
            $count = $all * ($served[$dam] ?? 1.0);
            foreach ($toTheBest ? $this->ranked($dam, $season) : $this->mates($dam, $season) as [$sire, $share]) {
                $pair = $this->law->types->pair($sire, $dam);
                $matings = $count * $share;
                if ($pair->hit > 0.0) {
                    $this->hazard += $matings * $this->law->hazard($pair, $this->weights);
                }
                if ($breeds && $matings > 5 * self::SOME) {
                    $each = $matings * $this->law->young;
                    foreach ($pair->children as $child => $chance) {
                        $young[$child] = ($young[$child] ?? 0.0) + $each * $chance;
                    }
                }
            }
        }

        return $young;
    }

    /**
     * @param array<int, float> $young expected of a season, by type
     * @param float|null $room tubs that are free, less what is taken
     * @return array<int, float> those that find a tub, the worthiest first
     */
    private function housed(array $young, int $season, ?float &$room): array
    {
        if ($room === null || $young === []) {
            return $young;
        }
        $worth = [];
        foreach (array_keys($young) as $type) {
            $from = $season + ($this->law->types->isMale($type) ? $this->law->maleDelay : $this->law->femaleDelay);
            $worth[$type] = $this->worth[$type][$from] ?? $this->law->types->promise($type);
        }
        arsort($worth);
        $housed = [];
        $left = max($room, 0.3); // one may be let go for another
        foreach (array_keys($worth) as $type) {
            $housed[$type] = min($young[$type], $left);
            $left -= $housed[$type];
            $room -= $housed[$type];
            if ($left <= 0.0) {
                break;
            }
        }

        return $housed;
    }

    /** @return list<array{int, float}> every male that is there, with a share of a female of this type */
    private function mates(int $dam, int $season): array
    {
        $mates = [];
        $sum = 0.0;
        foreach ($this->males[$season] as $sire => $count) {
            if ($count > 10 * self::SOME && ! $this->law->types->pair($sire, $dam)->isIdle()) {
                $mates[] = [$sire, min(1.0, $count)];
                $sum += min(1.0, $count);
            }
        }

        return array_map(static fn (array $mate): array => [$mate[0], $mate[1] / max(1.0, $sum)], $mates);
    }

    /**
     * Males that are worth something to a female, the best first.
     *
     * @return list<array{int, float, float, float, float}> type, P(he is there and no better one), P(no better one is there), P(he is there), worth
     */
    private function ranked(int $dam, int $season): array
    {
        $worth = [];
        foreach ($this->males[$season] as $sire => $count) {
            if ($count > self::SOME) {
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
            $count = $this->males[$season][$sire];
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
            foreach ($this->femaleTypes as $dam) {
                if ($this->earliest[$dam] <= $season) {
                    $ranks[$dam] = $this->ranked($dam, $season);
                    $values[$dam] = 0.0;
                    foreach ($ranks[$dam] as [, $share, , , $own]) {
                        $values[$dam] += $share * $own;
                    }
                }
            }
            [$served, $least] = $this->served($season, $values);
            foreach ($values as $dam => $value) { // where males are few one more female takes the place of another
                $this->worth[$dam][$season] = ($this->worth[$dam][$season + 1] ?? 0.0) + max(0.0, $value - $least);
                $count = $this->females[$season][$dam] ?? 0.0;
                if ($count > self::SOME) {
                    $this->gains($dam, $season, $count, $served[$dam] ?? 1.0, $ranks[$dam], $gains);
                }
            }
            foreach ($this->maleTypes as $sire) {
                if ($this->earliest[$sire] <= $season) {
                    $this->worth[$sire][$season] = ($this->worth[$sire][$season + 1] ?? 0.0) + (
                        isset($gains[$sire]) ? $this->gained($gains[$sire]) : 0.0
                    );
                }
            }
        }
    }

    /**
     * The share of the females of each type that the males of a season can serve, those of most value first, and the value that
     * one more female gives up: that of the last one served, where all males have as many as they can.
     *
     * @param array<int, float> $values by type
     * @return array{array<int, float>, float} shares that are less than 1, by type
     */
    private function served(int $season, array $values): array
    {
        $left = $this->capacity[$season];
        if (array_sum($this->females[$season]) <= $left) {
            return [[], 0.0];
        }
        arsort($values);
        $shares = [];
        $least = 0.0;
        foreach ($values as $dam => $value) {
            $count = $this->females[$season][$dam] ?? 0.0;
            if ($count > $left) {
                $shares[$dam] = $left / $count;
                $least = $left > 0.0 ? $value : $least;
            } elseif ($count > 0.0) {
                $least = $value;
            }
            $left = max(0.0, $left - $count);
        }

        return [$shares, $least];
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
        foreach ($this->maleTypes as $sire) {
            if ($this->earliest[$sire] > $season) {
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
        $sons = $season + $this->law->maleDelay;
        $daughters = $season + $this->law->femaleDelay;
        foreach ($pair->children as $child => $chance) {
            if (isset($this->worth[$child])) {
                $worth = $this->worth[$child][$this->law->types->isMale($child) ? $sons : $daughters] ?? 0.0;
                if ($worth > 0.0) { // many alike do not add up without end
                    $count = $this->law->young * $chance;
                    $value += ($count <= 1.0 ? $count : 1.0 + log($count)) * $worth;
                }
            }
        }

        return $value;
    }

    /** An animal of a type that was not foreseen: what it adds beside those that are there. */
    private function unforeseen(int $type, int $from): float
    {
        if (array_sum(array_map(count(...), $this->pairs)) > self::REMEMBERED) {
            $this->pairs = array_intersect_key($this->pairs, [$this->season => true]);
        }
        $sum = 0.0;
        for ($season = $from; $season <= $this->law->horizon; $season++) {
            $best = 0.0;
            if ($this->law->types->isMale($type)) {
                $gains = [];
                foreach ($this->females[$season] ?? [] as $dam => $count) {
                    $value = $this->value($type, $dam, $season);
                    $now = $this->ranked($dam, $season)[0][4] ?? 0.0;
                    if ($value > $now) {
                        $gains[] = [$value - $now, $count];
                    }
                }
                $best = $this->gained($gains);
            } else {
                foreach ($this->males[$season] ?? [] as $sire => $count) {
                    $best = max($best, $this->value($sire, $type, $season) * (1 - exp(-$count)));
                }
            }
            $sum += $best;
        }

        return $sum;
    }
}
