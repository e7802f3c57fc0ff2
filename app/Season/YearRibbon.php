<?php

declare(strict_types=1);

namespace App\Season;

use App\Collection\Opened;
use App\Models\Enums\EventKind;
use App\Models\User;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use stdClass;

/**
 * The keeper's year in a strip, October to September: locks, layings and young that came out as marks by the week, what is to be
 * expected as windows, and today. It stands on every page, so it is kept as long as nothing of a clutch changes.
 *
 * @phpstan-type Mark array{at: float, kind: string, count: int, words: string}
 * @phpstan-type Window array{from: float, to: float, words: string}
 * @phpstan-type Kept array{marks: list<Mark>, windows: list<Window>, next: string}
 */
final readonly class YearRibbon
{
    private const MARKED = ['lock' => EventKind::Lock, 'laid' => EventKind::Laid, 'out' => EventKind::Hatched];

    private const FIRST_MONTH = 10;

    public Carbon $from;

    private Carbon $to;

    /** @var list<Mark> */
    public array $marks;

    /** @var list<Window> */
    public array $windows;

    /** What is to be expected first; empty where nothing is. */
    public string $next;

    private function __construct(User $keeper, Opened $opened, private Carbon $today)
    {
        $year = $today->month >= self::FIRST_MONTH ? $today->year : $today->year - 1;
        $this->from = Carbon::create($year, self::FIRST_MONTH) ?? $today;
        $this->to = $this->from->copy()->addYear();
        $events = DB::table('clutch_events')->where('user_id', $keeper->id)->whereNull('deleted_at')
            ->where(fn (Builder $any) => $any->whereNull('on')->orWhere('on', '>=', $today->copy()->subMonths(Due::OVER + 1)->format('Y-m-d')))
            ->orderBy('id')->get(['id', 'clutch_id', 'kind', 'on', 'count']);
        $mark = self::markOf($keeper, $opened, $today, $events);
        $kept = $opened->kept->get("year:{$keeper->id}");
        if (! is_array($kept) || $kept[0] !== $mark) {
            $kept = [$mark, $this->workedOut($keeper, $events)];
            $opened->kept->put("year:{$keeper->id}", $kept);
        }
        ['marks' => $this->marks, 'windows' => $this->windows, 'next' => $this->next] = $kept[1];
    }

    /** Null where nothing happened in this year, and nothing is to be expected. */
    public static function of(Opened $opened): ?self
    {
        $ribbon = $opened->hasKeeper() ? new self($opened->keeper(), $opened, Carbon::today()) : null;

        return $ribbon === null || ($ribbon->marks === [] && $ribbon->windows === []) ? null : $ribbon;
    }

    /** Place of today, 0 to 1. */
    public function now(): float
    {
        return $this->at($this->today);
    }

    /** @return list<array{at: float, name: string}> the middle of each month */
    public function months(): array
    {
        $months = [];
        for ($month = $this->from->copy(); $month->lt($this->to); $month->addMonth()) {
            $months[] = ['at' => $this->at($month->copy()->addDays(15)), 'name' => $month->format('M')];
        }

        return $months;
    }

    /** "Season 2026/27: 11 locks, 3 clutches laid, 2 hatched. Next: …". */
    public function words(): string
    {
        $counts = array_fill_keys(array_keys(self::MARKED), 0);
        foreach ($this->marks as $mark) {
            $counts[$mark['kind']] += $mark['count'];
        }
        $said = array_filter([
            $counts['lock'] > 0 ? $counts['lock'].' '.Str::plural('lock', $counts['lock']) : '',
            $counts['laid'] > 0 ? "{$counts['laid']} laid" : '', $counts['out'] > 0 ? "{$counts['out']} hatched" : '',
        ]);

        return 'The year from '.$this->from->format('F Y').': '.($said === [] ? 'nothing yet' : implode(', ', $said)).'.'
            .($this->next === '' ? '' : " {$this->next}.").' Open Today.';
    }

    /**
     * Another after whatever changes a clutch, the house rules, or the day.
     *
     * @param Collection<int, stdClass> $events
     */
    private static function markOf(User $keeper, Opened $opened, Carbon $today, Collection $events): string
    {
        $statuses = DB::table('status_events')->where('user_id', $keeper->id)
            ->selectRaw('count(*) as there, max(id) as last, max(updated_at) as changed')->first();

        return hash('xxh128', serialize([
            $today->format('Y-m-d'), $opened->house->version, (array) $statuses,
            $events->map(fn (object $event): array => array_values((array) $event))->all(),
        ]));
    }

    /**
     * @param Collection<int, stdClass> $events
     * @return Kept
     */
    private function workedOut(User $keeper, Collection $events): array
    {
        $weeks = [];
        foreach ($events as $event) {
            $kind = array_search(EventKind::from($event->kind), self::MARKED, true);
            $day = $event->on === null ? null : Carbon::parse($event->on);
            if ($kind !== false && $day !== null && $day->gte($this->from) && $day->lt($this->to)) {
                $week = intdiv((int) $this->from->diffInDays($day), 7);
                $weeks[$kind][$week]["{$event->clutch_id}".($kind === 'lock' ? " {$event->on}" : '')] = $day;
            }
        }
        $marks = [];
        foreach ($weeks as $kind => $own) {
            foreach ($own as $days) {
                $count = count($days);
                $marks[] = [
                    'at' => $this->at(min($days)), 'kind' => $kind, 'count' => $count,
                    'words' => $count.' '.match ($kind) {
                        'lock' => Str::plural('lock', $count), 'laid' => Str::plural('clutch', $count).' laid',
                        default => Str::plural('clutch', $count).' hatched',
                    }.', '.min($days)->format('j M'),
                ];
            }
        }
        usort($marks, fn (array $a, array $b): int => $a['at'] <=> $b['at']);

        return ['marks' => $marks] + $this->expected($keeper);
    }

    /** @return array{windows: list<Window>, next: string} */
    private function expected(User $keeper): array
    {
        $windows = [];
        $next = null;
        foreach (Due::among($keeper, $this->today) as $due) {
            if ($due->from !== null && $due->to !== null && $due->from->lt($this->to) && $due->to->gte($this->today)) {
                $next = $next === null || $due->from->lt($next->from ?? $due->from) ? $due : $next;
                $windows[] = [
                    'from' => $this->at($due->from), 'to' => $this->at($due->to->copy()->addDay()),
                    'words' => "{$due->clutch->title()}: {$due->words()}",
                ];
            }
        }

        return ['windows' => $windows, 'next' => $next === null ? '' : "Next: {$next->clutch->title()}, {$next->words()}"];
    }

    private function at(Carbon $day): float
    {
        return min(1.0, max(0.0, $this->from->diffInDays($day) / $this->from->diffInDays($this->to)));
    }
}
