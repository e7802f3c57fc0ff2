<?php

declare(strict_types=1);

namespace App\Animals;

use App\Care\CareLog;
use App\Collection\AnimalCard;
use App\Collection\Beliefs;
use App\Collection\Family;
use App\Collection\Opened;
use App\Collection\Statuses;
use App\Family\DescendantTree;
use App\Family\PedigreeTree;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Observation;
use App\Models\Photo;
use App\Models\Rack;
use App\Models\Statement;
use App\Models\StatusEvent;
use App\Prove\ContradictionDesk;
use Destino\Genome\Condition;
use Destino\Husbandry\Readiness;
use Destino\Inference\Descent\Reason;
use Illuminate\Database\Eloquent\Builder;

/**
 * All that the page of an animal shows.
 *
 * @phpstan-import-type Told from ContradictionDesk
 */
class AnimalPage
{
    public readonly AnimalCard $card;

    public readonly Family $family;

    public readonly PedigreeTree $tree;

    public readonly DescendantTree $descendants;

    public readonly CareLog $log;

    public readonly Readiness $readiness;

    private readonly Beliefs $beliefs;

    /** @var list<Statement> */
    public readonly array $statements;

    /** @var list<Rack> */
    public readonly array $racks;

    public function __construct(public readonly Animal $animal, private readonly Opened $opened)
    {
        $animal->loadMissing('care', 'latestStatus', 'rack', 'clutch');
        $this->beliefs = $opened->beliefs();
        $this->card = $this->cardOf($animal);
        $this->family = $opened->family();
        $this->tree = new PedigreeTree($animal, $this->family, $opened->shelf, $this->beliefs);
        $this->descendants = new DescendantTree($animal, $this->family, $opened->shelf, $this->beliefs);
        $this->log = new CareLog($animal);
        $this->readiness = $this->card->readiness($opened->house);
        $this->racks = array_values($opened->keeper()->racks()->get()->all());
        $this->statements = array_values($animal->statements()->get()->all());
    }

    /** @return list<AnimalCard> those of the other sex that are here, by name */
    public function mates(): array
    {
        if ($this->animal->sex === null) {
            return [];
        }
        /** @var list<Animal> $mates */
        $mates = $this->opened->keeper()
            ->animals()
            ->where('sex', '!=', $this->animal->sex->value)
            ->orderBy('name')
            ->get(['id', 'user_id', 'name', 'sex'])
            ->all();
        $statuses = Statuses::of($this->opened->keeper());

        return array_map(
            $this->cardOf(...),
            array_values(array_filter($mates, fn (Animal $mate): bool => $statuses->status($mate->id)->isHere())),
        );
    }

    /** @return list<string> names of conditions to choose from */
    public function knownConditions(): array
    {
        return array_values(
            array_unique(array_map(fn (Condition $condition): string => $condition->name, $this->opened->shelf->catalogue()->conditions)),
        );
    }

    /** @return list<StatusEvent> newest first */
    public function statuses(): array
    {
        return array_values($this->animal->statusEvents()->orderByDesc('on')->orderByDesc('id')->get()->all());
    }

    /** @return list<Observation> newest first */
    public function observations(): array
    {
        return array_values($this->animal->observations()->orderByDesc('on')->orderByDesc('id')->get()->all());
    }

    /** @return list<Photo> newest first */
    public function photos(): array
    {
        return array_values($this->animal->photos()->orderByDesc('on')->orderByDesc('id')->get()->all());
    }

    /** @return list<Clutch> newest first */
    public function clutches(): array
    {
        return array_values($this->opened->keeper()->clutches()->with('dam', 'sires.animal')
            ->where(
                fn (Builder $any) => $any->where('dam_id', $this->animal->id)->orWhereHas(
                    'sires', fn (Builder $sire) => $sire->where('animal_id', $this->animal->id),
                ),
            )
            ->get()->sortByDesc(fn (Clutch $clutch): string => $clutch->season().$clutch->id)->all());
    }

    /** @return list<array{sides: list<string>, about: string}> */
    public function conflicts(): array
    {
        return array_map(fn (array $conflict): array => [
            'about' => implode(
                ', ',
                array_map(fn (string $locus): string => $this->opened->shelf->catalogue()->locus($locus)->name, $conflict[0]),
            ),
            'sides' => array_map($this->side(...), $conflict[1]),
        ], $this->beliefs->why($this->animal->id)['conflicts']);
    }

    /** How many of its cues the keeper has read. */
    public function cuesRead(): int
    {
        return $this->animal->sightings()->whereNull('who')->distinct()->count('cue');
    }

    /** @return list<array{subject: string, link: string, about: string, explanations: list<Told>}> what does not fit */
    public function puzzles(): array
    {
        return (new ContradictionDesk($this->opened->keeper(), $this->beliefs, $this->opened->shelf))->open(["a{$this->animal->id}"]);
    }

    /**
     * How each locus came to what is believed of it.
     *
     * @return list<array{locus: string, steps: list<array{by: string, text: string}>}>
     */
    public function reasons(): array
    {
        $loci = [];
        foreach ($this->beliefs->why($this->animal->id)['reasons'] as $locus => $steps) {
            $loci[] = [
                'locus' => $this->opened->shelf->catalogue()->locus($locus)->name,
                'steps' => array_map(fn (array $step): array => ['by' => $this->side($step[0]), 'text' => $step[1]], $steps),
            ];
        }

        return $loci;
    }

    /** The tubs as options of a list; those that are taken say by whom. */
    public function tubOptions(): string
    {
        $taken = [];
        foreach (
            $this->opened->keeper()
                ->animals()
                ->toBase()
                ->whereNotNull('rack_row')
                ->whereNull('deleted_at')
                ->get(['name', 'rack_id', 'rack_row', 'rack_column']) as $row
        ) {
            $taken["{$row->rack_id}:{$row->rack_row}:{$row->rack_column}"] = $row->name;
        }
        $own = "{$this->animal->rack_id}:{$this->animal->rack_row}:{$this->animal->rack_column}";
        $options = '';
        foreach ($this->racks as $rack) {
            $options .= '<optgroup label="'.e($rack->name).'">';
            for ($row = 1; $row <= $rack->rows; $row++) {
                for ($column = 1; $column <= $rack->columns; $column++) {
                    $tub = "{$rack->id}:{$row}:{$column}";
                    $who = isset($taken[$tub]) && $tub !== $own ? ' ('.e($taken[$tub]).')' : '';
                    $options .= "<option value=\"{$tub}\"".($tub === $own ? ' selected' : '').'>'.e($rack->name)
                        .", {$row}·{$column}{$who}</option>";
                }
            }
            $options .= '</optgroup>';
        }

        return $options;
    }

    /** @return list<string> why a statement cannot be read any more */
    public function faultsOf(Statement $statement): array
    {
        return array_map(fn ($error): string => $error->getMessage(), $this->beliefs->unreadable($this->animal->id)[$statement->id] ?? []);
    }

    public function cardOf(Animal $animal): AnimalCard
    {
        return new AnimalCard($animal, $this->beliefs, $this->opened->shelf->catalogue());
    }

    private function side(string $by): string
    {
        if ($by === Reason::PARENTS) {
            return 'the recorded parents';
        }
        if ($by === Reason::RELATIVES) {
            return 'what young and other relatives showed';
        }
        foreach ($this->statements as $statement) {
            if ((string) $statement->id === $by) {
                return "“{$statement->text}”, {$statement->byWhom()}";
            }
        }

        return 'a statement';
    }
}
