<?php

declare(strict_types=1);

namespace App\Season;

use App\Models\StatusEvent;
use Illuminate\Support\Carbon;

/** The week of the house around today and the one after it: what may happen on which day. */
class Week
{
    private const WEEKS = 2;

    /** @var list<array{day: Carbon, isToday: bool, isPast: bool, says: list<array{text: string, link: string, isEnd: bool}>}> */
    public readonly array $days;

    /**
     * @param list<Due> $due
     * @param list<StatusEvent> $reviews hold-backs to be looked at again
     * @param int $first day on which the weeks of the house begin: 0 Sunday, 1 Monday, 6 Saturday
     */
    public function __construct(array $due, array $reviews, Carbon $today, int $first)
    {
        $begin = $today->copy()->startOfWeek($first);
        $days = [];
        for ($i = 0; $i < 7 * self::WEEKS; $i++) {
            $day = $begin->copy()->addDays($i);
            $days[] = [
                'day' => $day, 'isToday' => $day->isSameDay($today), 'isPast' => $day->lt($today),
                'says' => $day->lt($today) ? [] : [...self::windows($due, $day, $today), ...self::reviews($reviews, $day)],
            ];
        }
        $this->days = $days;
    }

    public function isEmpty(): bool
    {
        return array_filter($this->days, fn (array $day): bool => $day['says'] !== []) === [];
    }

    /**
     * A window is told on the day on which it opens, or today where it is open, and on its last day.
     *
     * @param list<Due> $due
     * @return list<array{text: string, link: string, isEnd: bool}>
     */
    private static function windows(array $due, Carbon $day, Carbon $today): array
    {
        $says = [];
        foreach ($due as $one) {
            if ($one->from === null || $one->to === null || $one->isOverdue) {
                continue;
            }
            $opens = $one->from->lt($today) ? $today : $one->from;
            $isEnd = $one->to->isSameDay($day);
            if ($isEnd || $opens->isSameDay($day)) {
                $says[] = [
                    'text' => "{$one->clutch->dam->name}: {$one->what} ".($isEnd ? 'last day expected' : 'can start'),
                    'link' => route('clutches.show', $one->clutch), 'isEnd' => $isEnd,
                ];
            }
        }

        return $says;
    }

    /**
     * @param list<StatusEvent> $reviews
     * @return list<array{text: string, link: string, isEnd: bool}>
     */
    private static function reviews(array $reviews, Carbon $day): array
    {
        $says = [];
        foreach ($reviews as $event) {
            if ($event->review_on?->isSameDay($day)) {
                $says[] = [
                    'text' => "{$event->animal->name}: look again", 'link' => route('animals.show', $event->animal_id), 'isEnd' => false,
                ];
            }
        }

        return $says;
    }
}
