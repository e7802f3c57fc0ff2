<?php

namespace App\Exchange;

use App\Models\Clutch;
use App\Models\StatusEvent;
use App\Models\User;
use DateTimeImmutable;
use Sabre\VObject\Component\VCalendar;

/** The season as iCalendar: what happened, when eggs are due, and which animals are to be looked at again. */
class SeasonCalendar
{
    /** Days from laying to the first pips at about 31.5 °C, earliest and latest. */
    private const DUE = [53, 62];

    public static function of(User $keeper): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Destino//season//EN']);
        /** @var Clutch $clutch */
        foreach ($keeper->clutches()->with('dam', 'sires.animal')->orderBy('id')->get() as $clutch) {
            foreach (['paired_on' => 'paired', 'laid_on' => 'laid', 'hatched_on' => 'hatched'] as $field => $what) {
                if ($clutch->{$field} !== null) {
                    self::add(
                        $calendar, "clutch-{$clutch->id}-{$what}", "{$clutch->title()}: {$what}",
                        $clutch->{$field}->toDateTimeImmutable(), 1,
                    );
                }
            }
            if ($clutch->laid_on !== null && $clutch->hatched_on === null) {
                self::add(
                    $calendar, "clutch-{$clutch->id}-due", "{$clutch->title()}: first pips due",
                    $clutch->laid_on->toDateTimeImmutable()->modify('+'.self::DUE[0].' days'), self::DUE[1] - self::DUE[0] + 1,
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
                    $calendar, "review-{$event->id}", "Look again at {$event->animal->name}: {$event->reason}",
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
