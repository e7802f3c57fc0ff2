<?php

declare(strict_types=1);

namespace App\Season;

use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Enums\EventKind;
use App\Models\Enums\Status;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/** What speaks against letting an animal go just now: mates that have not laid yet, or eggs that she still carries. */
class Leaving
{
    private const LEAVES = [Status::ForSale, Status::Reserved, Status::Sold];

    /** @return string|null a warning; the keeper decides */
    public static function warning(Animal $animal, Status $status): ?string
    {
        if ($animal->sex === null || ! in_array($status, self::LEAVES, true)) {
            return null;
        }
        $clutches = Clutch::query()->where('user_id', $animal->user_id)->with('dam', 'sires')->get()
            ->filter(fn (Clutch $clutch): bool => self::waits($clutch));
        if (! $animal->isMale()) {
            return $clutches->contains('dam_id', $animal->id)
                ? "{$animal->name} has been paired this season and has not laid: whoever takes her may get the eggs, and should know it."
                : null;
        }
        $dams = $clutches->filter(fn (Clutch $clutch): bool => $clutch->sires->contains('animal_id', $animal->id))
            ->map(fn (Clutch $clutch): string => $clutch->dam->name)->unique()->sort()->values()->all();
        $have = count($dams) === 1 ? 'has' : 'have';

        return $dams === [] ? null : Str::of(implode(', ', $dams))->replaceMatches('/, (?=[^,]*$)/', ' and ')
            ." {$have} not laid yet. If a clutch fails, he is needed again: better keep {$animal->name} until all have laid.";
    }

    /** Put together not long ago, and no eggs yet. */
    private static function waits(Clutch $clutch): bool
    {
        $last = $clutch->events->pluck('on')->filter()->last();
        $has = fn (EventKind $kind): bool => $clutch->event($kind) !== null;

        return ($has(EventKind::Introduced) || $has(EventKind::Lock) || $has(EventKind::Ovulation))
            && ! $has(EventKind::Laid) && ! $has(EventKind::Hatched)
            && $last !== null && $last->gt(Carbon::today()->subMonths(Due::OVER));
    }
}
