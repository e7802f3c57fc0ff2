<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Destino\Genome\Diplotype;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/** Numbers of the diplotypes and looks of one linkage group. */
final class Book
{
    /** @var list<Diplotype> */
    public array $states = [];

    /** @var array<string, int> */
    private array $numberOfState = [];

    /** @var list<array<int, Rational>> P(diplotype) of each look, by number of the diplotype */
    public array $looks = [];

    /** @var array<string, int> */
    private array $numberOfLook = [];

    /** @var array<int, int> look on the grid by look */
    private array $coarse = [];

    public function number(Diplotype $diplotype): int
    {
        if (! isset($this->numberOfState[$diplotype->key])) {
            $this->states[] = $diplotype;
            $this->numberOfState[$diplotype->key] = count($this->states) - 1;
        }

        return $this->numberOfState[$diplotype->key];
    }

    /**
     * The look that stands for diplotypes in proportion to some weights, rounded to a coarse grid.
     *
     * @param array<int, float> $weights by number of the diplotype
     */
    public function blend(array $weights): int
    {
        return $this->look(Grid::blended($weights));
    }

    /**
     * A look that is much like another one, on the grid: over generations in which something is hidden their number would grow
     * without end. What is possible stays possible.
     */
    public function coarse(int $look): int
    {
        return $this->coarse[$look] ??= Grid::isCoarse($this->looks[$look]) ? $look : $this->look(Grid::coarse($this->looks[$look]));
    }

    /** @return Weights<null> */
    public static function nothing(): Weights
    {
        /** @var Weights<null> $weights */
        $weights = new Weights;

        return $weights;
    }

    /** @param Weights<null> $weights by number of the diplotype */
    public function look(Weights $weights): int
    {
        $shares = [];
        foreach ($weights->shares() as $state => $p) {
            $shares[(int) $state] = $p;
        }
        ksort($shares);
        $key = implode(
            ' ',
            array_map(static fn (int $state, Rational $p): string => "{$state}:{$p->toString()}", array_keys($shares), $shares),
        );
        if (! isset($this->numberOfLook[$key])) {
            $this->looks[] = $shares;
            $this->numberOfLook[$key] = count($this->looks) - 1;
        }

        return $this->numberOfLook[$key];
    }
}
