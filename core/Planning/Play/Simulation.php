<?php

declare(strict_types=1);

namespace Destino\Planning\Play;

use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Phenotypes\GroupTable;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Search\Route;
use Destino\Planning\Search\RouteStep;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Plays a plan season by season with the real constraints: age, one clutch a season for a female and not every season, a
 * male for a few females, clutch sizes, failures, the sex of each hatchling. The keeper sees looks and never genotypes;
 * an uncertain founder has one true genotype in a run; animals whose young showed nothing are passed over for those that
 * may still carry it. Each run has a stream of chance of its own, so that runs can be shared out and add up the same.
 */
final class Simulation
{
    /** @var array<string, RouteStep> every cross that the keeper may make, the nearest to the target first */
    private array $steps = [];

    /** @var array<string, array<string, int>> by step, group and what hides: number of the look by what is seen */
    private array $seen = [];

    /** @var array<string, list<int>> looks of the animals by the key of their node */
    private array $looks = [];

    private bool $hides = false;

    /** @var array<string, string> what the keys of a step's young end with, where plans trace founders */
    private array $lineage = [];

    /** @var list<array{string, Founder, list<array{list<int>, float}>}> key of the node, the animal, its possible genotypes */
    private array $founders = [];

    /** @var array<int, float> rising chances by the number of eggs */
    private array $clutch = [];

    private Randomizer $chance;

    /** @param list<Route> $routes the first is the plan; more of them are open to luck (adaptive play) */
    public function __construct(private readonly Space $space, private readonly array $routes)
    {
        $this->chance = new Randomizer(new Mt19937(0));
        foreach ($routes as $route) {
            foreach (array_reverse($route->steps) as $step) {
                $this->steps["{$step->key} {$step->sire} {$step->dam}"] ??= $step;
            }
        }
        $sum = 0.0;
        foreach ($space->project->assumptions->clutchLaw() as $eggs => $weight) {
            $this->clutch[$eggs] = $sum += $weight;
        }
        foreach ($space->groups as $table) {
            $this->hides = $this->hides || $table->canHide;
        }
        $this->gather();
        foreach ($this->founders as [$key, $founder]) {
            $this->looks[$key] = $space->looksOf($founder);
        }
        foreach ($this->steps as $id => $step) {
            $this->looks[$step->key] ??= $step->looks;
            $this->lineage[$id] = (string) strstr($step->key, ' of ');
        }
    }

    public function run(int $runs, int $seed, int $firstRun = 0): Outcome
    {
        $horizon = $this->space->project->horizon;
        $reached = $stuck = [];
        $eggs = $kept = 0;
        $money = array_fill(0, $horizon + 1, 0.0);
        for ($run = $firstRun; $run < $firstRun + $runs; $run++) {
            $this->chance = new Randomizer(new Mt19937(($seed * 1_000_003 + $run) & 0x7FFFFFFF));
            [$season, $runEggs, $runKept, $runMoney, $where] = $this->play($horizon);
            $eggs += $runEggs;
            $kept += $runKept;
            foreach ($runMoney as $at => $spent) {
                $money[$at] += $spent;
            }
            if ($season === null) {
                $stuck[$where] = ($stuck[$where] ?? 0) + 1;
            } else {
                $reached[$season] = ($reached[$season] ?? 0) + 1;
            }
        }
        ksort($reached);

        return new Outcome(
            $runs, $horizon, $reached, $eggs / $runs, $kept / $runs,
            array_map(static fn (float $sum): float => $sum / $runs, $money), $stuck,
        );
    }

    /**
     * One run.
     *
     * @return array{int|null, int, int, array<int, float>, string} season of the target, eggs, animals kept, money by season, where it hung
     */
    private function play(int $horizon): array
    {
        $project = $this->space->project;
        [$animals, $found] = $this->start();
        $spent = array_sum(array_map(static fn (Founder $founder): float => $founder->price ?? 0.0, $this->routes[0]->purchases ?? []));
        $money = [0 => 0.0];
        $eggs = $kept = 0;
        $bred = [];
        if ($this->isEnough($found)) {
            return [0, 0, 0, array_fill(0, $horizon + 1, 0.0), ''];
        }
        for ($season = 1; $season <= $horizon; $season++) {
            foreach ($animals as $key => $group) {
                foreach ($group as $i => $animal) {
                    $animal->mates = 0;
                    if ($animal->out !== null && $animal->out <= $season) {
                        unset($group[$i]);
                        $animals[$key] = array_values($group);
                    }
                }
            }
            $young = [];
            foreach ($this->steps as $id => $step) {
                if (! $step->isLast && count($animals[$step->key] ?? []) >= $step->keep) {
                    continue;
                }
                foreach ($this->pairs($animals, $step, $season) as [$male, $female]) {
                    $bred[$id] = true;
                    $male->mates++;
                    $female->mates++;
                    if ($this->next() >= $project->assumptions->layRate) {
                        continue;
                    }
                    [$laid, $hatchlings] = $this->clutch($male->states, $female->states);
                    $eggs += $laid;
                    $hits = 0;
                    foreach ($this->sound($hatchlings, $male, $female) as [$states, $sex]) {
                        if ((! $project->sure || $step->isLast) && $this->meets($states, $sex)) {
                            $found[$sex->value]++;
                        }
                        $key = $this->keyOf($id, $states, $sex);
                        $hits += $key === $step->key || ($step->isLast && $this->meets($states, $sex)) ? 1 : 0;
                        $young[$key][] = [$states, $sex];
                    }
                    if ($hatchlings !== [] && $hits === 0) {
                        $male->misses += count($hatchlings);
                        $female->misses += count($hatchlings);
                    }
                }
            }
            foreach ($this->steps as $step) {
                foreach ($step->isLast ? [] : $young[$step->key] ?? [] as [$states, $sex]) {
                    if (count($animals[$step->key] ?? []) >= $step->keep || ($project->tubs !== null && $kept >= $project->tubs)) {
                        break;
                    }
                    $animals[$step->key][] = $this->grown(
                        $states, $step->looks, $season + $project->assumptions->seasonsToGrow($sex === Sex::Male),
                    );
                    $kept++;
                }
            }
            $spent += $project->assumptions->yearlyKeep * array_sum(array_map(count(...), $animals));
            $money[$season] = $spent;
            if ($this->isEnough($found)) {
                return [$season, $eggs, $kept, $money + array_fill($season, $horizon - $season + 1, $spent), ''];
            }
        }

        return [null, $eggs, $kept, $money, $this->whereItHung($animals, $bred, $found)];
    }

    /**
     * @return array{array<string, list<PlayedAnimal>>, array{male: int, female: int}} founders with their true genotypes, and
     *     those that meet the target
     */
    private function start(): array
    {
        $animals = [];
        $found = ['male' => 0, 'female' => 0];
        foreach ($this->founders as [$key, $founder, $genotypes]) {
            $states = $genotypes[0][0];
            if (count($genotypes) > 1) {
                $draw = $this->next();
                foreach ($genotypes as [$possible, $upTo]) {
                    $states = $possible;
                    if ($draw < $upTo) {
                        break;
                    }
                }
            }
            $first = max(
                $founder->from,
                $this->space->project->assumptions->firstSeason($founder->sex === Sex::Male, $founder->months, $founder->grams),
            );
            $animals[$key][] = $this->grown($states, $this->looks[$key], $first, $founder->id);
            // what is bought has not hatched here
            if (! $founder->isOffer() && ! $this->space->project->sure && $this->meets($states, $founder->sex)) {
                $found[$founder->sex->value]++;
            }
        }

        return [$animals, $found];
    }

    /**
     * An animal that is about to breed. Where a plan proves first, one that may not be what is hoped for spends a season on
     * a test cross to a visual mate, which shows with 1/2 an egg what it is; found out, it is let go.
     *
     * @param list<int> $states
     * @param list<int> $looks what the keeper knows of it
     */
    private function grown(array $states, array $looks, int $from, string $founder = ''): PlayedAnimal
    {
        if (! $this->space->project->provesFirst) {
            return new PlayedAnimal($states, $from, founder: $founder);
        }
        $isDoubtful = false;
        $isAsHoped = true;
        foreach ($this->space->groups as $i => $table) {
            $isDoubtful = $isDoubtful || count($table->looks[$looks[$i]]) > 1;
            $isAsHoped = $isAsHoped && $table->isAsHoped($looks[$i], $states[$i]);
        }
        if (! $isDoubtful) {
            return new PlayedAnimal($states, $from, founder: $founder);
        }
        $assumptions = $this->space->project->assumptions;
        $misses = $this->next() < $assumptions->layRate ? (1 - $assumptions->survival() / 2) ** $this->eggs() : 1.0;

        return new PlayedAnimal($states, $from + 1, ! $isAsHoped && $this->next() >= $misses ? $from + 1 : null, $founder);
    }

    /**
     * @param list<array{list<int>, Sex}> $hatchlings
     * @return list<array{list<int>, Sex}> those that are sound, where malformed young of the two were seen before
     */
    private function sound(array $hatchlings, PlayedAnimal $male, PlayedAnimal $female): array
    {
        $share = $this->space->project->soundOf($male->founder, $female->founder);

        return $share >= 1.0 ? $hatchlings : array_values(array_filter($hatchlings, fn (): bool => $this->next() < $share));
    }

    private function eggs(): int
    {
        $draw = $this->next();
        $eggs = 0;
        foreach ($this->clutch as $count => $upTo) {
            $eggs = $count;
            if ($draw < $upTo) {
                break;
            }
        }

        return $eggs;
    }

    /**
     * Females that are free and males that can serve them, those first that have not disappointed.
     *
     * @param array<string, list<PlayedAnimal>> $animals
     * @return list<array{PlayedAnimal, PlayedAnimal}>
     */
    private function pairs(array $animals, RouteStep $step, int $season): array
    {
        $males = self::able($animals[$step->sire] ?? [], $season);
        $females = $males === [] ? [] : self::able($animals[$step->dam] ?? [], $season);
        $pairs = [];
        $served = array_fill(0, count($males), 0);
        foreach ($females as $female) {
            if ($female->mates > 0) {
                continue;
            }
            $next = null;
            foreach ($males as $i => $male) { // sons that may differ share the females out
                if (
                    $male->mates + $served[$i] < $this->space->project->assumptions->femalesPerMale
                    && ($next === null || ($step->sires === [] && $served[$i] < $served[$next] && $male->misses <= $males[$next]->misses))
                ) {
                    $next = $i;
                }
            }
            if ($next === null) {
                break;
            }
            $served[$next]++;
            $pairs[] = [$males[$next], $female];
        }

        return $pairs;
    }

    /**
     * @param list<PlayedAnimal> $group
     * @return list<PlayedAnimal> those that have disappointed least first
     */
    private static function able(array $group, int $season): array
    {
        $able = array_values(array_filter($group, static fn (PlayedAnimal $animal): bool => $animal->from <= $season));
        if (count($able) > 1) {
            usort($able, static fn (PlayedAnimal $a, PlayedAnimal $b): int => $a->misses <=> $b->misses);
        }

        return $able;
    }

    /**
     * @param list<int> $sire
     * @param list<int> $dam
     * @return array{int, list<array{list<int>, Sex}>} eggs laid, and what hatched of them
     */
    private function clutch(array $sire, array $dam): array
    {
        $eggs = $this->eggs();
        $survival = $this->space->project->assumptions->survival();
        $hatchlings = [];
        for ($egg = 0; $egg < $eggs; $egg++) {
            if ($this->next() >= $survival) {
                continue;
            }
            $states = [];
            $sex = null;
            foreach ($this->space->groups as $i => $table) {
                $state = $table->draw($sire[$i], $dam[$i], $this->next());
                if ($table->isLethal($state)) {
                    continue 2;
                }
                $states[] = $state;
                $sex ??= $table->sexOf($state);
            }
            $hatchlings[] = [$states, $sex ?? ($this->next() < $this->space->project->assumptions->femaleShare ? Sex::Female : Sex::Male)];
        }

        return [$eggs, $hatchlings];
    }

    /** @param list<int> $states */
    private function meets(array $states, Sex $sex): bool
    {
        if (! $this->space->project->target->acceptsSex($sex)) {
            return false;
        }
        foreach ($states as $i => $state) {
            if (! $this->space->groups[$i]->accepts($state)) {
                return false;
            }
        }

        return true;
    }

    /**
     * What a hatchling is to the keeper, who sees its look: the key of the step that wants such young, if one does.
     *
     * @param list<int> $states
     */
    private function keyOf(string $step, array $states, Sex $sex): string
    {
        $looks = $hiding = [];
        $hidden = '';
        foreach ($states as $i => $state) {
            $table = $this->space->groups[$i];
            $signs = $this->seen["{$step} {$i} {$hidden}"] ??= $this->signs($step, $i, $hiding);
            $look = $signs[$table->seen($state, $hiding)] ?? -1;
            $looks[] = $look;
            if ($this->hides && $look >= 0 && $table->hides($look) !== []) {
                $hiding = [...$hiding, ...$table->hides($look)];
                $hidden .= " {$look}";
            }
        }

        return implode('.', $looks).$sex->value.$this->lineage[$step];
    }

    /** @param array{male: int, female: int} $found */
    private function isEnough(array $found): bool
    {
        $wanted = $this->space->project->wanted;

        return $found['male'] >= $wanted['male']
            && $found['female'] >= $wanted['female']
            && $found['male'] + $found['female'] >= max($wanted['any'], $wanted['male'] + $wanted['female']);
    }

    /**
     * @param array<string, list<PlayedAnimal>> $animals
     * @param array<string, true> $bred
     * @param array{male: int, female: int} $found
     */
    private function whereItHung(array $animals, array $bred, array $found): string
    {
        $route = $this->routes[0] ?? null;
        foreach ($route->steps ?? [] as $step) {
            if ($step->isLast) {
                break;
            }
            if (($animals[$step->key] ?? []) === []) {
                return isset($bred["{$step->key} {$step->sire} {$step->dam}"])
                    ? 'no '.($step->sex->value ?? 'young')." {$step->genes} hatches in time"
                    : "{$step->sireGenes} × {$step->damGenes} is never mated in time";
            }
        }
        $has = $found['male'] + $found['female'] > 0 ? 'the second animal of the target' : 'the target';

        return "the last cross is made and {$has} does not hatch in time";
    }

    /** Founders that the routes use, each with its possible genotypes and their rising chances. */
    private function gather(): void
    {
        $seen = [];
        $bought = [];
        foreach ($this->routes as $i => $route) {
            foreach ($i === 0 ? $route->purchases : [] as $purchase) {
                $bought[$purchase->id] = true;
            }
        }
        foreach ($this->steps as $step) {
            foreach ([[$step->sire, $step->sires], [$step->dam, $step->dams]] as [$key, $founders]) {
                foreach ($founders as $founder) {
                    if (! isset($seen[$founder->id]) && (! $founder->isOffer() || isset($bought[$founder->id]))) {
                        $seen[$founder->id] = true;
                        $this->founders[] = [$key, $founder, $this->genotypes($founder)];
                    }
                }
            }
        }
    }

    /** @return list<array{list<int>, float}> */
    private function genotypes(Founder $founder): array
    {
        $groups = array_map(static fn (GroupTable $table) => $table->group, $this->space->groups);
        $genotypes = [];
        $sum = 0.0;
        foreach ($founder->belief->statesOver($groups) as [$state, $p]) {
            $genotypes[] = [
                array_map(static fn (GroupTable $table): int => $table->number($state->at($table->group)), $this->space->groups),
                $sum += $p->toFloat(),
            ];
        }

        return $genotypes;
    }

    /**
     * What a cross gives at one group, by what is seen.
     *
     * @param list<\Destino\Genome\Mask> $hiding
     * @return array<string, int>
     */
    private function signs(string $id, int $i, array $hiding): array
    {
        $step = $this->steps[$id];
        $table = $this->space->groups[$i];
        $signs = [];
        foreach (
            isset($this->looks[$step->sire], $this->looks[$step->dam])
                ? $table->cross($this->looks[$step->sire][$i], $this->looks[$step->dam][$i], $hiding)
                : [] as [$look]
        ) {
            $signs[$table->seenOfLook($look, $hiding)] = $look;
        }

        return $signs;
    }

    private function next(): float
    {
        return $this->chance->getInt(0, 0x7FFFFFFE) / 0x7FFFFFFF;
    }
}
