<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Play\Hatchery;
use Destino\Planning\Play\Outcome;

/**
 * A project played out season by season under a keeper's policy, with the real constraints: age, one clutch a season for a
 * female and not every season, clutch sizes, failures, the sex of each hatchling. The run knows the true genotypes; the
 * keeper sees phenotypes, and what clutches say of their parents.
 */
final class Play
{
    private readonly Space $space;

    private readonly Notice $notice;

    private readonly Hatchery $hatchery;

    /**
     * @param list<string> $bought ids of offers that are bought at the start
     * @param list<string> $later ids of offers that are bought in a later season, each if nothing of its sex is as near the target by then
     */
    public function __construct(
        private readonly Law $law, private readonly Keeper $keeper, private readonly array $bought = [], private readonly array $later = [],
    ) {
        $this->space = $law->space;
        $this->notice = new Notice($law);
        $this->hatchery = new Hatchery($law->space);
    }

    public function run(int $runs, int $seed, int $firstRun = 0): Outcome
    {
        $horizon = $this->law->horizon;
        $reached = $stuck = [];
        $eggs = $kept = 0;
        $money = array_fill(0, $horizon + 1, 0.0);
        foreach ($this->courses($runs, $seed, $firstRun) as $course) {
            $eggs += $course->eggs;
            $kept += $course->kept;
            foreach ($course->money as $season => $spent) {
                $money[$season] += $spent;
            }
            if ($course->reached === null) {
                $where = $this->keeper instanceof TellsWhereItHung ? $this->keeper->whereItHung($course) : $course->whereItHung();
                $stuck[$where] = ($stuck[$where] ?? 0) + 1;
            } else {
                $reached[$course->reached] = ($reached[$course->reached] ?? 0) + 1;
            }
        }
        ksort($reached);
        $means = array_map(static fn (float $sum): float => $sum / $runs, $money);

        return new Outcome($runs, $horizon, $reached, $eggs / $runs, $kept / $runs, $means, $stuck);
    }

    /**
     * @return list<int|null> season in which the target was reached (null: never), run by run: what is compared with another
     *     keeper's in the same runs
     */
    public function seasons(int $runs, int $seed, int $firstRun = 0): array
    {
        $seasons = [];
        foreach ($this->courses($runs, $seed, $firstRun) as $course) {
            $seasons[] = $course->reached;
        }

        return $seasons;
    }

    /** @return iterable<Course> */
    private function courses(int $runs, int $seed, int $firstRun): iterable
    {
        for ($run = $firstRun; $run < $firstRun + $runs; $run++) {
            $course = new Course($this->law->horizon);
            $this->play($course, new Streams($seed, $run));
            yield $course;
        }
    }

    /** @return list<Holding> what the keeper starts from */
    public function start(): array
    {
        $animals = [];
        foreach ($this->owned() as $founder) {
            $animals[] = $this->holding($founder);
        }

        return $animals;
    }

    /** @param int $season in which it comes */
    public function holding(Founder $founder, int $season = 1): Holding
    {
        $isMale = $founder->sex === Sex::Male;
        $first = max($founder->from, $season, $this->space->project->assumptions->firstSeason($isMale, $founder->months, $founder->grams));

        return new Holding(
            $founder->id, $this->law->types->of($this->space->looksOf($founder), $isMale), $isMale, $first, false,
            array_values(array_intersect([$founder->id], $this->space->project->pinned)), [$founder->sire, $founder->dam],
        );
    }

    private function play(Course $course, Streams $streams): void
    {
        $project = $this->space->project;
        $animals = $this->start();
        $states = $later = [];
        foreach ($this->owned() as $founder) {
            $states[$founder->id] = $this->genotypeOf($founder, $streams);
            $course->money[0] += $founder->price ?? 0.0;
            if (! $founder->isOffer() && ! $project->sure && $this->hatchery->meets($states[$founder->id], $founder->sex)) {
                $course->found[$founder->sex->value]++;
            }
        }
        if ($project->isEnough($course->found)) {
            $course->finish(0);

            return;
        }
        for ($season = 1; $season <= $this->law->horizon; $season++) {
            foreach ($season > 1 ? $this->boughtIn($season, $animals, $later) : [] as $founder) {
                $later[$founder->id] = (float) $founder->price;
                $states[$founder->id] = $this->genotypeOf($founder, $streams);
                $animals[] = $this->holding($founder, $season);
                $course->pay($season, (float) $founder->price);
            }
            $situation = new Situation($season, $animals, $course->found);
            $young = [];
            foreach ($this->keeper->mate($situation) as [$sire, $dam]) {
                $course->mated($season);
                array_push($young, ...$this->hatched($course, $sire, $dam, $season, $states, $streams));
            }
            if ($project->isEnough($course->found)) {
                $course->spend($season, $project->assumptions->yearlyKeep * count($animals));
                $course->finish($season);

                return;
            }
            $kept = $this->keeper->keep($situation, $young);
            $isNew = static fn (Holding $one): bool => $one->from > $season && in_array($one, $young, true);
            $course->kept += count(array_filter($kept, $isNew));
            $animals = [...array_values(array_filter($animals, static fn (Holding $one): bool => ! $one->isYoung)), ...$kept];
            $states = array_intersect_key($states, array_flip(array_map(static fn (Holding $one): string => $one->id, $animals)));
            $course->spend($season, $project->assumptions->yearlyKeep * count($animals));
        }
        $course->last = $animals;
    }

    /** @return list<int> its true genotype in this run, by group */
    private function genotypeOf(Founder $founder, Streams $streams): array
    {
        return $this->hatchery->genotypeOf($founder, static fn (): float => $streams->number("founder {$founder->id}"));
    }

    /**
     * @param array<string, list<int>> $states true genotypes by animal; those of the young are added
     * @return list<Holding> what hatched of a mating, as the keeper knows it
     */
    private function hatched(Course $course, Holding $sire, Holding $dam, int $season, array &$states, Streams $streams): array
    {
        $assumptions = $this->space->project->assumptions;
        $chance = $streams->of("clutch {$season} {$dam->id}");
        if (Hatchery::draw($chance) >= $assumptions->layRate) {
            return [];
        }
        $sire->clutches++;
        $dam->clutches++;
        $eggs = $this->hatchery->eggs($chance);
        $course->eggs += $eggs;
        $young = $signs = [];
        $share = $this->space->project->soundOf($sire->id, $dam->id);
        $sound = $share < 1.0 ? $streams->of("sound {$season} {$dam->id}") : null;
        $pins = array_values(array_unique([...$sire->pins, ...$dam->pins]));
        $counts = $this->notice->counts($sire, $dam, $pins);
        for ($egg = 0; $egg < $eggs; $egg++) {
            $hatchling = $this->hatchery->hatchling($states[$sire->id], $states[$dam->id], $chance);
            if ($hatchling === null) {
                continue;
            }
            [$own, $sex] = $hatchling;
            $isSound = $sound === null || Hatchery::draw($sound) < $share; // drawn apart, so that nothing else moves
            if ($isSound && $counts && $this->hatchery->meets($own, $sex)) {
                $course->found[$sex->value]++;
            }
            [$looks, $seen] = $this->notice->known($sire, $dam, $own);
            $signs[] = $seen;
            $id = Young::name($sire->id, $dam->id, $season, $egg);
            $states[$id] = $own;
            $isMale = $sex === Sex::Male;
            $ready = $season + ($isMale ? $this->law->maleDelay : $this->law->femaleDelay);
            if ($isSound && $looks !== null && $ready <= $this->law->horizon) {
                $young[] = new Holding($id, $this->law->types->young($looks, $isMale), $isMale, $ready, true, $pins, [$sire->id, $dam->id]);
            }
        }
        $this->notice->learn($sire, $dam, $signs);

        return $young;
    }

    /**
     * What is bought in this season: offers that stand nearer to the target than any animal of their sex, as far as the budget goes.
     *
     * @param list<Holding> $animals
     * @param array<string, float> $already prices of what was bought so, by id
     * @return list<Founder>
     */
    private function boughtIn(int $season, array $animals, array $already): array
    {
        $found = [];
        foreach ($this->later === [] ? [] : $this->space->project->founders as $founder) {
            if (! in_array($founder->id, $this->later, true) || isset($already[$founder->id]) || $founder->from > $season) {
                continue;
            }
            $holding = $this->holding($founder, $season);
            $promise = $this->law->types->promise($holding->type);
            $isAsNear = fn (Holding $one): bool => $one->isMale === $holding->isMale
                && $this->law->types->promise($one->type) >= $promise - 1e-9;
            if ($holding->from <= $this->law->horizon
                && array_filter([...$animals, ...array_map($this->holding(...), $found)], $isAsNear) === []
                && $founder->price <= $this->left($already, $found) + 1e-9) {
                $found[] = $founder;
            }
        }

        return $found;
    }

    /**
     * @param array<string, float> $already prices by id
     * @param list<Founder> $found
     * @return float what is left of the budget
     */
    private function left(array $already, array $found): float
    {
        $spent = array_sum($already);
        foreach ([...$this->owned(), ...$found] as $founder) {
            $spent += $founder->price ?? 0.0;
        }

        return ($this->space->project->budget ?? INF) - $spent;
    }

    /** @return list<Founder> those that are owned, and what is bought */
    private function owned(): array
    {
        return array_values(
            array_filter(
                $this->space->project->founders,
                fn (Founder $founder): bool => ! $founder->isOffer() || in_array($founder->id, $this->bought, true),
            ),
        );
    }
}
