<?php

declare(strict_types=1);

namespace App\Projects;

use App\Collection\Opened;
use App\Models\Animal;
use App\Models\Clutch;
use Destino\DestinoError;
use Destino\Genome\Sex;
use Destino\Probability\Luck;
use Destino\Probability\LuckTogether;
use Destino\Probability\Rational;
use Illuminate\Support\Collection;

/**
 * What a season gave against what was to be expected of it: eggs, sexes, and hits by pairing and in all.
 *
 * @phpstan-import-type LuckRow from LuckSoFar
 */
class SeasonReckoning
{
    /** @var Collection<int, Clutch> */
    public readonly Collection $clutches;

    /** @var list<LuckRow> each pairing once, by the first target it can do something for */
    public readonly array $rows;

    public readonly ?string $error;

    /** @var list<string> the last seasons of which clutches are recorded, and this one */
    public readonly array $seasons;

    /** @param string $typed a target in place of those of the projects, or empty */
    public function __construct(public readonly string $season, public readonly string $typed, private readonly Opened $opened)
    {
        $all = $opened->keeper()->clutches()->with('dam', 'sires.animal', 'counts', 'hatchlings')->get();
        $this->seasons = array_values($all->map(fn (Clutch $clutch): string => $clutch->season())->push($season)->filter()
            ->unique()->sortDesc()->take(6)->all());
        $this->clutches = $all->filter(fn (Clutch $clutch): bool => $clutch->season() === $season)->values();
        $rows = [];
        $error = null;
        $targets = trim($typed) === '' ? $opened->keeper()->projects()->orderBy('id')->pluck('target')->all() : [trim($typed)];
        foreach ($targets as $target) {
            try {
                $read = $opened->shelf->targetsWithChoices()->read((string) $target);
                $luck = new LuckSoFar($read, array_values($this->clutches->all()), $opened->beliefs(), $opened->shelf);
                foreach ($luck->rows() as $row) {
                    $rows[$row['key']] ??= $row;
                }
            } catch (DestinoError $fault) {
                $error = trim($typed) === '' ? null : $fault->getMessage(); // a project's own page says what is wrong with its target
            }
        }
        [$this->rows, $this->error] = [array_values($rows), $error];
    }

    public function inAll(): LuckTogether
    {
        return new LuckTogether(array_map(fn (array $row): Luck => $row['luck'], $this->rows));
    }

    /** Clutches whose pairing stands in no row: nothing of a target to be expected, or nothing told of the young. */
    public function silent(): int
    {
        $told = array_column($this->rows, 'key');
        $key = fn (Clutch $clutch): string => ($clutch->sires->count() === 1 ? $clutch->sires[0]?->animal_id : '').":{$clutch->dam_id}";

        return $this->clutches
            ->filter(fn (Clutch $clutch): bool => $clutch->hatched !== null && ! in_array($key($clutch), $told, true))->count();
    }

    /** @return array{laid: int, infertile: int, clutches: int, hatched: int, of: int} of: eggs of clutches with counted young */
    public function eggs(): array
    {
        $done = $this->clutches->filter(fn (Clutch $clutch): bool => $clutch->hatched !== null && $clutch->eggs_good !== null);

        return [
            'laid' => (int) $this->clutches->sum('eggs_good'),
            'infertile' => (int) $this->clutches->sum('eggs_infertile'),
            'clutches' => $this->clutches->filter(fn (Clutch $clutch): bool => ($clutch->laid_on ?? $clutch->hatched_on) !== null)->count(),
            'hatched' => (int) $done->sum('hatched'), 'of' => (int) $done->sum('eggs_good'),
        ];
    }

    /** @return array{males: int, females: int, open: int, luck: Luck|null} of the young kept as animals, and so chosen */
    public function sexes(): array
    {
        $sexes = $this->clutches->flatMap(fn (Clutch $clutch): Collection => $clutch->hatchlings)
            ->map(fn (Animal $young): ?Sex => $young->sex);
        $males = $sexes->filter(fn (?Sex $sex): bool => $sex === Sex::Male)->count();
        $females = $sexes->filter(fn (?Sex $sex): bool => $sex === Sex::Female)->count();

        return [
            'males' => $males, 'females' => $females, 'open' => $sexes->count() - $males - $females,
            'luck' => $males + $females === 0 ? null : new Luck(Rational::of(1, 2), $males + $females, $females),
        ];
    }
}
