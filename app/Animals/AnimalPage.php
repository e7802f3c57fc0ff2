<?php

declare(strict_types=1);

namespace App\Animals;

use App\Care\CareLog;
use App\Clutch\NotTold;
use App\Collection\AnimalCard;
use App\Collection\Beliefs;
use App\Collection\Candidates;
use App\Collection\CoreId;
use App\Collection\Family;
use App\Collection\Opened;
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
use App\Words\OddsWords;
use Destino\Genome\Condition;
use Destino\Husbandry\Readiness;
use Illuminate\Database\Eloquent\Builder;

/**
 * All that the page of an animal shows.
 *
 * @phpstan-import-type Told from ContradictionDesk
 */
class AnimalPage
{
    public readonly AnimalCard $card;

    /** Look-alikes of its clutch that nobody tells apart at its age. */
    public readonly string $notTold;

    /** The keeper's own names for what it surely is. */
    public readonly string $called;

    public readonly Family $family;

    public readonly PedigreeTree $tree;

    public readonly DescendantTree $descendants;

    public readonly CareLog $log;

    public readonly Readiness $readiness;

    private readonly Beliefs $beliefs;

    private ?Candidates $candidates = null;

    /** @var list<Statement> */
    public readonly array $statements;

    /** @var list<Rack> */
    public readonly array $racks;

    public function __construct(public readonly Animal $animal, private readonly Opened $opened)
    {
        $animal->loadMissing('care', 'latestStatus', 'rack', 'clutch');
        $this->beliefs = $opened->beliefs();
        $this->card = $this->cardOf($animal);
        $this->notTold = NotTold::words($animal, $opened);
        $this->called = $animal->hasOpenGenes() ? '' : implode(', ', $opened->shelf->ownNames()->ofBelief($this->card->belief()));
        $this->family = $opened->family();
        $this->tree = new PedigreeTree($animal, $this->family, $opened->shelf, $this->beliefs);
        $this->descendants = new DescendantTree($animal, $this->family, $opened->shelf, $this->beliefs);
        $this->log = new CareLog($animal);
        $this->readiness = $this->card->readiness($opened->house);
        $this->racks = array_values($opened->keeper()->racks()->get()->all());
        $this->statements = array_values($animal->statements()->get()->all());
    }

    /** Animals that are here, from which a mate can be chosen. */
    public function candidates(): Candidates
    {
        return $this->candidates ??= new Candidates($this->opened->keeper(), $this->opened->beliefs());
    }

    /** The sex of its mates; empty where its own is not known. */
    public function sexOfMates(): string
    {
        return $this->animal->sex === null ? '' : ($this->animal->isMale() ? 'female' : 'male');
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

    public function reasonings(): Reasonings
    {
        return new Reasonings($this->animal->id, $this->statements, $this->beliefs, $this->opened->shelf);
    }

    /** The tubs as options of a list. */
    public function tubOptions(): string
    {
        return TubOptions::of($this->opened->keeper(), $this->animal, $this->racks);
    }

    /** How many of its cues the keeper has read. */
    public function cuesRead(): int
    {
        return $this->animal->sightings()->whereNull('who')->distinct()->count('cue');
    }

    /** @return list<array{subject: string, link: string, about: string, explanations: list<Told>}> what does not fit */
    public function puzzles(): array
    {
        return (new ContradictionDesk($this->opened->keeper(), $this->beliefs,
            $this->opened->shelf))->open([CoreId::of($this->animal->id)]);
    }

    /** How far its odds may be off; empty where they are exact. */
    public function off(): string
    {
        return OddsWords::off($this->beliefs->kin->errorOf($this->animal->id));
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
}
