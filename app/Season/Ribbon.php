<?php

declare(strict_types=1);

namespace App\Season;

use App\Models\Clutch;
use App\Models\ClutchEvent;
use App\Models\Enums\EventKind;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;

/**
 * A season as one band for each pair, over the months: paired, gravid, eggs; what is to be expected stands open.
 *
 * @phpstan-type Span array{phase: string, from: float, to: float, words: string}
 * @phpstan-type Mark array{at: float, words: string}
 * @phpstan-type Band array{clutch: Clutch, spans: list<Span>, marks: list<Mark>, words: string}
 */
class Ribbon
{
    /** What begins each phase; it lasts until the next begins. */
    private const PHASES = [
        'paired' => [EventKind::Introduced, EventKind::Lock],
        'gravid' => [EventKind::Ovulation, EventKind::PreLayShed],
        'eggs' => [EventKind::Laid],
    ];

    /** @var list<Band> in the order in which they began */
    public readonly array $bands;

    /** @var list<array{at: float, name: string}> the first of each month */
    public readonly array $months;

    /** Place of today, where the season is under way. */
    public readonly ?float $now;

    private readonly Carbon $from;

    private readonly Carbon $to;

    /**
     * @param Collection<int, Clutch> $clutches of one season
     * @param list<Due> $due of the collection
     */
    public function __construct(Collection $clutches, array $due, private readonly Carbon $today)
    {
        $expected = [];
        foreach ($due as $one) {
            $expected[$one->clutch->id] = $one;
        }
        $dated = $clutches->filter(fn (Clutch $clutch): bool => self::dated($clutch) !== [])
            ->sortBy(fn (Clutch $clutch): string => min(array_keys(self::dated($clutch))).$clutch->dam->name);
        $days = $dated->flatMap(fn (Clutch $clutch): array => array_keys(self::dated($clutch)))
            ->merge($dated->map(fn (Clutch $clutch): ?string => ($expected[$clutch->id] ?? null)?->to?->format('Y-m-d'))->filter());
        $this->from = Carbon::parse($days->min() ?? $today)->startOfMonth();
        $this->to = Carbon::parse($days->max() ?? $today)->endOfMonth()->startOfDay()->addDay();
        $this->months = $this->months();
        $this->now = $today->betweenIncluded($this->from, $this->to) ? $this->at($today) : null;
        $this->bands = array_values($dated->map(fn (Clutch $clutch): array => $this->band($clutch, $expected[$clutch->id] ?? null))->all());
    }

    /** @return array<string, list<ClutchEvent>> by day, the earliest first */
    private static function dated(Clutch $clutch): array
    {
        $days = [];
        foreach ($clutch->events as $event) {
            if ($event->on !== null) {
                $days[$event->on->format('Y-m-d')][] = $event;
            }
        }
        ksort($days);

        return $days;
    }

    /** @return Band */
    private function band(Clutch $clutch, ?Due $due): array
    {
        $starts = [];
        foreach (self::PHASES as $phase => $kinds) {
            $days = array_filter(array_map(fn (EventKind $kind): ?Carbon => $clutch->event($kind)?->on, $kinds));
            $days === [] ?: $starts[$phase] = min($days);
        }
        if ($clutch->isOut() && $clutch->hatched_on !== null) {
            $starts['out'] = $clutch->hatched_on;
        }
        $spans = [];
        $phases = array_keys($starts);
        foreach ($phases as $i => $phase) {
            $end = $starts[$phases[$i + 1] ?? ''] ?? $this->today;
            if ($phase !== 'out' && $starts[$phase]->lt($end)) {
                $days = (int) $starts[$phase]->diffInDays($end);
                $spans[] = $this->span($phase, $starts[$phase], $end, "{$phase}, {$days} days");
            }
        }
        if ($due?->from !== null && $due->to !== null) {
            $spans[] = $this->span('expected', $due->from, $due->to->copy()->addDay(), $due->words());
        }
        $marks = [];
        foreach (self::dated($clutch) as $day => $events) {
            $words = array_map(fn (ClutchEvent $event): string => $event->sentence(), $events);
            $marks[] = ['at' => $this->at(Carbon::parse($day)), 'words' => implode('; ', $words)];
        }

        return ['clutch' => $clutch, 'spans' => $spans, 'marks' => $marks, 'words' => implode('. ', array_column($marks, 'words'))];
    }

    /** @return Span */
    private function span(string $phase, Carbon $from, Carbon $to, string $words): array
    {
        return ['phase' => $phase, 'from' => $this->at($from), 'to' => $this->at($to), 'words' => $words];
    }

    /** Place of a day between the first and the last of the season, 0 to 1. */
    private function at(Carbon $day): float
    {
        return min(1.0, max(0.0, $this->from->diffInDays($day) / $this->from->diffInDays($this->to)));
    }

    /** @return list<array{at: float, name: string}> */
    private function months(): array
    {
        $months = [];
        for ($month = $this->from->copy(); $month->lt($this->to); $month->addMonth()) {
            $months[] = ['at' => $this->at($month), 'name' => $month->format($month->month === 1 ? 'M Y' : 'M')];
        }

        return $months;
    }
}
