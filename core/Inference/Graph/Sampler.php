<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * For graphs that are too wide to be exact: so many variables are set aside that the rest is narrow, the whole rest is drawn
 * at once from what is exact given them, and then others are set aside (blocking Gibbs sampling, Jensen, Kong and Kjærulff
 * 1995). Several chains start apart; answers are means of exact answers, and their error is judged from how the chains
 * and their halves differ.
 */
final class Sampler
{
    /** Entries of the largest table once enough is set aside. */
    private const WIDTH = 1_000.0;

    /** Entries that all draws together may touch. */
    private const WORK = 2.1e7;

    private const CHAINS = 4;

    /** Sets of variables that are set aside in turn. */
    private const SETS = 8;

    /** What stands for "impossible" while a first possible combination is looked for. */
    private const HARDLY = 1e-6;

    private readonly Randomizer $chance;

    private readonly SetAside $setAside;

    /** @var list<list<int>> scopes of the factors */
    private readonly array $scopes;

    /** @var list<Factor> in doubles */
    private readonly array $factors;

    /**
     * @param array<int, int> $sizes
     * @param list<Factor> $factors
     * @param float $work entries that all draws together may touch
     */
    public function __construct(
        private readonly array $sizes,
        array $factors,
        private readonly float $work = self::WORK,
        int $seed = 1,
        private readonly float $width = self::WIDTH,
    ) {
        $this->setAside = new SetAside($sizes);
        $this->chance = new Randomizer(new Mt19937($seed));
        $this->factors = array_map(static fn (Factor $factor): Factor => $factor->inDoubles(), $factors);
        $this->scopes = array_map(static fn (Factor $factor): array => $factor->scope, $factors);
    }

    /**
     * @param (callable(array<int, int>, int): void)|null $each told of every draw of all variables, and of its chain
     * @return Marginals not possible where no combination was found that is
     */
    public function run(?callable $each = null): Marginals
    {
        [$orders, $cost] = $this->orders();
        $ready = array_map(fn (array $one): array => $this->setAside->ready($one, $this->factors), $orders);
        $visits = (int) max(10, min(150, $this->work / self::CHAINS / max(1.0, $cost)));
        $means = new ChainMeans($this->sizes, 2 * self::CHAINS);
        for ($chain = 0; $chain < self::CHAINS; $chain++) {
            $values = $this->start($orders);
            if ($values === null) {
                return new Marginals([], -INF, false, 1.0);
            }
            $burnIn = intdiv($visits, 4) + 1;
            for ($visit = -$burnIn; $visit < $visits; $visit++) {
                $turn = ($visit + $burnIn + $chain) % count($orders);
                [$order, $aside] = $orders[$turn];
                $elimination = $this->setAside->given(array_intersect_key($values, array_flip($aside)), $order, ...$ready[$turn]);
                $floats = $elimination->floats() ?? [];
                $values = $elimination->draw($this->chance) + array_intersect_key($values, array_flip($aside));
                if ($visit >= 0) {
                    $means->add(2 * $chain + intdiv(2 * $visit, $visits), $floats, $values);
                    if ($each !== null) {
                        $each($values, 2 * $chain + intdiv(2 * $visit, $visits));
                    }
                }
            }
        }

        return new Marginals($means->shares(), 0.0, false, $means->error(), $means->errors());
    }

    /** @return array{non-empty-list<array{Order, list<int>}>, float} orders with what is set aside, and the entries of one draw */
    private function orders(): array
    {
        $orders = [];
        $spared = [];
        $cost = 0.0;
        do {
            [$order, $aside] = Order::narrow($this->sizes, $this->scopes, $this->width, $this->chance, $spared);
            foreach ($aside as $one) {
                $spared[$one] = ($spared[$one] ?? 0) + 1;
            }
            $orders[] = [$order, $aside];
            $cost += ($order->size + 100 * count($this->sizes)) / self::SETS;
        } while (count($orders) < self::SETS);

        return [$orders, $cost];
    }

    /**
     * Values that are possible together: what is impossible counts as hardly possible, until a draw needs none of it.
     *
     * @param non-empty-list<array{Order, list<int>}> $orders
     * @return array<int, int>|null null where none were found
     */
    private function start(array $orders): ?array
    {
        $soft = array_map($this->softened(...), $this->factors);
        $values = array_map(fn (int $size): int => $this->chance->getInt(0, $size - 1), $this->sizes);
        for ($try = 0; $try < 40; $try++) {
            [$order, $aside] = $orders[$try % count($orders)];
            $elimination = $this->setAside->given(array_intersect_key($values, array_flip($aside)), $order, $soft, []);
            $elimination->logEvidence();
            $values = $elimination->draw($this->chance) + array_intersect_key($values, array_flip($aside));
            if ($this->isPossible($values)) {
                return $values;
            }
        }

        return null;
    }

    private function softened(Factor $factor): Factor
    {
        $size = array_product(array_map(fn (int $variable): int => $this->sizes[$variable], $factor->scope));
        $table = array_map((new Doubles)->of(...), $factor->table);

        return new Factor($factor->scope, $table + array_fill(0, (int) $size, self::HARDLY * max([0.0, ...array_values($table)])));
    }

    /** @param array<int, int> $values */
    private function isPossible(array $values): bool
    {
        foreach ($this->factors as $factor) {
            $place = 0;
            foreach ($factor->scope as $variable) {
                $place = $place * $this->sizes[$variable] + $values[$variable];
            }
            if (! isset($factor->table[$place])) {
                return false;
            }
        }

        return true;
    }
}
