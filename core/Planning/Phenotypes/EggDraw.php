<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Closure;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Meiosis;

/** Draws the diplotype of eggs at one group; what two give is worked out once. */
final class EggDraw
{
    /** @var array<int, list<float>> rising chances by pair */
    private array $rising = [];

    /** @var array<int, list<int>> numbers of the diplotypes by pair */
    private array $states = [];

    /** @param Closure(Diplotype): int $number */
    public function __construct(private readonly Meiosis $meiosis, private readonly LinkageGroup $group,
        private readonly Closure $number) {}

    /**
     * @param int $pair number of the two
     * @param float $chance in [0, 1)
     * @return int number of the egg's diplotype
     */
    public function of(int $pair, Diplotype $sire, Diplotype $dam, float $chance): int
    {
        if (! isset($this->rising[$pair])) {
            $this->prepare($pair, $sire, $dam);
        }
        $states = $this->states[$pair];
        foreach ($this->rising[$pair] as $i => $upTo) {
            if ($chance < $upTo) {
                return $states[$i];
            }
        }

        return $states[count($states) - 1];
    }

    private function prepare(int $pair, Diplotype $sire, Diplotype $dam): void
    {
        $weights = [];
        $strands = $this->meiosis->strands($this->group, $dam)->entries();
        foreach ($this->meiosis->strands($this->group, $sire)->entries() as [$left, $p]) {
            foreach ($strands as [$right, $q]) {
                $state = ($this->number)(new Diplotype($left, $right));
                $weights[$state] = ($weights[$state] ?? 0.0) + $p->toFloat() * $q->toFloat();
            }
        }
        $sum = 0.0;
        $this->rising[$pair] = [];
        foreach ($weights as $weight) {
            $this->rising[$pair][] = $sum += $weight;
        }
        $this->states[$pair] = array_keys($weights);
    }
}
