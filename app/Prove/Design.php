<?php

namespace App\Prove;

use App\Catalogue\CatalogueShelf;
use App\Collection\AnimalCard;
use App\Collection\Beliefs;
use App\Collection\Statuses;
use App\House\House;
use App\Models\Animal;
use App\Models\Project;
use App\Models\User;
use App\Words\OddsText;
use App\Words\OddsWords;
use Destino\DestinoError;
use Destino\Genome\Diplotype;
use Destino\Genome\Sex;
use Destino\Inference\Experiments\HeldSons;
use Destino\Inference\Experiments\TestCross;
use Destino\Pairing\Cross;
use Destino\Pairing\TargetOdds;
use Destino\Planning\Given\PlanAssumptions;

/** Every mate that could answer a question, by the seasons that it takes. */
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

    /**
     * @return list<array{mate: Animal, carries: string, eggs95: int|null, eggs99: int|null, seasons: float|null, ready: string, isReady: bool, curve: list<float>, besides: string}> those that answer soonest first
     */
    public function mates(): array
    {
        $animal = $this->question->animal;
        if ($animal->sex === null) {
            return [];
        }
        $statuses = Statuses::of($this->keeper);
        $group = $this->question->group;
        $subject = $this->question->belief;
        $assumptions = new PlanAssumptions;
        $perClutch = $assumptions->clutchMean * $assumptions->survival();
        $known = $mates = [];
        /** @var Animal $mate */
        foreach (
            $this->keeper->animals()
                ->where('sex', $animal->sex === Sex::Male ? 'female' : 'male')
                ->with('latestWeight', 'latestStatus')
                ->orderBy('name')
                ->get() as $mate
        ) {
            if (! $statuses->status($mate->id)->isHere()) {
                continue;
            }
            $belief = $this->beliefs->belief($mate->id);
            $key = serialize($belief->factorOf($group)->states->entries());
            $known[$key] ??= $this->cross($belief);
            [$eggs95, $eggs99, $curve] = $known[$key];
            if ($eggs95 === null && max($curve) < .05) {
                continue; // it tells nothing
            }
            $readiness = (new AnimalCard($mate, $this->beliefs, $this->shelf->catalogue()))->readiness($this->house);
            $mates[] = [
                'mate' => $mate, 'carries' => $this->beliefs->text($mate->id), 'eggs95' => $eggs95, 'eggs99' => $eggs99,
                'seasons' => $eggs95 === null ? null : round(ceil($eggs95 / $perClutch) / $assumptions->layRate, 1),
                'ready' => ($readiness->isReady === true) ? 'ready' : implode(' ', $readiness->reasons),
                'isReady' => ($readiness->isReady === true), 'curve' => $curve, 'besides' => '',
            ];
        }
        usort(
            $mates,
            fn (array $a, array $b): int => [
                $a['seasons'] ?? INF, ! $a['isReady'], $a['eggs95'] ?? INF, -$a['curve'][5], $a['mate']->name,
            ] <=> [$b['seasons'] ?? INF, ! $b['isReady'], $b['eggs95'] ?? INF, -$b['curve'][5], $b['mate']->name],
        );

        return array_map(fn (array $one): array => ['besides' => $this->besides($one['mate'])] + $one, array_slice($mates, 0, self::MOST));
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
                'sons' => $sons, 'carries' => OddsText::percent($design->oneCarries()->toFloat()),
                'proves' => OddsText::percent($design->proves(10)->toFloat()),
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
                $odds = TargetOdds::of($cross, $this->shelf->targets()->read($project->target))->chance->perEgg();
            } catch (DestinoError) {
                continue; // the project's own page says what is wrong with its target
            }
            $odds->isZero() || $worth[] = "{$project->name}: ".OddsWords::fraction($odds).' an egg';
        }

        return implode('; ', $worth);
    }
}
