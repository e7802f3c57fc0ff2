<?php

declare(strict_types=1);

namespace App\Season;

use App\Collection\Statuses;
use App\Incubation\Warmths;
use App\Models\Clutch;
use App\Models\Enums\EventKind;
use App\Models\User;
use Destino\Season\Expectation;
use Destino\Season\Gap;
use Destino\Season\Warmth;
use Illuminate\Support\Carbon;

/** What is to be expected next of one pair or clutch, and what can be logged of it. */
class Due
{
    private function __construct(
        public readonly Clutch $clutch,
        public readonly string $what,
        public readonly ?Carbon $from,
        public readonly ?Carbon $to,
        public readonly bool $isOverdue,
        public readonly ?float $thisWeek,
        public readonly string $rests,
        /** @var list<EventKind> */
        public readonly array $taps,
    ) {}

    /** Clutches that began longer ago than this many months are over, whatever is logged. */
    public const OVER = 14;

    /** @return list<self> what is open in a collection: those in their window first, then by day and place */
    public static function among(User $keeper, Carbon $today): array
    {
        $clutches = $keeper->clutches()->with('dam.rack', 'sires.animal', 'incubator')->get();
        $records = new Records($clutches);
        $statuses = Statuses::of($keeper);
        $due = [];
        foreach ($clutches as $clutch) {
            $last = $clutch->events->pluck('on')->filter()->last();
            $isOpen = ($last === null || $last->gt($today->copy()->subMonths(self::OVER))) && $statuses->status($clutch->dam_id)->isHere();
            $one = $isOpen ? self::of($clutch, $records, $today) : null;
            $one === null ?: $due[] = $one;
        }
        $place = fn (self $one): ?string => $one->clutch->dam->placeWords();
        usort($due, fn (self $a, self $b): int => [$b->isOverdue, $b->isNow($today), $a->to, $place($a)]
            <=> [$a->isOverdue, $a->isNow($today), $b->to, $place($b)]);

        return $due;
    }

    public static function of(Clutch $clutch, Records $records, Carbon $today): ?self
    {
        $has = fn (EventKind $kind): bool => $clutch->event($kind) !== null;

        return match (true) {
            $clutch->isOut() => null,
            $has(EventKind::Laid) => self::ofEggs($clutch, $records, $today),
            $has(EventKind::PreLayShed) => self::expected(
                $clutch, 'eggs', Gap::shedToLaying(), EventKind::PreLayShed, $records, $today, [EventKind::Laid],
            ),
            $has(EventKind::Ovulation) => self::expected(
                $clutch, 'the pre-lay shed', Gap::ovulationToShed(), EventKind::Ovulation, $records, $today,
                [EventKind::PreLayShed, EventKind::Laid],
            ),
            $has(EventKind::Introduced) || $has(EventKind::Lock) => new self(
                $clutch, $has(EventKind::Lock) ? 'ovulation' : 'a lock', null, null, false, null,
                'no date can be given',
                $has(EventKind::Lock) ? [EventKind::Ovulation, EventKind::Lock, EventKind::Separated, EventKind::Follicles]
                    : [EventKind::Lock, EventKind::Separated, EventKind::Follicles, EventKind::Ovulation],
            ),
            default => new self($clutch, 'to be put together', null, null, false, null, 'planned', [EventKind::Introduced]),
        };
    }

    /** By the warmth that the eggs had, where it is known; else by the days. */
    private static function ofEggs(Clutch $clutch, Records $records, Carbon $today): self
    {
        $what = $clutch->event(EventKind::Pipped) !== null || $clutch->event(EventKind::Out) !== null ? 'hatching' : 'first pips';
        $taps = $what === 'hatching'
            ? [EventKind::Out, EventKind::Pipped, EventKind::EggBad, EventKind::FirstMeal]
            : [EventKind::Pipped, EventKind::Out, EventKind::EggBad, EventKind::FirstMeal];
        $warmth = Warmths::of($clutch, $today);
        if ($warmth === null) {
            return self::expected($clutch, $what, Gap::layingToPip(), EventKind::Laid, $records, $today, $taps);
        }
        $expectation = $records->expect(Gap::layingToPip(), $clutch->dam_id);
        $celsius = $warmth->measured >= .5 && $warmth->mean !== null ? $warmth->mean : (float) $clutch->incubator?->celsius;
        $grown = (int) floor($warmth->grown);
        $day = function (int $standard) use ($warmth, $celsius, $today): Carbon {
            $left = $warmth->daysUntil($standard, $celsius);

            return $today->copy()->addDays((int) min(400, round($left ?? 400)));
        };
        [$from, $to] = $expectation->window($grown);
        $says = $warmth->mean === null
            ? 'No readings from its incubator; its target temperature is assumed'
            : 'Warmth so far equals '.number_format($warmth->grown, 1).' days at '.Warmth::STANDARD.' °C, measured '
                .round(100 * $warmth->measured).' % of the time';

        return new self(
            $clutch, $what, $day($from), $day($to), $expectation->isOverdue($grown),
            $expectation->chanceWithin($warmth->grown, 7 * Warmth::rate($celsius)),
            self::rests($expectation, Gap::layingToPip()).'. '.$says, $taps,
        );
    }

    /** @param list<EventKind> $taps */
    private static function expected(
        Clutch $clutch, string $what, Gap $gap, EventKind $since, Records $records, Carbon $today, array $taps,
    ): self {
        $on = $clutch->event($since)?->on;
        if ($on === null) {
            return new self($clutch, $what, null, null, false, null, 'its beginning has no day', $taps);
        }
        $expectation = $records->expect($gap, $clutch->dam_id);
        $passed = max(0, (int) $on->diffInDays($today));
        [$from, $to] = $expectation->window($passed);

        return new self(
            $clutch, $what, $on->copy()->addDays($from), $on->copy()->addDays($to), $expectation->isOverdue($passed),
            $expectation->chanceWithin($passed, 7), self::rests($expectation, $gap), $taps,
        );
    }

    private static function rests(Expectation $expectation, Gap $gap): string
    {
        $usual = Expectation::of($gap)->window();
        $says = "usual range {$usual[0]} to {$usual[1]} days";
        if ($expectation->own + $expectation->others > 0) {
            $now = $expectation->window();
            $own = $expectation->own === 1 ? 'clutch' : 'clutches';
            $says .= ". Her {$expectation->own} {$own} and {$expectation->others} others here: {$now[0]} to {$now[1]}";
        }

        return $says;
    }

    /** In its window, or past it. */
    public function isNow(Carbon $today): bool
    {
        return $this->isOverdue || ($this->from !== null && $this->from->lte($today->copy()->addDays(3)));
    }

    public function words(): string
    {
        return match (true) {
            $this->from === null || $this->to === null => $this->what,
            $this->isOverdue => "{$this->what} was due by {$this->to->format('j M')}. What happened?",
            default => "{$this->what} {$this->from->format('j M')} to {$this->to->format('j M')}",
        };
    }
}
