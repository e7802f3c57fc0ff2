<?php

declare(strict_types=1);

namespace App\View\Components\Ladder;

use App\Drawing\Scale;
use App\Pairing\PairPage;
use App\View\Components\Part\Part;
use Destino\Genome\Sex;
use Destino\Pairing\TargetOdds;
use Destino\Probability\ClutchChance;
use Destino\Probability\Rational;
use LogicException;

/** The odds of the target for a clutch, rung by rung. */
class Ladder extends Part
{
    /** Where the columns of the curve stand, and how high they may be. */
    private const WIDTH = 300;

    private const FLOOR = 80;

    private const HIGH = 68;

    public readonly TargetOdds $target;

    public readonly ClutchChance $chance;

    public readonly int $eggs;

    public readonly string $unit;

    /** @var list<array{eggs: int, one: Rational, two: Rational, expected: float}> */
    public readonly array $rungs;

    /** @var array<int, int|null> eggs by level in percent */
    public readonly array $needed;

    public function __construct(PairPage $page)
    {
        $this->target = $page->prediction->target ?? throw new LogicException('A ladder wants a target.');
        $this->chance = $this->target->chance;
        $this->eggs = $page->prediction->question->eggs;
        $this->unit = $page->unit();
        $this->rungs = $page->rungs($this->chance);
        $this->needed = $page->eggsFor($this->chance);
    }

    public function columns(): int
    {
        return count($this->rungs);
    }

    /** @return list<array{eggs: int, x: float, y: float, width: float, height: float, label: float|null, isOn: bool}> */
    public function bars(): array
    {
        $across = Scale::of(0, $this->columns(), 0, self::WIDTH);
        $up = Scale::of(0, 1, 0, self::HIGH);
        $every = max(5, intdiv($this->columns(), 4));

        return array_map(fn (array $rung, int $i): array => [
            'eggs' => $rung['eggs'], 'x' => round($across->at($i) + .8, 2), 'width' => round($across->length(1) - 1.6, 2),
            'y' => round(self::FLOOR - $up->at($rung['one']->toFloat()), 2), 'height' => round($up->at($rung['one']->toFloat()), 2),
            'label' => $rung['eggs'] === 1 || $rung['eggs'] % $every === 0 ? round($across->at($i + .5), 2) : null,
            'isOn' => $rung['eggs'] === $this->eggs,
        ], $this->rungs, array_keys($this->rungs));
    }

    /** Share of the longest bar of eggs needed, in percent. */
    public function length(int $needed): float
    {
        return round(100 * $needed / max([1, ...array_filter($this->needed)]), 1);
    }

    public function ofSex(Sex $sex): ClutchChance
    {
        return $this->target->bySex($sex);
    }

    /** A mean with up to two decimals. */
    public function number(float $mean): string
    {
        return rtrim(rtrim(number_format($mean, 2), '0'), '.');
    }
}
