<?php

declare(strict_types=1);

namespace App\Projects;

use App\Collection\CoreId;
use App\Collection\Opened;
use App\Collection\Statuses;
use App\Models\Animal;
use App\Models\Enums\Status;
use App\Models\Project as ProjectRecord;
use Destino\Genome\Sex;
use Destino\Notation\Printer;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\Project;
use Illuminate\Support\Carbon;

/** What a project starts from: every animal that is here and may be bred, and what is offered to it. */
final readonly class Founders
{
    public function __construct(private Opened $opened) {}

    /** @return list<Founder> owned ones first */
    public function of(ProjectRecord $record): array
    {
        return [...$this->owned($record), ...$this->offers($record)];
    }

    /** @return list<Founder> */
    private function owned(ProjectRecord $record): array
    {
        $keeper = $record->keeper;
        $beliefs = $this->opened->beliefs();
        $statuses = Statuses::of($keeper);
        $founders = [];
        /** @var Animal $animal */
        foreach ($keeper->animals()->with('latestWeight')->whereNotNull('sex')->orderBy('id')->get() as $animal) {
            if (! $statuses->status($animal->id)->isHere() || $animal->sex === null || $animal->hasOpenGenes()) {
                continue;
            }
            $founders[] = new Founder(
                CoreId::of($animal->id), $animal->sex, $beliefs->belief($animal->id), $beliefs->text($animal->id),
                $animal->hatched_on === null ? null : max(0, (int) $animal->hatched_on->diffInMonths(self::pairing())),
                $animal->latestWeight === null || $animal->latestWeight->on->lt(Carbon::today()->subDays(200))
                    ? null
                    : $animal->latestWeight->grams,
                null, $animal->sire_id === null ? null : CoreId::of($animal->sire_id),
                $animal->dam_id === null ? null : CoreId::of($animal->dam_id),
                $statuses->status($animal->id) === Status::Quarantine ? 2 : 1, // out of quarantine by the season after
            );
        }

        return self::related($founders);
    }

    /**
     * Those that were here on a day and had hatched by then, with what is known of them today.
     *
     * @return list<Founder>
     */
    public function asOf(ProjectRecord $record, Carbon $day): array
    {
        $beliefs = $this->opened->beliefs();
        $statuses = Statuses::asOf($record->keeper, $day->format('Y-m-d'));
        $founders = [];
        /** @var Animal $animal */
        foreach ($record->keeper->animals()->whereNotNull('sex')->orderBy('id')->get() as $animal) {
            $isThere = ($animal->hatched_on === null || $animal->hatched_on->lte($day))
                && ($animal->acquired_on === null || $animal->acquired_on->lte($day));
            if ($isThere && $statuses->status($animal->id)->isHere() && $animal->sex !== null && ! $animal->hasOpenGenes()) {
                $founders[] = new Founder(
                    CoreId::of($animal->id), $animal->sex, $beliefs->belief($animal->id), $beliefs->text($animal->id),
                    $animal->hatched_on === null ? null : (int) $animal->hatched_on->diffInMonths($day), null, null,
                    $animal->sire_id === null ? null : CoreId::of($animal->sire_id), $animal->dam_id === null ? null
                        : CoreId::of($animal->dam_id),
                );
            }
        }

        return self::related($founders);
    }

    /**
     * @param list<Founder> $founders
     * @return list<Founder> with parents that are among them only
     */
    private static function related(array $founders): array
    {
        $known = array_flip(array_map(fn (Founder $founder): string => $founder->id, $founders));

        return array_map(
            fn (Founder $one): Founder => new Founder(
                $one->id, $one->sex, $one->belief, $one->genes, $one->months, $one->grams, null,
                isset($known[$one->sire]) ? $one->sire : null, isset($known[$one->dam]) ? $one->dam : null, $one->from,
            ),
            $founders,
        );
    }

    /** The first season whose pairings begin when an offer is to be had. */
    private static function seasonFrom(?string $day): int
    {
        $season = 1;
        while ($day !== null && $season < Project::MOST_SEASONS && self::pairing()->addYears($season - 1)->format('Y-m-d') < $day) {
            $season++;
        }

        return $season;
    }

    /** @return list<Founder> */
    private function offers(ProjectRecord $record): array
    {
        $founders = [];
        foreach ($record->offers as $i => $offer) {
            if (isset($offer['until']) && $offer['until'] < Carbon::today()->format('Y-m-d')) {
                continue; // no longer to be had; the project's page says so
            }
            $sex = Sex::from($offer['sex']);
            $belief = $this->opened->shelf->reader()->read($offer['genes'], $sex)->beliefOrFail();
            $founders[] = new Founder(
                "offer {$i}", $sex, $belief, (new Printer($this->opened->shelf->catalogue()))->belief($belief), $offer['age'],
                null, (float) $offer['price'], from: self::seasonFrom($offer['from'] ?? null),
            );
        }

        return $founders;
    }

    /** The pairing that comes next: in December. */
    private static function pairing(): Carbon
    {
        $today = Carbon::today();

        return $today->month >= 3 && $today->month <= 11 ? Carbon::create($today->year, 12, 1) : $today;
    }
}
