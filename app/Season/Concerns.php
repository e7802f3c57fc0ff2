<?php

declare(strict_types=1);

namespace App\Season;

use App\Care\Standing;
use App\Care\Standings;
use App\House\House;
use App\Models\Animal;
use App\Models\CareEntry;
use App\Models\Enums\CareKind;
use Destino\Season\Expectation;
use Destino\Season\Gap;
use Illuminate\Support\Carbon;

/** Who eats, weighs or begins as one would not wish. */
class Concerns
{
    /** Days without food taken after which one is worth a look, where meals are logged at all. */
    private const HUNGRY = 14;

    /** Days without a weight after which one is worth taking. */
    private const UNWEIGHED = 60;

    /** Days in which a hatchling is one that begins. */
    private const BEGINS = 120;

    /** Days after which one of which nothing was ever logged is no hatchling any more. */
    private const NEVER = 365;

    /** Meals in a row that are common before a sale. */
    private const MEALS = 3;

    /** @param list<Animal> $animals that are here */
    public function __construct(
        private readonly array $animals,
        private readonly Standings $standings,
        private readonly Carbon $today,
        private readonly House $house,
    ) {}

    /** @return list<array{animal: Animal, days: int}> that have not eaten for long, the longest first */
    public function hungry(): array
    {
        return $this->byDays(fn (Standing $standing): ?int => $standing->daysWithoutFood(), self::HUNGRY);
    }

    /** @return list<array{animal: Animal, days: int}> that were not weighed for long, though they once were; the longest first */
    public function unweighed(): array
    {
        return $this->byDays(fn (Standing $standing): ?int => $standing->daysUnweighed(), self::UNWEIGHED);
    }

    /** @return list<array{animal: Animal, says: string}> that refused more than once, or lose weight */
    public function failing(): array
    {
        $failing = [];
        foreach ($this->animals as $animal) {
            $standing = $this->standings->of($animal->id);
            $says = array_filter([
                $standing->refusals() > 1 ? "did not take {$standing->refusals()} meals in a row" : null,
                $standing->assisted() > 0 ? 'assist-fed '.($standing->assisted() === 1 ? 'once' : "{$standing->assisted()} times")
                    .' and no meal of its own since: a reptile veterinarian can say why' : null,
                $standing->loss() === null
                    ? null
                    : "{$this->house->weight($standing->loss())} below its best of the last half year",
            ]);
            $says === [] ?: $failing[] = ['animal' => $animal, 'says' => implode('; ', $says)];
        }

        return $failing;
    }

    /**
     * @param callable(Standing): (int|null) $days
     * @return list<array{animal: Animal, days: int}>
     */
    private function byDays(callable $days, int $from): array
    {
        $long = [];
        foreach ($this->animals as $animal) {
            $count = $days($this->standings->of($animal->id));
            if ($count !== null && $count >= $from) {
                $long[] = ['animal' => $animal, 'days' => $count];
            }
        }
        usort($long, fn (array $a, array $b): int => $b['days'] <=> $a['days']);

        return $long;
    }

    /**
     * Hatchlings that have not shed yet, or not eaten three times in a row: what is expected, and how far they are.
     *
     * @return list<array{animal: Animal, says: string}> the youngest first
     */
    public function beginners(): array
    {
        $young = [];
        [$from, $to] = Expectation::of(Gap::hatchToShed())->window();
        foreach ($this->animals as $animal) {
            $age = $animal->clutch_id === null ? null : $animal->ageInDays($this->today);
            if ($age === null || $age > self::NEVER) {
                continue;
            }
            $meals = $this->standings->of($animal->id)->mealsInARow();
            $hasShed = $animal->care->contains(fn (CareEntry $entry): bool => $entry->kind === CareKind::Shed);
            if ($age > self::BEGINS && ($hasShed || $meals > 0)) {
                continue; // it has begun; one of which nothing is logged stays
            }
            $says = array_filter([
                $hasShed ? null : (
                    $age > $to
                        ? "first shed overdue (day {$age}; usual day {$from} to {$to})"
                        : "first shed due day {$from} to {$to}, now day {$age}"
                ),
                $meals >= self::MEALS ? null : 'meals in a row: '."{$meals} of ".self::MEALS,
            ]);
            $says === [] ?: $young[$age.sprintf('-%09d', $animal->id)] = ['animal' => $animal, 'says' => implode('; ', $says)];
        }
        ksort($young, SORT_NATURAL);

        return array_values($young);
    }
}
