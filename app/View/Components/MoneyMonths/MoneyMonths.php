<?php

declare(strict_types=1);

namespace App\View\Components\MoneyMonths;

use App\Drawing\Scale;
use App\Money\Ledger;
use App\View\Components\Part\Part;
use Destino\Money\Money;
use Illuminate\Support\Carbon;

/** A year of money: income upward and costs downward by month, and the balance as a line. */
class MoneyMonths extends Part
{
    private const WIDTH = 600;

    private const HEIGHT = 170;

    private const LEFT = 8;

    /** @var list<array{month: int, income: Money, costs: Money, balance: Money}> */
    public readonly array $months;

    public readonly int $wide;

    public readonly int $high;

    private readonly Scale $across;

    private readonly Scale $up;

    public function __construct(Ledger $ledger)
    {
        [$this->wide, $this->high] = [self::WIDTH, self::HEIGHT];
        $this->months = $ledger->byMonth();
        $values = [0];
        foreach ($this->months as $one) {
            array_push($values, $one['income']->minor, -$one['costs']->minor, $one['balance']->minor);
        }
        $this->across = Scale::of(0, 12, self::LEFT, self::WIDTH - self::LEFT);
        $this->up = Scale::of(min($values), max(max($values), min($values) + 1), self::HEIGHT - 26, 8);
    }

    public function isEmpty(): bool
    {
        return array_filter($this->months, fn (array $one): bool => $one['income']->minor !== 0 || $one['costs']->minor !== 0) === [];
    }

    public function floor(): float
    {
        return round($this->up->at(0), 1);
    }

    /** @return list<array{class: string, x: float, y: float, width: float, height: float, says: string}> bars that are not of nothing */
    public function bars(): array
    {
        $bars = [];
        foreach ($this->months as $i => $one) {
            foreach (['income' => $one['income']->minor, 'costs' => -$one['costs']->minor] as $class => $minor) {
                $end = $this->up->at($minor);
                $minor === 0 ?: $bars[] = [
                    'class' => $class, 'x' => round($this->across->at($i + .18), 1), 'y' => round(min($end, $this->floor()), 1),
                    'width' => round($this->across->length(.64), 1), 'height' => round(max(1.5, abs($end - $this->floor())), 1),
                    'says' => $this->name($one['month'])." {$class}: {$one[$class]->words()}",
                ];
            }
        }

        return $bars;
    }

    /** The balance at the end of each month. */
    public function line(): string
    {
        return implode(' ', array_map(
            fn (array $one, int $i): string => round($this->across->at($i + .5), 1).','.round($this->up->at($one['balance']->minor), 1),
            $this->months, array_keys($this->months),
        ));
    }

    public function middle(int $month): float
    {
        return round($this->across->at($month + .5), 1);
    }

    public function name(int $month): string
    {
        return Carbon::create(2000, $month)?->format('M') ?? '';
    }

    public function sentence(): string
    {
        $months = array_filter($this->months, fn (array $one): bool => $one['income']->minor !== 0 || $one['costs']->minor !== 0);

        return implode('; ', array_map(
            fn (array $one): string => "{$this->name($one['month'])}: income {$one['income']->words()}, costs {$one['costs']->words()}, "
                ."balance {$one['balance']->words()}",
            $months,
        ));
    }
}
