<?php

declare(strict_types=1);

namespace App\Projects;

use App\Collection\CoreId;
use App\Collection\Opened;
use App\Models\Clutch;
use App\Models\Project as ProjectRecord;
use Destino\Planning\Given\Project;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Policy\Policy;
use Destino\Planning\Weigh\RoadNotTaken;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;

/** Past seasons played again for a project, with the animals that were there then and what is known of them today. */
final readonly class LookingBack
{
    /** Seasons that are looked back on. */
    private const SEASONS = 3;

    public function __construct(private Opened $opened) {}

    /**
     * @param Project $project as it is planned now
     * @return list<array{season: int, sire: string, dam: string, instead: string, sooner: float, error: float}> the last seasons first;
     *     those in which no other pair would have brought it much sooner are left out
     */
    public function of(ProjectRecord $record, Project $project, float $effort, int $seed): array
    {
        $found = [];
        foreach ($this->seasons($record) as $season => $clutches) {
            $made = [];
            foreach ($clutches as $clutch) {
                foreach ($clutch->sires as $sire) {
                    $sire->animal_id === null || $made[] = [CoreId::of($sire->animal_id), CoreId::of($clutch->dam_id)];
                }
            }
            $then = $project->withFounders((new Founders($this->opened))->asOf($record, Carbon::create($season - 1, 12, 1)));
            $policy = new Policy($this->opened->shelf->catalogue(), $then, new Space($this->opened->shelf->catalogue(), $then), $effort);
            if ($made === [] || $policy->leastSeasons($then->horizon) === null) {
                continue;
            }
            $other = RoadNotTaken::of($policy, $made, $seed);
            $other === null || $found[] = [
                'season' => $season, 'sire' => $other->sire, 'dam' => $other->dam, 'instead' => $other->instead,
                'sooner' => round($other->sooner, 2), 'error' => round($other->error, 2),
            ];
        }

        return $found;
    }

    /** @return Collection<int, Collection<int, Clutch>> clutches of the seasons that are over, by season, the last first */
    private function seasons(ProjectRecord $record): Collection
    {
        $now = (int) Carbon::today()->addMonth()->format('Y'); // from December on the season of the next year begins

        return $record->keeper->clutches()->with('sires')->get()->toBase()
            ->groupBy(fn (Clutch $clutch): int => (int) $clutch->season())
            ->filter(fn (Collection $of, int $season): bool => $season > 0 && $season < $now)
            ->sortKeysDesc()->take(self::SEASONS);
    }
}
