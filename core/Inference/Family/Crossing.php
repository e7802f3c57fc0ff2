<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Probability\Rational;

/** What was seen of an animal at several parts: a table over its genotypes at each, through which they tell of each other. */
final class Crossing
{
    /** Genotypes over all spaces that what was seen of an animal may tell apart as one. */
    private const WIDEST = 8_000;

    /** @var list<string> names of the variables, as "space member" of the whole */
    public readonly array $variables;

    /** @var list<int> */
    private readonly array $sizes;

    /** @var list<float> the last variable running fastest */
    private readonly array $table;

    /**
     * What was seen of a member across parts: all that shares a space as one, so that it does not go around in circles, unless that
     * were too wide.
     *
     * @param list<Seen> $all
     * @param array<int, int> $partOf by space
     * @return list<self>
     */
    public static function of(FamilyModel $whole, Member $member, array $all, array $partOf): array
    {
        $factors = new SeenFactors($whole, new Wiring);
        $groups = [];
        foreach ($all as $seen) {
            $spaces = $factors->spacesOf($seen);
            $parts = array_unique(array_map(static fn (int $i): int => $partOf[$i], $spaces));
            if ($seen->set !== null || count($parts) < 2 || $factors->isFree($member, $seen)) {
                continue;
            }
            $group = [[$seen], $spaces];
            foreach ($groups as $g => [$others, $theirs]) {
                $union = array_values(array_unique([...$group[1], ...$theirs]));
                if (array_intersect($group[1], $theirs) !== [] && self::width($whole, $member, $union) <= self::WIDEST) {
                    $group = [[...$others, ...$group[0]], $union];
                    unset($groups[$g]);
                }
            }
            sort($group[1]);
            $groups[] = $group;
        }

        return array_map(static fn (array $group): self => new self($whole, $member, ...$group), array_values($groups));
    }

    /** @param list<int> $spaces */
    private static function width(FamilyModel $whole, Member $member, array $spaces): int
    {
        return (int) array_product(array_map(static fn (int $i): int => count($whole->domains[$i][$member->id]), $spaces));
    }

    /**
     * @param list<Seen> $all
     * @param list<int> $spaces of the whole at which these tell genotypes apart
     */
    private function __construct(FamilyModel $whole, Member $member, array $all, array $spaces)
    {
        $this->variables = array_map(static fn (int $i): string => "{$i} {$member->id}", $spaces);
        $this->sizes = array_map(static fn (int $i): int => count($whole->domains[$i][$member->id]), $spaces);
        $table = array_fill(0, (int) array_product($this->sizes), 1.0);
        $factors = new SeenFactors($whole, new Wiring);
        foreach ($all as $seen) {
            $chances = array_map(static fn (Rational $chance): float => $chance->toFloat(), $factors->chances($member, $seen));
            $steps = $this->steps(array_map(static fn (int $i): int => (int) array_search($i, $spaces, true), $factors->spacesOf($seen)));
            foreach ($table as $place => $product) {
                $own = 0;
                foreach ($steps as [$step, $size, $by]) {
                    $own += intdiv($place, $step) % $size * $by;
                }
                $table[$place] = $product * $chances[$own];
            }
        }
        $this->table = $table;
    }

    /**
     * @param list<int> $axes of a smaller table, the last running fastest
     * @return list<array{int, int, int}> divide a place by, modulo, multiply by
     */
    private function steps(array $axes): array
    {
        $steps = [];
        $by = 1;
        foreach (array_reverse($axes) as $axis) {
            $steps[] = [(int) array_product(array_slice($this->sizes, $axis + 1)), $this->sizes[$axis], $by];
            $by *= $this->sizes[$axis];
        }

        return $steps;
    }

    /**
     * @param list<list<float>> $given what is said of each variable by others
     * @return list<float> what it says of one
     */
    public function about(int $axis, array $given): array
    {
        $sums = array_fill(0, $this->sizes[$axis], 0.0);
        foreach ($this->table as $place => $chance) {
            $value = 0;
            for ($i = count($this->sizes) - 1; $i >= 0; $i--) {
                $at = $place % $this->sizes[$i];
                $place = intdiv($place, $this->sizes[$i]);
                if ($i === $axis) {
                    $value = $at;
                } else {
                    $chance *= $given[$i][$at];
                }
            }
            $sums[$value] += $chance;
        }

        return array_values($sums);
    }

    /** @param list<list<float>> $given */
    public function sum(array $given): float
    {
        return array_sum(array_map(static fn (float $one, float $other): float => $one * $other, $this->about(0, $given), $given[0]));
    }

    /** @return array<string, int> values by variable */
    public function sizes(): array
    {
        return array_combine($this->variables, $this->sizes);
    }
}
