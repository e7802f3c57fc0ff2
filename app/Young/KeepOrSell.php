<?php

declare(strict_types=1);

namespace App\Young;

use App\Collection\AnimalCard;
use App\Collection\Opened;
use App\Collection\Statuses;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Enums\Grade;
use App\Models\Enums\Status;
use App\Models\Observation;
use App\Models\Project;
use App\Models\Rack;
use App\Money\Book;
use App\Papers\SaleList;
use App\Projects\Workshop;
use App\Projects\WorthWords;
use Destino\Genome\Inheritance;
use Destino\Genome\Sex;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;

/**
 * The young of a season, and what speaks for keeping or selling each: what it does for the projects, its sex among those that
 * are kept, genes of which there are many already, tubs. The keeper decides.
 *
 * @phpstan-type Row array{animal: Animal, card: AnimalCard, status: Status, keep: list<string>, sell: list<string>, price: string|null,
 *     leans: 'keep'|'sell'|'open'|'ill', ill: list<string>}
 */
class KeepOrSell
{
    /** A gene that more than this share of those held back carry would flood the next generation. */
    private const FLOOD = .6;

    /** Fewer held back than this say nothing of a flood or of a balance. */
    private const FEWEST = 3;

    /** Malformed or ailing to a degree that weighs. */
    private const GRAVE = [Grade::Moderate, Grade::Severe];

    /** @var list<Row> those that lean to be kept first */
    public readonly array $rows;

    /** @var list<string> seasons that have young, the latest first */
    public readonly array $seasons;

    /** @var Collection<int, Animal> kept already: held back, or breeders of this season's young */
    private readonly Collection $held;

    private readonly Book $book;

    public function __construct(public readonly string $season, private readonly Opened $opened)
    {
        $keeper = $opened->keeper();
        $statuses = Statuses::of($keeper);
        $clutches = $keeper->clutches()->with(
            'hatchlings.latestWeight', 'hatchlings.sale', 'hatchlings.observations', 'hatchlings.rack', 'hatchlings.latestStatus', 'dam',
            'sires.animal',
        )->get();
        $this->seasons = array_values($clutches->filter(fn (Clutch $clutch): bool => $clutch->hatchlings->isNotEmpty())
            ->map(fn (Clutch $clutch): string => $clutch->season())->unique()->sortDesc()->all());
        $young = $clutches->filter(
            fn (Clutch $clutch): bool => $clutch->season() === $season,
        )->flatMap(fn (Clutch $clutch) => $clutch->hatchlings)
            ->filter(fn (Animal $one): bool => $statuses->status($one->id)->isHere())->values()->toBase();
        $this->held = $young->filter(fn (Animal $one): bool => $statuses->status($one->id) === Status::HoldBack)->values();
        $this->book = new Book($opened);
        $words = new WorthWords($keeper, new Workshop($opened));
        $rows = array_map(fn (Animal $one): array => $this->row($one, $statuses->status($one->id), $words), $young->all());
        $order = ['keep' => 0, 'open' => 1, 'sell' => 2, 'ill' => 3];
        usort(
            $rows,
            fn (array $a, array $b): int => [
                $order[$a['leans']], -count($a['keep']), $a['animal']->name,
            ] <=> [$order[$b['leans']], -count($b['keep']), $b['animal']->name],
        );
        $this->rows = $rows;
    }

    /**
     * What the keeper has decided comes first, then what the reasons lean to.
     *
     * @return array<string, list<Row>> Keep, Undecided, Sell
     */
    public function columns(): array
    {
        $columns = ['Keep' => [], 'Undecided' => [], 'Sell' => []];
        foreach ($this->rows as $row) {
            $columns[match (true) {
                $row['status'] === Status::HoldBack => 'Keep',
                in_array($row['status'], SaleList::OFFERED, true) => 'Sell',
                $row['leans'] === 'keep' => 'Keep',
                in_array($row['leans'], ['open', 'ill'], true) => 'Undecided', // what is malformed the keeper decides, with a vet
                default => 'Sell',
            }][] = $row;
        }

        return $columns;
    }

    /** @return Row */
    private function row(Animal $animal, Status $status, WorthWords $words): array
    {
        $card = new AnimalCard($animal, $this->opened->beliefs(), $this->opened->shelf->catalogue());
        $keep = array_map(fn (array $one): string => "{$one['project']->name}: {$one['says']}", $words->ofAnimal($animal->id));
        $isWanted = $keep !== [];
        $sell = [];
        $balance = $this->balance($animal->sex);
        $balance === null ?: (
            $balance > 0 ? $keep[] = $this->sexWords($animal->sex, 'few') : $sell[] = $this->sexWords($animal->sex, 'enough')
        );
        foreach ($this->flooding() as $name => $share) {
            if (in_array($name, $this->genes($animal), true)) {
                $sell[] = "{$name} is in ".round(100 * $share).' % of those held back already';
            } elseif ($isWanted) {
                $keep[] = "without {$name}, which most of those held back carry";
            }
        }
        $ill = $this->ill($animal);
        $entry = $this->book->of($animal);

        return [
            'animal' => $animal, 'card' => $card, 'status' => $status, 'keep' => $ill === [] ? $keep : [], 'sell' => $ill === [] ? $sell
                : [], 'ill' => $ill,
            'price' => $entry === null ? null : $this->opened->house->money($entry->low).(
                $entry->high > $entry->low ? ' to '.$this->opened->house->money($entry->high) : ''
            ),
            'leans' => match (true) {
            $ill !== [] => 'ill', $isWanted => 'keep', $keep === [] && $sell !== [] => 'sell', default => 'open',
            },
        ];
    }

    /**
     * What is wrong with it by the newest note of each condition, where it weighs: whether it is kept or sold then is no matter of genes.
     *
     * @return list<string>
     */
    private function ill(Animal $animal): array
    {
        $newest = [];
        foreach ($animal->observations->sortBy(fn (Observation $seen): array => [$seen->on->format('Y-m-d'), $seen->id]) as $seen) {
            $newest[mb_strtolower($seen->condition)] = $seen;
        }
        $grave = array_filter($newest, fn (Observation $seen): bool => in_array($seen->grade, self::GRAVE, true));

        return array_values(array_map(fn (Observation $seen): string =>
            "{$seen->condition}, {$seen->grade->value} on {$seen->on->format('j M Y')}", $grave));
    }

    /** Above 0 where more of the sex are wanted among those held back, below where there are enough; null where it is even. */
    private function balance(?Sex $sex): ?int
    {
        if ($sex === null || $this->held->count() < self::FEWEST) {
            return null;
        }
        $of = $this->held->filter(fn (Animal $one): bool => $one->sex === $sex)->count();
        $share = $of / $this->held->count();

        return $share <= .25 ? 1 : ($share >= .75 ? -1 : null);
    }

    private function sexWords(?Sex $sex, string $what): string
    {
        $of = $this->held->filter(fn (Animal $one): bool => $one->sex === $sex)->count();

        return ($what === 'few' ? 'few' : 'enough').' '.($sex === Sex::Male ? 'males'
            : 'females')." are held back: {$of} of {$this->held->count()}";
    }

    /** @return array<string, float> share of those held back by the name of a gene that shows and that most of them carry */
    private function flooding(): array
    {
        $count = [];
        foreach ($this->held as $one) {
            foreach ($this->genes($one) as $name) {
                $count[$name] = ($count[$name] ?? 0) + 1;
            }
        }
        $all = max(1, $this->held->count());
        $shares = array_map(fn (int $of): float => $of / $all, $count);

        return $this->held->count() < self::FEWEST ? [] : array_filter($shares, fn (float $share): bool => $share > self::FLOOD);
    }

    /** @return list<string> genes that show in one copy, which every animal surely has one of */
    private function genes(Animal $animal): array
    {
        $names = [];
        foreach ((new AnimalCard($animal, $this->opened->beliefs(), $this->opened->shelf->catalogue()))->passesOn() as [$allele, $chance]) {
            if ($allele->inheritance !== Inheritance::Recessive && $chance->toFloat() >= .5) {
                $names[] = $allele->name;
            }
        }

        return $names;
    }

    /** @return list<string> projects whose plan is not made yet, so that nothing is known of what they need */
    public function unplanned(): array
    {
        return array_values($this->opened->keeper()->projects()->with('latestPlan')->get()
            ->filter(fn (Project $project): bool => $project->made()->animals === null)->pluck('name')->all());
    }

    /** "14 of 40 tubs are free." */
    public function tubs(): string
    {
        $racks = $this->opened->keeper()->racks()->withCount('animals')->get();
        $all = (int) $racks->sum(fn (Rack $rack): int => $rack->rows * $rack->columns);
        $free = $all - (int) $racks->sum('animals_count');

        return $all === 0
            ? 'No racks yet, so free tubs are not counted.'
            : "{$free} of {$all} tubs ".($free === 1 ? 'is' : 'are').' free.';
    }

    /** "3 held back: 1 male, 2 females." */
    public function heldWords(): string
    {
        $of = fn (?Sex $sex): int => $this->held->filter(fn (Animal $one): bool => $one->sex === $sex)->count();
        $parts = array_filter([
            $of(Sex::Male) === 0 ? null : $of(Sex::Male).($of(Sex::Male) === 1 ? ' male' : ' males'),
            $of(Sex::Female) === 0 ? null : $of(Sex::Female).($of(Sex::Female) === 1 ? ' female' : ' females'),
            $of(null) === 0 ? null : $of(null).' not sexed',
        ]);

        return $this->held->isEmpty() ? 'No holdbacks yet.' : "{$this->held->count()} held back: ".implode(', ', $parts).'.';
    }

    /** Half a year on, when most that was open can be seen. */
    public function reviewOn(): string
    {
        return Carbon::today()->addMonths(6)->format('Y-m-d');
    }
}
