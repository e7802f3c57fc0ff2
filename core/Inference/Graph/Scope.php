<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

/** Variables in the order in which they are eliminated, and the places of a table over them, the last running fastest. */
final readonly class Scope
{
    /** @var array<int, int> what one step of a variable adds to a place */
    public array $strides;

    /** Places of a full table; a float beyond the integers. */
    public int|float $size;

    /**
     * @param list<int> $variables in order of elimination
     * @param array<int, int> $sizes number of values by variable
     */
    public function __construct(public array $variables, private array $sizes)
    {
        $strides = [];
        /** @var int|float $size a float once it leaves the integers */
        $size = 1;
        for ($i = count($variables) - 1; $i >= 0; $i--) {
            $strides[$variables[$i]] = is_int($size) ? $size : PHP_INT_MAX; // too wide for places: join() refuses it
            $size *= $sizes[$variables[$i]];
        }
        $this->strides = $strides;
        $this->size = $size;
    }

    /**
     * The place that each key has by some strides: the part of it that those variables make up.
     *
     * @param list<int> $keys places of a table over this scope
     * @param array<int, int> $strides by variable; variables that are left out add nothing
     * @return list<int>
     */
    public function places(array $keys, array $strides): array
    {
        $runs = $this->runs($strides);
        if ($runs === []) {
            return array_fill(0, count($keys), 0);
        }
        if (count($runs) === 1) {
            return $this->inOneRun($keys, ...$runs[0]);
        }
        $places = [];
        [[$step, $radix, $by], [$step2, $radix2, $by2]] = $runs;
        $others = array_slice($runs, 2);
        foreach ($keys as $key) {
            $place = intdiv($key, $step) % $radix * $by + intdiv($key, $step2) % $radix2 * $by2;
            foreach ($others as [$s, $r, $b]) {
                $place += intdiv($key, $s) % $r * $b;
            }
            $places[] = $place;
        }

        return $places;
    }

    /**
     * The first variables need no remainder, and the last no division.
     *
     * @param list<int> $keys
     * @return list<int>
     */
    private function inOneRun(array $keys, int $step, int $radix, int $by): array
    {
        $isFirst = $step * $radix === $this->size;
        if ($isFirst && $step === 1 && $by === 1) {
            return $keys;
        }
        $places = [];
        if ($isFirst) {
            foreach ($keys as $key) {
                $places[] = intdiv($key, $step) * $by;
            }
        } elseif ($step === 1) {
            foreach ($keys as $key) {
                $places[] = $key % $radix * $by;
            }
        } else {
            foreach ($keys as $key) {
                $places[] = intdiv($key, $step) % $radix * $by;
            }
        }

        return $places;
    }

    /**
     * Variables that stand side by side in both are taken in one step.
     *
     * @param array<int, int> $strides
     * @return list<array{int, int, int}> divide by, modulo, multiply by
     */
    private function runs(array $strides): array
    {
        $runs = [];
        $last = null;
        foreach ($this->variables as $variable) {
            if (! isset($strides[$variable])) {
                $last = null;

                continue;
            }
            $size = $this->sizes[$variable];
            if ($last !== null && $runs[$last][2] === $strides[$variable] * $size) {
                $runs[$last] = [$this->strides[$variable], $runs[$last][1] * $size, $strides[$variable]];
            } else {
                $runs[] = [$this->strides[$variable], $size, $strides[$variable]];
                $last = count($runs) - 1;
            }
        }

        return $runs;
    }
}
