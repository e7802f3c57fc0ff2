<?php

namespace App\Collection;

use App\Care\CareLog;
use App\Catalogue\CatalogueShelf;
use App\Family\DescendantTree;
use App\Family\Family;
use App\Family\PedigreeTree;
use App\House\House;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Observation;
use App\Models\Photo;
use App\Models\Rack;
use App\Models\Statement;
use App\Models\StatusEvent;
use App\Models\User;
use Destino\Genome\Condition;
use Destino\Genome\SchoolChanges;
use Destino\Husbandry\Readiness;
use Destino\Inference\Conflict;
use Destino\Inference\Reason;
use Destino\Notation\Printer;
use Illuminate\Database\Eloquent\Builder;

/** All that the page of an animal shows. */
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

    public function __construct(public readonly Animal $animal, private readonly User $keeper, private readonly CatalogueShelf $shelf, House $house)
    {
        $animal->loadMissing('care', 'latestStatus', 'rack', 'clutch');
        $this->beliefs = Beliefs::of($keeper, $shelf);
        $this->card = $this->cardOf($animal);
        $this->family = Family::of($keeper);
        $this->tree = new PedigreeTree($animal, $this->family, $shelf, $this->beliefs);
        $this->descendants = new DescendantTree($animal, $this->family, $shelf, $this->beliefs);
        $this->log = new CareLog($animal);
        $this->readiness = $this->card->readiness($house);
        $this->racks = array_values($keeper->racks()->get()->all());
        $this->statements = array_values($animal->statements()->get()->all());
    }

    /** @return list<AnimalCard> those of the other sex that are here, by name */
    public function mates(): array
    {
        if ($this->animal->sex === null) {
            return [];
        }
        /** @var list<Animal> $mates */
        $mates = $this->keeper->animals()->with('latestStatus')->where('sex', '!=', $this->animal->sex->value)->orderBy('name')->get()->all();

        return array_map($this->cardOf(...), array_values(array_filter($mates, fn (Animal $mate): bool => $mate->status()->isHere())));
    }

    /** @return list<string> names of conditions to choose from */
    public function knownConditions(): array
    {
        return array_values(array_unique(array_map(fn (Condition $condition): string => $condition->name, $this->shelf->catalogue()->conditions)));
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
        return array_values($this->keeper->clutches()->with('dam', 'sires.animal')
            ->where(fn (Builder $any) => $any->where('dam_id', $this->animal->id)->orWhereHas('sires', fn (Builder $sire) => $sire->where('animal_id', $this->animal->id)))
            ->get()->sortByDesc(fn (Clutch $clutch): string => $clutch->season().$clutch->id)->all());
    }

    /** @return list<array{sides: list<string>, about: string}> */
    public function conflicts(): array
    {
        return array_map(fn (Conflict $conflict): array => [
            'about' => implode(', ', array_map(fn (string $locus): string => $this->shelf->catalogue()->locus($locus)->name, $conflict->loci)),
            'sides' => array_map($this->side(...), $conflict->sides),
        ], $this->beliefs->derived($this->animal->id)->conflicts);
    }

    /**
     * How each locus came to what is believed of it.
     *
     * @return list<array{locus: string, steps: list<array{by: string, text: string}>}>
     */
    public function reasons(): array
    {
        $printer = new Printer($this->shelf->catalogue());
        $loci = [];
        foreach ($this->beliefs->derived($this->animal->id)->reasons as $locus => $reasons) {
            $steps = array_map(fn (Reason $reason): array => ['by' => $this->side($reason->by), 'text' => Printer::text([$printer->locus($locus, $reason->after)])], $reasons);
            $wild = SchoolChanges::pairKey('+', '+');
            if ($reasons !== [] && array_filter($reasons, fn (Reason $reason): bool => ! $reason->after->probabilityOf($wild)->isOne()) !== []) {
                $loci[] = ['locus' => $this->shelf->catalogue()->locus($locus)->name, 'steps' => $steps];
            }
        }

        return $loci;
    }

    /** @return list<string> why a statement cannot be read any more */
    public function faultsOf(Statement $statement): array
    {
        return array_map(fn ($error): string => $error->getMessage(), $this->beliefs->unreadable($this->animal->id)[$statement->id] ?? []);
    }

    private function cardOf(Animal $animal): AnimalCard
    {
        return new AnimalCard($animal, $this->beliefs, $this->shelf->catalogue());
    }

    private function side(string $by): string
    {
        if ($by === Reason::PARENTS) {
            return 'the recorded parents';
        }
        foreach ($this->statements as $statement) {
            if ((string) $statement->id === $by) {
                return "“{$statement->text}”, {$statement->byWhom()}";
            }
        }

        return 'a statement';
    }
}
