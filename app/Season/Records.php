<?php

declare(strict_types=1);

namespace App\Season;

use App\Incubation\Warmths;
use App\Models\Clutch;
use App\Models\ClutchEvent;
use App\Models\Enums\EventKind;
use Destino\Season\Expectation;
use Destino\Season\Gap;

/** What a collection's own seasons say of how long things take. */
class Records
{
    /** Share of the time of which readings must tell, for a hatch to count by its warmth. */
    private const ENOUGH = .8;

    /** @var array<string, list<array{int, int}>> dam and days, by gap */
    private array $took = [];

    /** @param iterable<Clutch> $clutches of the collection, with their events */
    public function __construct(iterable $clutches)
    {
        foreach ($clutches as $clutch) {
            foreach (self::gaps() as [$gap, $from, $to]) {
                $days = self::days($clutch, $from, $to);
                if ($days !== null && $days >= 0 && $days < 3 * $gap->mean) { // beyond that one of the days is wrong
                    $this->took[$gap->key][] = [$clutch->dam_id, $days];
                }
            }
        }
    }

    /** What to expect of a female, and of all without her own record. */
    public function expect(Gap $gap, int $dam): Expectation
    {
        $own = $others = [];
        foreach ($this->took[$gap->key] ?? [] as [$whose, $days]) {
            $whose === $dam ? $own[] = $days : $others[] = $days;
        }

        return Expectation::of($gap, $own, $others);
    }

    /** @return list<array{Gap, EventKind, EventKind}> */
    private static function gaps(): array
    {
        return [
            [Gap::ovulationToShed(), EventKind::Ovulation, EventKind::PreLayShed],
            [Gap::shedToLaying(), EventKind::PreLayShed, EventKind::Laid],
            [Gap::ovulationToLaying(), EventKind::Ovulation, EventKind::Laid], [Gap::layingToPip(), EventKind::Laid, EventKind::Hatched],
        ];
    }

    private static function days(Clutch $clutch, EventKind $from, EventKind $to): ?int
    {
        $first = self::on($clutch, $from);
        $last = self::on($clutch, $to);
        if ($from === EventKind::Laid && $first !== null && $last !== null) {
            $warmth = Warmths::of($clutch, $last);
            if ($warmth !== null && $warmth->measured >= self::ENOUGH) {
                return (int) round($warmth->grown); // as many days at the temperature that the gap is told for
            }
        }

        return $first === null || $last === null ? null : (int) $first->diffInDays($last);
    }

    private static function on(Clutch $clutch, EventKind $kind): ?\Illuminate\Support\Carbon
    {
        $event = $clutch->event($kind);
        if ($event !== null || $kind !== EventKind::Hatched) {
            return $event?->on;
        }

        return $clutch->event(EventKind::Pipped)->on ?? $clutch->hatched_on;
    }

    /** Days since something happened; null where it has not. */
    public static function since(?ClutchEvent $event, \Illuminate\Support\Carbon $today): ?int
    {
        return $event?->on === null ? null : (int) $event->on->diffInDays($today);
    }
}
