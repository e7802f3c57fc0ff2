<?php

declare(strict_types=1);

namespace App\Projects;

use App\Collection\CoreId;
use App\Collection\Opened;
use App\Health\BeforeOfPairs;
use App\Models\Animal;
use App\Models\Clutch;
use Destino\Pairing\Advice\Stance;
use Destino\Probability\Rational;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;

/**
 * Who goes to whom this season: each male with his females, those that are noted and those that projects ask for, in the order
 * in which they can begin; what each pairing may give; and what stands in the way.
 *
 * @phpstan-type Place array{dam: Animal, clutch: Clutch|null, stage: string, hope: string|null, egg: Rational|null, gives: string,
 *     ready: list<string>, isReady: bool, related: string, stance: Stance}
 */
class Board
{
    /** Months after which a pairing without eggs is over. */
    private const TOGETHER = 10;

    /** @var list<array{sire: Animal, places: list<Place>, serves: int, most: int, instead: list<string>}> the busiest male first */
    public readonly array $males;

    /** @var list<Animal> females that are ready and have no mate */
    public readonly array $free;

    /** @var array<int, Animal> by number */
    private array $animals = [];

    public readonly SeasonList $season;

    private readonly Placing $placing;

    public function __construct(private readonly Opened $opened)
    {
        $this->placing = new Placing($opened);
        $keeper = $opened->keeper();
        $clutches = $keeper->clutches()->with('dam.rack', 'sires.animal')->get();
        $projects = array_values($keeper->projects()->with('latestPlan')->get()->all());
        $this->season = new SeasonList($projects, $opened->house->number('females_per_male'), $clutches, BeforeOfPairs::of($opened));
        $animals = $keeper->animals()->with('rack', 'latestStatus')->get();
        $this->animals = $animals->keyBy('id')->all();
        $this->placing->prepare($this->standing($clutches));
        $places = $this->noted($clutches);
        foreach ($this->season->grants as $grant) {
            [$sire, $dam] = [(int) CoreId::animal($grant['sire']), $this->animals[(int) CoreId::animal($grant['dam'])] ?? null];
            if ($dam !== null && isset($this->animals[$sire])) {
                $project = $grant['serves'][0]['project'] ?? null;
                $places[$sire][] = $this->placing->place($this->animals[$sire], $dam, null, $project);
            }
        }
        $males = [];
        foreach ($places as $id => $of) {
            usort(
                $of,
                fn (array $a, array $b): int => [
                    $a['clutch'] === null, ! $a['isReady'], $a['dam']->name,
                ] <=> [$b['clutch'] === null, ! $b['isReady'], $b['dam']->name],
            );
            $males[] = $this->male($this->animals[$id], $of);
        }
        usort($males, fn (array $a, array $b): int => [count($b['places']), $a['sire']->name] <=> [count($a['places']), $b['sire']->name]);
        $this->males = $males;
        $this->free = $this->without($places, $animals);
    }

    /**
     * @param iterable<Clutch> $clutches
     * @return list<Animal> who may stand on the board
     */
    private function standing(iterable $clutches): array
    {
        $ids = [];
        foreach ($clutches as $clutch) {
            array_push($ids, $clutch->dam_id, ...$clutch->sires->pluck('animal_id')->all());
        }
        foreach ($this->season->grants as $grant) {
            array_push($ids, (int) CoreId::animal($grant['sire']), (int) CoreId::animal($grant['dam']));
        }

        return array_values(array_intersect_key($this->animals, array_flip(array_filter($ids))));
    }

    /**
     * @param iterable<Clutch> $clutches
     * @return array<int, list<Place>> by male
     */
    private function noted(iterable $clutches): array
    {
        $places = [];
        foreach ($clutches as $clutch) {
            $since = $clutch->paired_on;
            if ($clutch->laid_on !== null || $clutch->hatched_on !== null
                || ($since !== null && $since->lt(Carbon::today()->subMonths(self::TOGETHER)))) {
                continue;
            }
            foreach ($clutch->sires as $sire) {
                if ($sire->animal !== null && isset($this->animals[$sire->animal->id], $this->animals[$clutch->dam_id])) {
                    $places[$sire->animal->id][] = $this->placing->place(
                        $this->animals[$sire->animal->id], $this->animals[$clutch->dam_id], $clutch, null,
                    );
                }
            }
        }

        return $places;
    }

    /**
     * @param list<Place> $places
     * @return array{sire: Animal, places: list<Place>, serves: int, most: int, instead: list<string>}
     */
    private function male(Animal $sire, array $places): array
    {
        $most = $this->opened->house->number('females_per_male');
        $serves = count(array_filter($places, fn (array $place): bool => $place['clutch'] !== null));
        $instead = [];
        foreach (count($places) > $most ? array_slice($places, $most) : [] as $place) {
            $other = $this->insteadOf($sire, $place['dam']);
            $instead[] = $other === null
                ? "{$place['dam']->name} is one too many, and no other male that is ready does as much with her: let her wait a season"
                : "{$place['dam']->name} could go to {$other} instead";
        }

        return ['sire' => $sire, 'places' => $places, 'serves' => $serves, 'most' => $most, 'instead' => $instead];
    }

    /** The male that the plans would take for a female if not this one. */
    private function insteadOf(Animal $sire, Animal $dam): ?string
    {
        foreach ($this->season->alternatives(CoreId::of($dam->id)) as $wish) {
            if ($wish['sire'] !== CoreId::of($sire->id)) {
                return $this->season->name($wish['sire']);
            }
        }

        return null;
    }

    /**
     * @param array<int, list<Place>> $places
     * @param Collection<int, Animal> $animals
     * @return list<Animal>
     */
    private function without(array $places, Collection $animals): array
    {
        $taken = [
            ...array_map(fn (array $place): int => $place['dam']->id, array_merge([], ...array_values($places))),
            ...array_map(fn (array $one): int => $one['clutch']->dam_id, $this->season->made), // those on eggs among them
        ];

        return $this->placing->ready(array_values($animals->filter(
            fn (Animal $animal): bool => $animal->sex?->value === 'female' && ! in_array($animal->id, $taken, true)
                && $animal->status()->whyNotPaired() === null,
        )->sortBy('name')->all()));
    }
}
