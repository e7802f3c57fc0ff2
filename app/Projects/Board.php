<?php

declare(strict_types=1);

namespace App\Projects;

use App\Collection\AnimalCard;
use App\Collection\Opened;
use App\Family\Relatedness;
use App\Health\BeforeOfPairs;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Enums\EventKind;
use App\Models\Project;
use App\Pairing\PairingCheck;
use App\Words\OddsWords;
use Destino\DestinoError;
use Destino\Pairing\Advice\Stance;
use Destino\Pairing\Cross;
use Destino\Pairing\TargetOdds;
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

    public function __construct(private readonly Opened $opened)
    {
        $keeper = $opened->keeper();
        $clutches = $keeper->clutches()->with('dam.rack', 'sires.animal')->get();
        $projects = array_values($keeper->projects()->with('latestPlan')->get()->all());
        $this->season = new SeasonList($projects, $opened->house->number('females_per_male'), $clutches, BeforeOfPairs::of($opened));
        $animals = $keeper->animals()->with('rack', 'latestStatus', 'latestWeight')->get();
        $this->animals = $animals->keyBy('id')->all();
        $places = $this->noted($clutches);
        foreach ($this->season->grants as $grant) {
            [$sire, $dam] = [(int) ltrim($grant['sire'], 'a'), $this->animals[(int) ltrim($grant['dam'], 'a')] ?? null];
            if ($dam !== null && isset($this->animals[$sire])) {
                $project = $grant['serves'][0]['project'] ?? null;
                $places[$sire][] = $this->place($this->animals[$sire], $dam, null, $project);
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
     * @return array<int, list<Place>> by male
     */
    private function noted(iterable $clutches): array
    {
        $places = [];
        foreach ($clutches as $clutch) {
            $since = $clutch->paired_on;
            if ($clutch->laid_on !== null || $clutch->hatched_on !== null || ($since !== null && $since->lt(Carbon::today()->subMonths(self::TOGETHER)))) {
                continue;
            }
            foreach ($clutch->sires as $sire) {
                if ($sire->animal !== null && isset($this->animals[$sire->animal->id], $this->animals[$clutch->dam_id])) {
                    $places[$sire->animal->id][] = $this->place(
                        $this->animals[$sire->animal->id], $this->animals[$clutch->dam_id], $clutch, null,
                    );
                }
            }
        }

        return $places;
    }

    /** @return Place */
    private function place(Animal $sire, Animal $dam, ?Clutch $clutch, ?Project $project): array
    {
        $hope = $clutch->target ?? $project?->target;
        [$egg, $gives] = $this->gives($sire, $dam, $hope);
        $ready = array_map(fn (Animal $animal): array => $this->readiness($animal), [$sire, $dam]);
        $related = Relatedness::of($this->opened->family(), $sire, $dam, $this->opened->house->relatednessLimit());

        return [
            'dam' => $dam, 'clutch' => $clutch, 'stage' => self::stage($clutch), 'hope' => $hope, 'egg' => $egg, 'gives' => $gives,
            'ready' => array_merge($ready[0]['reasons'], $ready[1]['reasons']), 'isReady' => $ready[0]['isReady'] && $ready[1]['isReady'],
            'related' => $related->coefficient->isZero() ? '' : 'F '.OddsWords::fraction($related->coefficient),
            'stance' => PairingCheck::of($sire, $dam, $this->opened)->stance,
        ];
    }

    private static function stage(?Clutch $clutch): string
    {
        return match (true) {
            $clutch === null => 'asked for',
            $clutch->event(EventKind::Ovulation) !== null => 'ovulated',
            $clutch->event(EventKind::Lock) !== null => 'locked',
            $clutch->event(EventKind::Introduced) !== null => 'together',
            default => 'planned',
        };
    }

    /** @return array{Rational|null, string} chance of an egg, and a sentence */
    private function gives(Animal $sire, Animal $dam, ?string $hope): array
    {
        if ($hope === null) {
            return [null, 'no target noted'];
        }
        try {
            $beliefs = $this->opened->beliefs();
            $cross = Cross::of($this->opened->shelf->catalogue(), $beliefs->belief($sire->id), $beliefs->belief($dam->id));
            $egg = TargetOdds::of($cross, $this->opened->shelf->targets()->read($hope))->chance->perEgg();

            return [$egg, $egg->isZero() ? "young to build on toward {$hope}" : $hope];
        } catch (DestinoError $error) {
            return [null, $error->getMessage()];
        }
    }

    /** @return array{reasons: list<string>, isReady: bool} */
    private function readiness(Animal $animal): array
    {
        $card = new AnimalCard($animal, $this->opened->beliefs(), $this->opened->shelf->catalogue());
        $readiness = $card->readiness($this->opened->house);
        $likely = $readiness->likely === null ? '' : ' Likely from '.$readiness->likely->format('F Y').'.';

        return [
            'isReady' => $readiness->isReady === true,
            'reasons' => $readiness->isReady === true ? [] : ["{$animal->name}: ".implode(' ', $readiness->reasons).$likely],
        ];
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
        foreach ($this->season->alternatives("a{$dam->id}") as $wish) {
            if ($wish['sire'] !== "a{$sire->id}") {
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

        return array_values($animals->filter(
            fn (Animal $animal): bool => $animal->sex?->value === 'female' && ! in_array($animal->id, $taken, true)
                && $animal->status()->whyNotPaired() === null && $this->readiness($animal)['isReady'],
        )->sortBy('name')->all());
    }
}
