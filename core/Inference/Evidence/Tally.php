<?php

declare(strict_types=1);

namespace Destino\Inference\Evidence;

use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Notation\Target;

/**
 * Hatchlings that were kept as animals and counted by look as well: where both together are more than hatched, so many
 * of the kept are taken out of the counts that they fit, the surest first, so that each hatchling counts once.
 */
final readonly class Tally
{
    /**
     * @param array<int, int> $counts how many of each count are left to speak for others, under the key of the count
     * @param int $shared kept animals that were counted as well
     * @param int $excess how many more than hatched are recorded even so: a figure is wrong
     */
    private function __construct(public array $counts, public int $shared, public int $excess) {}

    /**
     * @param int|null $hatched how many hatched; null where it is not known, and then nothing can be told to overlap
     * @param list<Belief> $kept what is stated of the hatchlings kept as animals
     * @param array<int, array{Target, int}> $counted look and number, under a key of the caller's
     */
    public static function of(?int $hatched, array $kept, array $counted, Catalogue $catalogue): self
    {
        $counts = array_map(static fn (array $one): int => $one[1], $counted);
        $excess = $hatched === null ? 0 : max(0, count($kept) + array_sum($counts) - $hatched);
        $fits = [];
        foreach ($kept as $i => $belief) {
            foreach ($counted as $j => [$saw]) {
                $chance = $saw->chanceFor($belief, $catalogue)->toFloat();
                if ($chance > 0.0) {
                    $fits[] = [$chance, $i, $j];
                }
            }
        }
        usort($fits, static fn (array $a, array $b): int => [$b[0], $a[1], $a[2]] <=> [$a[0], $b[1], $b[2]]);
        $shared = [];
        foreach ($fits as [, $i, $j]) {
            if ($excess > 0 && ! isset($shared[$i]) && $counts[$j] > 0) {
                $shared[$i] = true;
                $counts[$j]--;
                $excess--;
            }
        }

        return new self($counts, count($shared), $excess);
    }
}
