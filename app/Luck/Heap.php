<?php

declare(strict_types=1);

namespace App\Luck;

use Destino\Probability\Luck;

/** A hundred runs of the same eggs as a heap of dots by hits: as many as did at least as badly, or as well, are as many dots. */
final readonly class Heap
{
    public const RUNS = 100;

    /** @var list<array{hits: int, dots: int, inTail: bool, isHere: bool}> */
    public array $columns;

    public function __construct(public Luck $luck)
    {
        $law = self::law($luck);
        $inTail = (int) round(self::RUNS * $luck->tail()->toFloat());
        $dots = self::shared($law, true, $inTail) + self::shared($law, false, self::RUNS - $inTail);
        $columns = [];
        foreach ($law as $i => $one) {
            $isHere = $one['hits'] === $luck->hits;
            if (($dots[$i] ?? 0) > 0 || $isHere) {
                $columns[] = ['hits' => $one['hits'], 'dots' => $dots[$i] ?? 0, 'inTail' => $one['inTail'], 'isHere' => $isHere];
            }
        }
        $this->columns = $columns;
    }

    /** @return list<array{hits: int, chance: float, inTail: bool}> the window of hits that holds nearly all, and what happened */
    private static function law(Luck $luck): array
    {
        $mean = $luck->expected()->toFloat();
        $spread = 4 * sqrt(max(0.25, $mean * (1 - $luck->chance->toFloat())));
        $from = max(0, min($luck->hits, (int) floor($mean - $spread)));
        $to = min($luck->eggs, max($luck->hits, (int) ceil($mean + $spread)));
        $law = [];
        for ($hits = $from; $hits <= $to; $hits++) {
            $inTail = $luck->isBelowExpected() ? $hits <= $luck->hits : $hits >= $luck->hits;
            $law[] = ['hits' => $hits, 'chance' => $luck->probabilityOf($hits)->toFloat(), 'inTail' => $inTail];
        }

        return $law;
    }

    /**
     * So many dots among the hits of one side, each in proportion to its chance (largest remainders).
     *
     * @param list<array{hits: int, chance: float, inTail: bool}> $law
     * @return array<int, int> dots by place in the law
     */
    private static function shared(array $law, bool $inTail, int $count): array
    {
        $own = array_filter($law, static fn (array $one): bool => $one['inTail'] === $inTail);
        $sum = array_sum(array_column($own, 'chance'));
        if ($own === [] || $sum <= 0) {
            return [];
        }
        $exact = array_map(static fn (array $one): float => $count * $one['chance'] / $sum, $own);
        $dots = array_map(static fn (float $share): int => (int) floor($share), $exact);
        $left = array_map(static fn (float $share): float => $share - floor($share), $exact);
        arsort($left);
        foreach (array_slice(array_keys($left), 0, $count - array_sum($dots)) as $place) {
            $dots[$place]++;
        }

        return $dots;
    }

    /** Dots that did at least as badly, or as well. */
    public function inTail(): int
    {
        return array_sum(array_map(static fn (array $one): int => $one['inTail'] ? $one['dots'] : 0, $this->columns));
    }

    public function sentence(): string
    {
        $count = $this->inTail();
        $how = $this->luck->isBelowExpected() ? 'as few hits or fewer' : 'as many hits or more';
        $eggs = $this->luck->eggs.($this->luck->eggs === 1 ? ' egg' : ' eggs');

        return 'Of '.self::RUNS." such runs of {$eggs}, ".match (true) {
            $count === 0 => "not one would have {$how}",
            $count === 1 => "1 has {$how}",
            default => "{$count} have {$how}",
        }.'.';
    }
}
