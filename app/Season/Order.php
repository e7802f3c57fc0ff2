<?php

declare(strict_types=1);

namespace App\Season;

use App\Models\Clutch;
use App\Models\ClutchEvent;
use App\Models\Enums\EventKind;

/** Questions about events that stand in an unusual order or number: they are kept, and asked about. */
class Order
{
    /** What comes at any time. */
    private const ANY_TIME = [EventKind::Washed, EventKind::FirstMeal, EventKind::Recovered, EventKind::Lock, EventKind::Separated];

    /** @return string|null what to ask */
    public static function question(Clutch $clutch, ClutchEvent $event): ?string
    {
        $clutch->load('events');
        $laid = $clutch->event(EventKind::Laid);
        $isOfEggs = $event->kind->isOfEggs();
        if ($isOfEggs && $laid === null) {
            return 'No eggs of this clutch are logged as laid. Is it the right clutch?';
        }
        if ($isOfEggs && $laid?->on !== null && $event->on !== null && $event->on->lt($laid->on)) {
            return "That is before the eggs were laid, on {$laid->on->format('j F Y')}. Is the day right?";
        }
        $days = $laid?->on === null || $event->on === null ? null : (int) $laid->on->diffInDays($event->on);
        if (in_array($event->kind, [EventKind::Pipped, EventKind::Out, EventKind::Hatched], true) && $days !== null && $days < 45) {
            return "That is {$days} days after laying, and eggs take 53 to 62. Is the day right?";
        }
        if ($event->kind === EventKind::Laid) {
            $unlikely = Unlikely::eggs((int) $event->count + (int) $event->infertile) ?? Unlikely::age($clutch->dam, $event->on);
            if ($unlikely !== null) {
                return $unlikely;
            }
        }
        if ($clutch->eggsGone() > ($laid->count ?? PHP_INT_MAX)) {
            return 'That makes more young and bad eggs than good eggs were laid. Is a number wrong?';
        }
        $hasPlace = $event->on !== null && ! in_array($event->kind, self::ANY_TIME, true) && ! $event->kind->isOfEggs();
        $later = ! $hasPlace ? null : $clutch->events->first(
            fn (ClutchEvent $one): bool => $one->on !== null && $one->kind->order() > $event->kind->order() && $one->on->lt($event->on),
        );

        return $later === null
            ? null
            : ucfirst($later->kind->words())." is logged for {$later->on?->format('j F Y')}, before this. Is the order right?";
    }
}
