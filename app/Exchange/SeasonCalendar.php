<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Models\StatusEvent;
use App\Models\User;
use App\Season\Due;
use DateTimeImmutable;
use Illuminate\Support\Carbon;
use Sabre\VObject\Component\VCalendar;

/** The season as iCalendar: what happened, what is to be expected when, and which animals are to be looked at again. */
class SeasonCalendar
{
    public static function of(User $keeper): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Destino//season//EN']);
        foreach ($keeper->clutches()->with('dam', 'sires.animal')->orderBy('id')->get() as $clutch) {
            foreach ($clutch->events as $event) {
                if ($event->on !== null) {
                    self::add(
                        $calendar, "event-{$event->id}", "{$clutch->title()}: {$event->kind->words()}", $event->on->toDateTimeImmutable(),
                            1,
                    );
                }
            }
        }
        foreach (Due::among($keeper, Carbon::today()) as $due) {
            if ($due->from !== null && $due->to !== null) {
                self::add(
                    $calendar, "clutch-{$due->clutch->id}-due", "{$due->clutch->title()}: {$due->what} to be expected",
                    $due->from->toDateTimeImmutable(), (int) $due->from->diffInDays($due->to) + 1,
                );
            }
        }
        foreach (
            StatusEvent::query()->whereNotNull('review_on')
                ->whereHas('animal', fn ($animal) => $animal->where('user_id', $keeper->id))
                ->with('animal.latestStatus')
                ->orderBy('id')
                ->get() as $event
        ) {
            if ($event->animal->latestStatus?->id === $event->id) {
                self::add(
                    $calendar, "review-{$event->id}", rtrim("Look again at {$event->animal->name}: {$event->openReason()}", ': '),
                    $event->review_on->toDateTimeImmutable(), 1,
                );
            }
        }

        return $calendar->serialize();
    }

    private static function add(VCalendar $calendar, string $uid, string $summary, DateTimeImmutable $day, int $days): void
    {
        $event = $calendar->createComponent('VEVENT', ['UID' => "{$uid}@destino", 'SUMMARY' => $summary, 'DTSTAMP' => $day->setTime(0, 0)]);
        $event->add('DTSTART', $day->format('Ymd'), ['VALUE' => 'DATE']);
        $event->add('DTEND', $day->modify("+{$days} days")->format('Ymd'), ['VALUE' => 'DATE']);
        $calendar->add($event);
    }
}
