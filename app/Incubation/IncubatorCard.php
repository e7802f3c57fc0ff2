<?php

declare(strict_types=1);

namespace App\Incubation;

use App\House\House;
use App\Models\Incubator;
use App\Models\Reading;
use App\Models\User;
use Illuminate\Support\Carbon;

/** An incubator as it is now: what its probe told last, and what is to be looked at. */
class IncubatorCard
{
    public const KINDS = ['temperature', 'humidity'];

    /** @var array<string, Reading|null> by kind */
    public readonly array $latest;

    /** @var list<string> */
    public readonly array $alarms;

    public function __construct(public readonly Incubator $incubator, House $house, Carbon $now)
    {
        $log = new Log($incubator);
        $latest = $alarms = [];
        foreach (self::KINDS as $kind) {
            $latest[$kind] = $log->latest($kind);
            foreach ($incubator->watch($kind)?->alarms($log->recent($kind, $now), $now->getTimestamp()) ?? [] as $alarm) {
                $alarms[] = AlarmWords::of($alarm, $kind, $house);
            }
        }
        [$this->latest, $this->alarms] = [$latest, $alarms];
    }

    /** @return list<self> all of a collection, those with something to look at first */
    public static function all(User $keeper, House $house): array
    {
        $now = Carbon::now();
        $cards = array_map(
            fn (Incubator $incubator): self => new self($incubator, $house, $now),
            array_values($keeper->incubators()->with('clutches.dam', 'clutches.sires.animal')->get()->all()),
        );
        usort($cards, fn (self $a, self $b): int => count($b->alarms) <=> count($a->alarms));

        return $cards;
    }

    /** @return list<string> places that probes send from and no incubator has */
    public static function unclaimed(User $keeper): array
    {
        return array_values(
            $keeper->readings()->whereNotIn('place', $keeper->incubators()->select('place')->reorder())->distinct()->orderBy('place')
                ->pluck('place')->all(),
        );
    }

    /** Whether eggs lie in it now; without eggs nothing is urgent. */
    public function hasEggs(): bool
    {
        return $this->incubator->clutches->contains(fn ($clutch): bool => ! $clutch->isOut());
    }
}
