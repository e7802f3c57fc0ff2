<?php

declare(strict_types=1);

namespace App\Season;

use App\Care\Standings;
use App\Clutch\Bench;
use App\Collection\Opened;
use App\Collection\Statuses;
use App\Incubation\IncubatorCard;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Enums\CareKind;
use App\Models\Project;
use App\Models\Sighting;
use App\Models\StatusEvent;
use App\Projects\PlanUpdates;
use App\Projects\Workshop;
use Destino\Identification\Cue;
use Illuminate\Database\Eloquent\Collection as Eloquent;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;

/** What is due, overdue or worth checking today, by place in the rack. */
class TodayPage
{
    /** Hatchlings are looked at again up to this age, in days. */
    private const YOUNG = 540;

    /** Days for which the update of a plan is news. */
    private const NEWS = 2;

    public readonly Carbon $today;

    /** @var list<Due> those in their window first */
    public readonly array $due;

    /** @var list<Animal> that are here */
    private readonly array $animals;

    public readonly Concerns $concerns;

    /** @var list<IncubatorCard>|null */
    private ?array $alarms = null;

    public function __construct(private readonly Opened $opened)
    {
        $this->today = Carbon::today();
        $keeper = $opened->keeper();
        $statuses = Statuses::of($keeper);
        $this->due = Due::among($keeper, $this->today);
        (new Eloquent(array_map(fn (Due $one): Clutch => $one->clutch, $this->due)))->load('eggs', 'counts', 'hatchlings');
        $this->animals = array_values(
            $keeper->animals()->with(['rack', 'sightings', 'care' => fn ($care) => $care->where('kind', CareKind::Shed)])->get()
                ->filter(fn (Animal $animal): bool => $statuses->status($animal->id)->isHere())
                ->sortBy(fn (Animal $animal): string => ($animal->placeWords() ?? "\u{ffff}")." {$animal->name}")->all(),
        );
        $this->concerns = new Concerns($this->animals, new Standings($keeper, $this->today), $this->today, $opened->house);
    }

    /** @return list<Animal> young whose sex is not known */
    public function toSex(): array
    {
        return array_values(
            array_filter($this->animals, fn (Animal $animal): bool => $animal->sex === null && $animal->clutch_id !== null),
        );
    }

    /**
     * @return list<array{clutch: int, animal: int, name: string, cues: list<string>}> young that can now be looked at for what could not be seen
     *     before
     */
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
                'clutch' => (int) $animal->clutch_id, 'animal' => $animal->id, 'name' => $animal->name,
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

    /** The pairs and eggs that are under way, over the months. */
    public function ribbon(): Ribbon
    {
        return new Ribbon(new Collection(array_map(fn (Due $one): Clutch => $one->clutch, $this->due)), $this->due, $this->today);
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

    /** @return list<array{project: Project, answer: string, words: string}> whose plan was updated in the last days */
    public function planUpdates(): array
    {
        return PlanUpdates::since($this->opened->keeper(), new Workshop($this->opened), $this->today->copy()->subDays(self::NEWS));
    }

    public function isQuiet(): bool
    {
        $now = array_filter($this->due, fn (Due $one): bool => $one->isNow($this->today));

        return [
            ...$now, ...$this->alarms(), ...$this->concerns->hungry(), ...$this->concerns->failing(), ...$this->toReview(),
                ...$this->toSex(),
            ...$this->concerns->beginners(),
        ] === [];
    }
}
