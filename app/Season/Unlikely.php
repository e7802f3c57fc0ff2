<?php

declare(strict_types=1);

namespace App\Season;

use App\Models\Animal;
use App\Models\Clutch;
use Illuminate\Support\Carbon;

/** What can be and hardly ever is: asked about once, never refused, never taken in silence. */
class Unlikely
{
    /** Days of age before which nobody is known to have bred. */
    private const FEMALE = 400;

    private const MALE = 200;

    /** More eggs than nearly any clutch has. */
    private const EGGS = 15;

    /** Days from laying to hatching, at the least and at the most. */
    private const INCUBATION = [45, 75];

    /** Days from the pairing to the eggs. */
    private const CARRIED = [14, 300];

    /** Days between two clutches of one female. */
    private const APART = 150;

    /**
     * @param array{paired: Carbon|null, laid: Carbon|null, hatched: Carbon|null} $days
     * @param list<Animal> $sires
     * @param string|null $token of the form: what it wrote before is not another clutch
     * @return list<string> questions
     */
    public static function ofClutch(array $days, int $eggs, Animal $dam, array $sires, ?Clutch $itself, ?string $token = null): array
    {
        $laid = $days['laid'] ?? $days['hatched']?->copy()->subDays(57);
        $questions = [self::age($dam, $laid ?? $days['paired'], self::FEMALE)];
        foreach ($sires as $sire) {
            $questions[] = self::age($sire, $days['paired'] ?? $laid, self::MALE);
        }
        $questions[] = self::eggs($eggs);
        $questions[] = self::interval($days['laid'], $days['hatched'], self::INCUBATION, 'laying to hatching, and eggs take 53 to 62');
        $questions[] = self::interval($days['paired'], $days['laid'], self::CARRIED, 'the pairing to the eggs');
        $questions[] = self::twice($dam, $laid, $days['paired'], $itself, $token);

        return array_values(array_filter($questions));
    }

    public static function eggs(int $eggs): ?string
    {
        return $eggs > self::EGGS ? "{$eggs} eggs are more than nearly any ball python lays. Is the number right?" : null;
    }

    /** Whether a parent was hardly of an age, on a day on which it is to have bred. */
    public static function age(Animal $animal, ?Carbon $on, ?int $least = null): ?string
    {
        $least ??= $animal->sex?->value === 'male' ? self::MALE : self::FEMALE;
        if ($animal->hatched_on === null || $on === null || $animal->hatched_on->copy()->addDays($least)->lte($on)) {
            return null;
        }
        $days = (int) $animal->hatched_on->diffInDays($on, false);
        $age = $days < 0 ? 'not hatched yet' : ($days < 120 ? intdiv($days, 7).' weeks old' : intdiv($days, 30).' months old');

        return "{$animal->name} was {$age} on {$on->format('j F Y')}, by the records. Is it the right animal, and are the days right?";
    }

    /** @param array{int, int} $usual */
    private static function interval(?Carbon $from, ?Carbon $to, array $usual, string $what): ?string
    {
        $days = $from === null || $to === null ? null : (int) $from->diffInDays($to);

        return $days === null || ($days >= $usual[0] && $days <= $usual[1])
            ? null
            : "{$days} days lie from {$what}. Are the days right?";
    }

    private static function twice(Animal $dam, ?Carbon $laid, ?Carbon $paired, ?Clutch $itself, ?string $token): ?string
    {
        foreach (Clutch::query()->where('dam_id', $dam->id)->get() as $other) {
            if ($other->id === $itself?->id || ($token !== null && $other->form_token === $token)) {
                continue; // the same form, sent twice
            }
            $then = $other->laid_on ?? $other->hatched_on?->copy()->subDays(57);
            $isClose = $laid !== null && $then !== null && $then->diffInDays($laid, true) < self::APART;
            $isSame = $laid === null && $then === null && $paired !== null && $other->paired_on?->equalTo($paired);
            if ($isClose || $isSame) {
                $on = $isClose ? "laid about {$then?->format('j F Y')}" : "paired on {$paired?->format('j F Y')}";

                return "A clutch of {$dam->name} is recorded already, {$on}. Is this another one?";
            }
        }

        return null;
    }
}
