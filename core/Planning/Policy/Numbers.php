<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Closure;

/** The pass forward of an outlook: how many animals of each type are to be expected in each season, and the hazards of their matings. */
final class Numbers
{
    /** Fewer animals than this are not looked at. */
    public const SOME = 1e-3;

    /** @var array<int, array<int, float>> females ready by season and type */
    public array $females = [];

    /** @var array<int, array<int, float>> males ready by season and type: P(one is there) follows */
    public array $males = [];

    /** The sum of all hazards that are foreseen. */
    public float $hazard = 0.0;

    /** Whether some season has more females than its males can serve. */
    public bool $isScarce = false;

    /** @var array<int, array<int, Pair>> by dam and sire: the same ones are asked for in every season */
    private array $pairs = [];

    /** @var array<int, float> females that the males of a season can serve */
    private array $capacity = [];

    /**
     * @param list<array{int, int, float}> $held type, first season in which it breeds, how many
     * @param int $season the first
     * @param array{float, float} $weights of male and female hits
     * @param int|null $free tubs for young that are free; null for no limit
     * @param Closure(int, int): ?float $worth of one more animal of a type, ready in a season, where it is known
     * @param (Closure(int, int, array<int, float>): list<array{int, float, float, float, float}>)|null $ranked males that are
     *     worth something to a female in a season, where females go to the best only; null where they are shared out
     */
    public function __construct(
        private readonly Law $law,
        private readonly Foreseen $foreseen,
        array $held,
        int $season,
        private readonly array $weights,
        ?int $free,
        Closure $worth,
        ?Closure $ranked = null,
    ) {
        $this->forward($held, $season, $free === null ? null : (float) $free, $worth, $ranked); // neither is kept: who asks keeps this
        $this->pairs = [];
    }

    /**
     * The share of the females of each type that the males of a season can serve, those of most value first, and the value that
     * one more female gives up: that of the last one served, where all males have as many as they can.
     *
     * @param array<int, float> $values by type
     * @return array{array<int, float>, float} shares that are less than 1, by type
     */
    public function served(int $season, array $values): array
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
     * @param list<array{int, int, float}> $held type, first season in which it breeds, how many
     * @param Closure(int, int): ?float $worth
     * @param (Closure(int, int, array<int, float>): list<array{int, float, float, float, float}>)|null $ranked
     */
    private function forward(array $held, int $first, ?float $room, Closure $worth, ?Closure $ranked): void
    {
        $types = $this->law->types;
        $horizon = $this->law->horizon;
        /** @var array<int, array<int, float>> $arrivals animals that are ready from a season on, by type */
        $arrivals = $sires = [];
        foreach ($held as [$type, $from, $count]) { // males that are held are there for certain
            $season = max($from, $first);
            $sires[$season] = ($sires[$season] ?? 0.0) + ($types->isMale($type) ? $count : 0.0);
            $arrivals[$season][$type] = ($arrivals[$season][$type] ?? 0.0) + ($types->isMale($type) ? 50.0 * $count : $count);
        }
        $males = $females = [];
        for ($season = $first; $season <= $horizon; $season++) {
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
            foreach ($this->housed($this->expected($season, $ranked), $season, $room, $worth) as $child => $count) {
                if ($count > self::SOME && isset($this->foreseen->earliest[$child])) {
                    $isMale = $types->isMale($child);
                    $ready = $season + ($isMale ? $this->law->maleDelay : $this->law->femaleDelay);
                    $arrivals[$ready][$child] = ($arrivals[$ready][$child] ?? 0.0) + $count;
                    $sires[$ready] = ($sires[$ready] ?? 0.0) + ($isMale ? $count : 0.0);
                }
            }
        }
    }

    /**
     * @param (Closure(int, int, array<int, float>): list<array{int, float, float, float, float}>)|null $ranked
     * @return array<int, float> young that are expected of a season, by type; the hazards of its matings are added up
     */
    private function expected(int $season, ?Closure $ranked): array
    {
        $breeds = $season + $this->law->shortest <= $this->law->horizon;
        $young = [];
        $served = $this->served($season, array_map($this->law->types->promise(...), array_combine(
            array_keys($this->females[$season]), array_keys($this->females[$season]),
        )))[0];
        foreach ($this->females[$season] as $dam => $all) {
            $count = $all * ($served[$dam] ?? 1.0);
            foreach ($ranked === null ? $this->mates($dam, $season) : $ranked($dam, $season, $this->males[$season]) as [$sire, $share]) {
                $pair = $this->pairs[$dam][$sire] ??= $this->law->types->pair($sire, $dam);
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
     * @param Closure(int, int): ?float $worth
     * @return array<int, float> those that find a tub, the worthiest first
     */
    private function housed(array $young, int $season, ?float &$room, Closure $worth): array
    {
        if ($room === null || $young === []) {
            return $young;
        }
        $values = [];
        foreach (array_keys($young) as $type) {
            $from = $season + ($this->law->types->isMale($type) ? $this->law->maleDelay : $this->law->femaleDelay);
            $values[$type] = $worth($type, $from) ?? $this->law->types->promise($type);
        }
        arsort($values);
        $housed = [];
        $left = max($room, 0.3); // one may be let go for another
        foreach (array_keys($values) as $type) {
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
            if ($count <= 10 * self::SOME) {
                continue;
            }
            $pair = $this->pairs[$dam][$sire] ??= $this->law->types->pair($sire, $dam);
            if (! $pair->isIdle) {
                $mates[] = [$sire, min(1.0, $count)];
                $sum += min(1.0, $count);
            }
        }

        return array_map(static fn (array $mate): array => [$mate[0], $mate[1] / max(1.0, $sum)], $mates);
    }
}
