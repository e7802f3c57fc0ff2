<?php

declare(strict_types=1);

namespace App\Season;

use App\Care\Standing;
use App\Care\Standings;
use App\Clutch\Bench;
use App\Collection\Opened;
use App\Collection\Statuses;
use App\Incubation\IncubatorCard;
use App\Models\Animal;
use App\Models\CareEntry;
use App\Models\Clutch;
use App\Models\Enums\CareKind;
use App\Models\Sighting;
use App\Models\StatusEvent;
use Destino\Identification\Cue;
use Destino\Season\Expectation;
use Destino\Season\Gap;
use Illuminate\Support\Carbon;

/** What is due, overdue or worth checking today, by place in the rack. */
class TodayPage
{
    /** Days without food taken after which one is worth a look, where meals are logged at all. */
    private const HUNGRY = 14;

    /** Days without a weight after which one is worth taking. */
    private const UNWEIGHED = 60;

    /** Days in which a hatchling is one that begins. */
    private const BEGINS = 120;

    /** Meals in a row that are common before a sale. */
    private const MEALS = 3;

    /** Hatchlings are looked at again up to this age, in days. */
    private const YOUNG = 540;

    public readonly Carbon $today;

    /** @var list<Due> those in their window first */
    public readonly array $due;

    /** @var list<Animal> that are here */
    private readonly array $animals;

    private readonly Standings $standings;

    /** @var list<IncubatorCard>|null */
    private ?array $alarms = null;

    public function __construct(private readonly Opened $opened)
    {
        $this->today = Carbon::today();
        $keeper = $opened->keeper();
        $statuses = Statuses::of($keeper);
        $this->standings = new Standings($keeper, $this->today);
        $this->due = Due::among($keeper, $this->today);
        $this->animals = array_values(
            $keeper->animals()->with(['rack', 'sightings', 'care' => fn ($care) => $care->where('kind', CareKind::Shed)])->get()
                ->filter(fn (Animal $animal): bool => $statuses->status($animal->id)->isHere())
                ->sortBy(fn (Animal $animal): string => ($animal->placeWords() ?? "\u{ffff}")." {$animal->name}")->all(),
        );
    }

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
                $standing->loss() === null
                    ? null
                    : "{$this->opened->house->weight($standing->loss())} below its best of the last half year",
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
            if ($age === null || $age > self::BEGINS) {
                continue;
            }
            $meals = $this->standings->of($animal->id)->mealsInARow();
            $hasShed = $animal->care->contains(fn (CareEntry $entry): bool => $entry->kind === CareKind::Shed);
            $says = array_filter([
                $hasShed ? null : "first shed day {$from} to {$to}, now day {$age}",
                $meals >= self::MEALS ? null : "{$meals} of ".self::MEALS.' meals in a row',
            ]);
            $says === [] ?: $young[$age.sprintf('-%09d', $animal->id)] = ['animal' => $animal, 'says' => implode('; ', $says)];
        }
        ksort($young, SORT_NATURAL);

        return array_values($young);
    }

    /** @return list<Animal> young whose sex is not known */
    public function toSex(): array
    {
        return array_values(
            array_filter($this->animals, fn (Animal $animal): bool => $animal->sex === null && $animal->clutch_id !== null),
        );
    }

    /** @return list<array{clutch: int, name: string, cues: list<string>}> young that can now be looked at for what could not be seen before */
    public function toLookAt(): array
    {
        $late = null;
        $look = [];
        foreach ($this->animals as $animal) {
            $days = $animal->clutch_id === null || $animal->hatched_on === null
                ? null
                : (int) $animal->hatched_on->diffInDays($this->today);
            if ($days === null || $days > self::YOUNG || $animal->sightings->isEmpty()) {
                continue; // what nobody began to tell apart is not asked for
            }
            $late ??= array_filter($this->opened->shelf->cues(), fn (Cue $cue): bool => $cue->fromDays > 0);
            $seen = $animal->sightings->map(fn (Sighting $one): string => $one->cue)->all();
            $open = $this->benchOf((int) $animal->clutch_id)->worth($animal->id);
            $cues = array_filter(
                $late, fn (Cue $cue): bool => $cue->fromDays <= $days && ! in_array($cue->key, $seen, true) && isset($open[$cue->key]),
            );
            $cues === [] ?: $look[] = [
                'clutch' => (int) $animal->clutch_id, 'name' => $animal->name,
                'cues' => array_map(fn (Cue $cue): string => $cue->name, array_values($cues)),
            ];
        }

        return $look;
    }

    /** @var array<int, Bench> by clutch */
    private array $benches = [];

    private function benchOf(int $clutch): Bench
    {
        return $this->benches[$clutch] ??= new Bench(Clutch::query()->findOrFail($clutch), $this->opened);
    }

    /** @return list<StatusEvent> statuses to be looked at again by now */
    public function toReview(): array
    {
        return array_values(array_filter($this->reviews(), fn (StatusEvent $event): bool => (bool) $event->review_on?->lte($this->today)));
    }

    public function week(): Week
    {
        return new Week($this->due, $this->reviews(), $this->today, $this->opened->house->firstDayOfWeek());
    }

    /** @return list<StatusEvent> with a day on which to look again */
    private function reviews(): array
    {
        $ids = array_map(fn (Animal $animal): int => $animal->id, $this->animals);
        $latest = StatusEvent::query()->where('user_id', $this->opened->keeper()->id)->orderBy('on')->orderBy('id')->get()
            ->keyBy('animal_id');

        return array_values($latest->filter(
            fn (StatusEvent $event): bool => $event->review_on !== null && in_array($event->animal_id, $ids, true),
        )->load('animal')->all());
    }

    /** @return list<IncubatorCard> incubators with eggs in them of which something is to be looked at */
    public function alarms(): array
    {
        return $this->alarms ??= array_values(array_filter(
            IncubatorCard::all($this->opened->keeper(), $this->opened->house),
            fn (IncubatorCard $card): bool => $card->alarms !== [] && $card->hasEggs(),
        ));
    }

    public function isQuiet(): bool
    {
        $now = array_filter($this->due, fn (Due $one): bool => $one->isNow($this->today));

        return [
            ...$now, ...$this->alarms(), ...$this->hungry(), ...$this->failing(), ...$this->toReview(), ...$this->toSex(),
            ...$this->beginners(),
        ] === [];
    }
}
