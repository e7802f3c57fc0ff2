<?php

declare(strict_types=1);

namespace App\Prove;

use App\Catalogue\CatalogueShelf;
use App\Collection\AnimalCard;
use App\Collection\Beliefs;
use App\Collection\Statuses;
use App\House\House;
use App\Models\Animal;
use App\Models\Project;
use App\Models\User;
use App\Words\OddsWords;
use Destino\DestinoError;
use Destino\Genome\Diplotype;
use Destino\Genome\Sex;
use Destino\Inference\Experiments\HeldSons;
use Destino\Inference\Experiments\TestCross;
use Destino\Pairing\Cross;
use Destino\Pairing\TargetOdds;
use Destino\Planning\Given\PlanAssumptions;

/**
 * Every mate that could answer a question, by the seasons that it takes.
 *
 * @phpstan-type Mate array{
 *     mate: Animal, carries: string, eggs95: int|null, eggs99: int|null, seasons: float|null, ready: string, isReady: bool,
 *     curve: list<float>, besides: string,
 * }
 */
class Design
{
    private const MOST = 12;

    public function __construct(
        public readonly Question $question,
        private readonly User $keeper,
        private readonly Beliefs $beliefs,
        private readonly CatalogueShelf $shelf,
        private readonly House $house,
    ) {}

    /** @return list<Mate> those that answer soonest first */
    public function mates(): array
    {
        $group = $this->question->group;
        $known = $mates = [];
        foreach ($this->candidates() as $mate) {
            $belief = $this->beliefs->belief($mate->id);
            $key = serialize($belief->factorOf($group)->states->entries());
            $known[$key] ??= $this->cross($belief);
            [$eggs95, , $curve] = $known[$key];
            if ($eggs95 !== null || max($curve) >= .05) { // the others tell nothing
                $mates[] = $this->told($mate, $known[$key]);
            }
        }
        $order = fn (array $one): array => [$one['seasons'] ?? INF, ! $one['isReady'], $one['eggs95'] ?? INF, -$one['curve'][5],
            $one['mate']->name];
        usort($mates, fn (array $a, array $b): int => $order($a) <=> $order($b));

        return array_map(fn (array $one): array => ['besides' => $this->besides($one['mate'])] + $one, array_slice($mates, 0, self::MOST));
    }

    /** @return list<Animal> of the other sex that are here; none where the sex is not known */
    private function candidates(): array
    {
        $sex = $this->question->animal->sex;
        if ($sex === null) {
            return [];
        }
        $statuses = Statuses::of($this->keeper);
        /** @var list<Animal> $others */
        $others = $this->keeper->animals()->where('sex', $sex === Sex::Male ? 'female' : 'male')->with('latestWeight', 'latestStatus')
            ->orderBy('name')->get()->all();

        return array_values(array_filter($others, fn (Animal $mate): bool => $statuses->status($mate->id)->isHere()));
    }

    /**
     * @param array{int|null, int|null, list<float>} $cross
     * @return Mate
     */
    private function told(Animal $mate, array $cross): array
    {
        $assumptions = new PlanAssumptions;
        $perClutch = $assumptions->clutchMean * $assumptions->survival();
        [$eggs95, $eggs99, $curve] = $cross;
        $readiness = (new AnimalCard($mate, $this->beliefs, $this->shelf->catalogue()))->readiness($this->house);
        $isReady = $readiness->isReady === true;

        return [
            'mate' => $mate, 'carries' => $this->beliefs->text($mate->id), 'eggs95' => $eggs95, 'eggs99' => $eggs99,
            'seasons' => $eggs95 === null ? null : round(ceil($eggs95 / $perClutch) / $assumptions->layRate, 1),
            'ready' => $isReady ? 'ready' : implode(' ', $readiness->reasons), 'isReady' => $isReady, 'curve' => $curve, 'besides' => '',
        ];
    }

    /**
     * @return list<array{sons: int, carries: string, proves: string}>|null where sons held back could prove her: a female
     *     that may be het for a recessive
     */
    public function sons(): ?array
    {
        $alleles = $this->question->alleles();
        if (
            $this->question->animal->sex !== Sex::Female
            || count($alleles) !== 1
            || $this->shelf->catalogue()->allele($alleles[0])->inheritance->showsInOneCopy()
        ) {
            return null;
        }

        return array_map(function (int $sons): array {
            $design = new HeldSons($sons);

            return [
                'sons' => $sons, 'carries' => OddsWords::share($design->oneCarries()->toFloat()),
                'proves' => OddsWords::share($design->proves(10)->toFloat()),
            ];
        }, [1, 2, 3, 4]);
    }

    /** @return array{int|null, int|null, list<float>} */
    private function cross(\Destino\Genome\Belief $mate): array
    {
        $cross = TestCross::of(
            $this->shelf->catalogue(), $this->question->group, $this->question->belief, $mate,
            fn (Diplotype $own): string => $this->question->answerOf($own),
        );

        return [$cross->separation->eggsFor(.95, 40), $cross->separation->eggsFor(.99, 40), $cross->curve(16)];
    }

    /** What the clutch is worth besides: the best that it gives a project. */
    private function besides(Animal $mate): string
    {
        $animal = $this->question->animal;
        [$sire, $dam] = $animal->sex === Sex::Male ? [$animal, $mate] : [$mate, $animal];
        try {
            $cross = Cross::of($this->shelf->catalogue(), $this->beliefs->belief($sire->id), $this->beliefs->belief($dam->id));
        } catch (DestinoError) {
            return 'too much is open about the two';
        }
        $worth = [];
        /** @var Project $project */
        foreach ($this->keeper->projects()->orderByDesc('weight')->get() as $project) {
            try {
                $odds = TargetOdds::of($cross, $this->shelf->targetsWithChoices()->read($project->target))->chance->perEgg();
            } catch (DestinoError) {
                continue; // the project's own page says what is wrong with its target
            }
            $odds->isZero() || $worth[] = "{$project->name}: ".OddsWords::perEgg($odds);
        }

        return implode('; ', $worth);
    }
}
