<?php

declare(strict_types=1);

namespace App\Incubation;

use App\Drawing\Axis;
use App\Drawing\Scale;
use App\House\House;
use App\House\WallClock;
use App\Models\Incubator;
use Illuminate\Support\Carbon;

/**
 * The readings of one kind over a span of time, laid out for drawing: the mean as a line that breaks where nothing was heard,
 * from least to most as a band, the limits as two lines.
 *
 * @phpstan-import-type Bucket from Log
 */
class Chart
{
    public const WIDTH = 760;

    public const HEIGHT = 230;

    private const LEFT = 62;

    private const RIGHT = 12;

    private const TOP = 14;

    private const BOTTOM = 28;

    /** Points across. */
    private const POINTS = 240;

    /** Nothing heard for so many spans breaks the line. */
    private const GAP = 3;

    /** Spans of time that can be chosen: days by name. */
    public const SPANS = ['day' => 1, 'week' => 7, 'month' => 30, 'season' => 70];

    /** @var list<Bucket> */
    public readonly array $buckets;

    private readonly float $least;

    private readonly float $most;

    private readonly int $step;

    public function __construct(
        public readonly Incubator $incubator,
        public readonly string $kind,
        public readonly string $span,
        private readonly Carbon $now,
        private readonly House $house,
    ) {
        $this->step = max(60, intdiv(self::SPANS[$span] * 86_400, self::POINTS));
        $this->buckets = (new Log($incubator))->buckets($kind, $this->from(), $now, $this->step);
        $limits = $this->limits();
        $values = [...$limits, ...array_column($this->buckets, 'least'), ...array_column($this->buckets, 'most')];
        $room = $kind === 'temperature' ? .3 : 3;
        $this->least = ($values === [] ? 0 : min($values)) - $room;
        $this->most = ($values === [] ? 1 : max($values)) + $room;
    }

    /** @return list<float> least and greatest that is right; empty where none is set */
    public function limits(): array
    {
        $watch = $this->incubator->watch($this->kind);

        return $watch === null ? [] : [$watch->low, $watch->high];
    }

    private function from(): Carbon
    {
        return $this->now->copy()->subDays(self::SPANS[$this->span]);
    }

    public function y(float $value): float
    {
        return round(Scale::of($this->least, $this->most, self::HEIGHT - self::BOTTOM, self::TOP)->at($value), 1);
    }

    public function x(int $second): float
    {
        $from = $this->from()->getTimestamp();
        $across = Scale::of($from, $from + self::SPANS[$this->span] * 86_400, self::LEFT, self::WIDTH - self::RIGHT);

        return round(min(self::WIDTH - self::RIGHT, max(self::LEFT, $across->at($second))), 1);
    }

    /** @return list<list<Bucket>> runs without a gap */
    private function runs(): array
    {
        $runs = [];
        $last = null;
        foreach ($this->buckets as $bucket) {
            if ($last === null || $bucket['at'] - $last > self::GAP * max($this->step, 600)) {
                $runs[] = [];
            }
            $runs[count($runs) - 1][] = $bucket;
            $last = $bucket['at'];
        }

        return $runs;
    }

    /** Path of the means. */
    public function line(): string
    {
        return implode('', array_map(fn (array $run): string => 'M'.implode('L', array_map(
            fn (array $one): string => $this->x($one['at']).' '.$this->y($one['mean']), count($run) > 1 ? $run : [$run[0], $run[0]],
        )), $this->runs()));
    }

    /** Path from least to most. */
    public function band(): string
    {
        return implode('', array_map(fn (array $run): string => 'M'.implode('L', [
            ...array_map(fn (array $one): string => $this->x($one['at']).' '.$this->y($one['most']), $run),
            ...array_map(fn (array $one): string => $this->x($one['at']).' '.$this->y($one['least']), array_reverse($run)),
        ]).'Z', $this->runs()));
    }

    /** @return list<array{from: float, to: float}> where nothing was heard */
    public function gaps(): array
    {
        $gaps = [];
        $runs = $this->runs();
        foreach (array_slice($runs, 1) as $i => $run) {
            $gaps[] = ['from' => $this->x($runs[$i][count($runs[$i]) - 1]['at']), 'to' => $this->x($run[0]['at'])];
        }

        return $gaps;
    }

    /** @return list<array{y: float, label: string}> */
    public function grid(): array
    {
        $lines = [];
        foreach (Axis::ticks($this->least, $this->most) as $value) {
            $lines[] = ['y' => $this->y($value), 'label' => $this->words($value)];
        }

        return $lines;
    }

    /** @return list<array{x: float, label: string}> */
    public function times(): array
    {
        [$every, $format] = match ($this->span) {
            'day' => [6 * 3600, 'H:i'], 'week' => [86_400, 'D j'], 'month' => [5 * 86_400, 'j M'], default => [14 * 86_400, 'j M'],
        };
        $times = [];
        $from = WallClock::at($this->from()->getTimestamp());
        $first = $this->span === 'day' ? $from->startOfHour() : $from->startOfDay();
        for ($at = $first->getTimestamp() + $every; $at <= $this->now->getTimestamp(); $at += $every) {
            $times[] = ['x' => $this->x($at), 'label' => WallClock::at($at)->format($format)];
        }

        return $times;
    }

    public function words(float $value): string
    {
        return $this->kind === 'temperature' ? $this->house->temperature($value) : number_format($value).' %';
    }

    /** What the drawing shows, in a sentence. */
    public function sentence(): string
    {
        if ($this->buckets === []) {
            return "No {$this->kind} was logged in this time.";
        }
        $count = array_sum(array_column($this->buckets, 'count'));
        $mean = array_sum(array_map(fn (array $one): float => $one['mean'] * $one['count'], $this->buckets)) / $count;
        $gaps = count($this->gaps());

        return ucfirst($this->kind).': '.$this->words(min(array_column($this->buckets, 'least'))).' to '.$this
            ->words(max(array_column($this->buckets, 'most')))
            .', on average '.$this->words($mean).', from '.number_format($count).' '.($count === 1 ? 'reading' : 'readings')
            .($gaps === 0 ? '.' : ", with {$gaps} ".($gaps === 1 ? 'gap' : 'gaps').'.');
    }
}
