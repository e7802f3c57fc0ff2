<?php

declare(strict_types=1);

namespace App\Care;

use App\Drawing\Axis;
use App\Drawing\Scale;
use App\Models\CareEntry;
use Illuminate\Support\Carbon;

/** An animal's weights as a line over time, laid out for drawing. */
class WeightChart
{
    public const WIDTH = 640;

    public const HEIGHT = 200;

    private const LEFT = 84;

    private const BOTTOM = 24;

    private const TOP = 14;

    private readonly float $from;

    private readonly float $to;

    private readonly int $least;

    private readonly int $most;

    /** @param  list<CareEntry>  $weights  two or more, oldest first */
    public function __construct(private readonly array $weights)
    {
        $days = array_map(fn (CareEntry $entry): float => (float) $entry->on->getTimestamp(), $weights);
        $grams = array_map(fn (CareEntry $entry): int => (int) $entry->grams, $weights);
        $this->from = min($days);
        $this->to = max(max($days), $this->from + 86_400);
        $step = self::step(max($grams) - min($grams));
        $this->least = (int) (floor(min($grams) / $step) * $step);
        $this->most = (int) max(ceil(max($grams) / $step) * $step, $this->least + $step);
    }

    /** @return list<array{x: float, y: float, label: string}> */
    public function points(): array
    {
        $across = Scale::of($this->from, $this->to, self::LEFT, self::WIDTH - 12);

        return array_map(fn (CareEntry $entry): array => [
            'x' => round($across->at($entry->on->getTimestamp()), 1),
            'y' => $this->y((int) $entry->grams),
            'label' => $entry->on->format('j M Y').': '.number_format((int) $entry->grams).' g',
        ], $this->weights);
    }

    /** @return list<array{y: float, label: string}> */
    public function grid(): array
    {
        $lines = [];
        for ($grams = $this->least; $grams <= $this->most; $grams += self::step($this->most - $this->least)) {
            $lines[] = ['y' => $this->y($grams), 'label' => number_format($grams).' g'];
        }

        return $lines;
    }

    /** @return array{string, string} the first and the last day */
    public function days(): array
    {
        return [Carbon::createFromTimestamp($this->from)->format('j M Y'), Carbon::createFromTimestamp($this->to)->format('j M Y')];
    }

    private function y(int $grams): float
    {
        return round(Scale::of($this->least, $this->most, self::HEIGHT - self::BOTTOM, self::TOP)->at($grams), 1);
    }

    private static function step(int $span): int
    {
        return max(10, (int) Axis::step(max(1, $span) / 5));
    }
}
