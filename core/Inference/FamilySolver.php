<?php

declare(strict_types=1);

namespace Destino\Inference;

use Closure;
use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Inference\Graph\Doubles;
use Destino\Inference\Graph\Elimination;
use Destino\Inference\Graph\Exact;
use Destino\Inference\Graph\Marginals;
use Destino\Inference\Graph\Order;
use Destino\Inference\Graph\Sampler;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;

/**
 * Works out a family: exactly in rationals where it is small, exactly in scaled doubles where it is larger, by a sampler
 * beyond that. Where the records exclude what hatched, single faults are weighed: P(fault) · P(evidence | fault), and the
 * answer is the mixture over them.
 *
 * @phpstan-type State array<string, Diplotype>
 */
final class FamilySolver
{
    /** Entries of all tables up to which rationals are used. */
    private const RATIONAL = 6000;

    /** Entries of the largest table up to which an answer is exact: about 16 MB of doubles. */
    public const WIDEST = 2_000_000;

    /** Contradictions that are looked for in one family. */
    private const MOST = 6;

    /** Explanations less likely than this are left out of the mixture. */
    private const SLIGHT = 1e-3;

    /**
     * @param Closure(list<Fault>): FamilyModel $model
     * @param list<Individual> $animals
     * @param list<Brood> $broods
     * @param list<LinkageGroup> $groups
     */
    public function __construct(private readonly Closure $model, private readonly Catalogue $catalogue, private readonly array $animals, private readonly array $broods, private readonly array $groups, private readonly ErrorRates $rates) {}

    public function solve(): FamilyPosterior
    {
        $model = ($this->model)([]);
        $marginals = $model->offender === null ? $this->marginals($model) : new Marginals([], -INF);
        if ($model->offender === null && $marginals->isPossible()) {
            return new FamilyPosterior($this->keys(), $this->named($model, $marginals), $marginals->logEvidence, $marginals->isExact, $marginals->error, []);
        }

        if (! $marginals->isExact) { // a sampler that found no beginning proves nothing: statements and parents alone are left
            return new FamilyPosterior($this->keys(), [], 0.0, false, 1.0, []);
        }

        return $this->explained($model);
    }

    private function explained(FamilyModel $model): FamilyPosterior
    {
        $offenders = $this->offenders($model);
        $contradictions = [];
        $assumed = [];
        foreach ($offenders as $offender) {
            $others = array_values(array_filter($offenders, static fn (string $one): bool => $one !== $offender));
            $explanations = $this->explanations($offender, array_map(static fn (string $one): Fault => new Fault(FaultKind::Misidentified, $one), $others));
            $contradictions[] = new Contradiction($offender, $this->lociAtOdds($offender), $explanations);
            $assumed[$offender] = $explanations[0]->fault ?? new Fault(FaultKind::Misidentified, $offender);
        }
        $mixture = count($offenders) === 1 && $contradictions[0]->explanations !== [] ? array_filter($contradictions[0]->explanations, static fn (Explanation $one): bool => $one->odds >= self::SLIGHT) : [];

        return $this->mixed($mixture === [] ? [new Explanation(new Fault(FaultKind::Misidentified, ''), 1.0)] : array_values($mixture), $mixture === [] ? array_values($assumed) : [], $contradictions);
    }

    /**
     * @param non-empty-list<Explanation> $explanations
     * @param list<Fault> $assumed beside them
     * @param list<Contradiction> $contradictions
     */
    private function mixed(array $explanations, array $assumed, array $contradictions): FamilyPosterior
    {
        $sums = [];
        $isExact = true;
        $error = 0.0;
        $total = Rational::zero();
        foreach ($explanations as $i => $explanation) {
            if ($i > 0 && ! $isExact) {
                break; // a family that has to be sampled is sampled once, for the likeliest explanation
            }
            $model = ($this->model)([...$assumed, ...($explanation->fault->subject === '' ? [] : [$explanation->fault])]);
            if ($model->offender !== null) {
                continue;
            }
            $marginals = $this->marginals($model);
            if (! $marginals->isPossible()) {
                continue; // more is wrong than was looked for: statements and parents alone are left
            }
            $weight = Rational::nearest($explanation->odds, 5e-4); // rates that are assumed deserve no more digits
            $total = $total->plus($weight);
            [$isExact, $error] = [$isExact && $marginals->isExact, max($error, $marginals->error)];
            foreach ($this->named($model, $marginals) as $id => $distribution) {
                foreach ($distribution->entries() as $key => [$state, $chance]) {
                    $sums[$id][$key] = [$state, isset($sums[$id][$key]) ? $sums[$id][$key][1]->plus($chance->times($weight)) : $chance->times($weight)];
                }
            }
        }
        $of = [];
        foreach ($sums as $id => $states) {
            $of[$id] = Distribution::ofWeighted(array_map(static fn (string $key, array $entry): array => [$key, $entry[0], $entry[1]->dividedBy($total)], array_map(strval(...), array_keys($states)), array_values($states)));
        }

        return new FamilyPosterior($this->keys(), $of, -INF, $isExact, $error, $contradictions);
    }

    /** @return list<string> animals and broods that cannot be, found one after the other */
    private function offenders(FamilyModel $model): array
    {
        $offenders = [];
        while (count($offenders) < self::MOST) {
            $offender = $model->offender ?? $this->hiddenOffender($offenders);
            if ($offender === null || in_array($offender, $offenders, true)) {
                break;
            }
            $offenders[] = $offender;
            $model = ($this->model)(array_map(static fn (string $one): Fault => new Fault(FaultKind::Misidentified, $one), $offenders));
            if ($model->offender === null && $this->logEvidence($model) > -INF) {
                break;
            }
        }

        return $offenders;
    }

    /**
     * Where no single relationship excludes anything, but all of them together do: the youngest without which they agree.
     *
     * @param list<string> $known
     */
    private function hiddenOffender(array $known): ?string
    {
        $candidates = [...array_map(static fn (Brood $brood): string => $brood->id, $this->broods), ...array_reverse(array_map(static fn (Individual $animal): string => $animal->id, $this->animals))];
        foreach ($candidates as $id) {
            $model = ($this->model)(array_map(static fn (string $one): Fault => new Fault(FaultKind::Misidentified, $one), [...$known, $id]));
            if ($model->offender === null && $this->logEvidence($model) > -INF) {
                return $id;
            }
        }

        return null;
    }

    /**
     * @param list<Fault> $others taken for granted meanwhile
     * @return list<Explanation>
     */
    private function explanations(string $offender, array $others): array
    {
        $weights = [];
        foreach ($this->candidates($offender) as [$fault, $prior]) {
            $model = ($this->model)([...$others, $fault]);
            $log = $model->offender === null ? $this->logEvidence($model) : -INF;
            if ($log > -INF) {
                $weights[] = [$fault, $log + log($prior)];
            }
        }
        if ($weights === []) {
            return [];
        }
        $most = max(array_column($weights, 1));
        $sum = array_sum(array_map(static fn (array $one): float => exp($one[1] - $most), $weights));
        $explanations = array_map(static fn (array $one): Explanation => new Explanation($one[0], exp($one[1] - $most) / $sum), $weights);
        usort($explanations, static fn (Explanation $a, Explanation $b): int => $b->odds <=> $a->odds);

        return $explanations;
    }

    /** @return list<array{Fault, float}> faults that might explain it, each with its prior */
    private function candidates(string $offender): array
    {
        $alleles = $this->allelesOf($offender);
        $here = array_merge([], ...array_map(fn (string $locus): array => $this->catalogue->locus($locus)->alleles, $this->lociAtOdds($offender)));
        $faults = [[new Fault(FaultKind::Misidentified, $offender, $here), $this->rates->misidentified->toFloat()]];
        $animal = $this->animal($offender);
        if ($animal !== null && ! $animal->isFounder()) {
            $faults[] = [new Fault(FaultKind::OtherSire, $offender), $this->rates->otherSire->toFloat()];
            foreach ($alleles === [] ? [] : [$alleles] as $all) {
                $faults[] = [new Fault(FaultKind::Mutation, $offender, $all), 2 * $this->rates->mutation->toFloat()];
                $faults[] = [new Fault(FaultKind::Misnamed, $offender, $all), $this->rates->misnamed->toFloat()];
            }
        }
        foreach ($this->foundersOf($offender) as $founder) {
            foreach ($alleles as $allele) {
                $faults[] = [new Fault(FaultKind::Unrecorded, $founder, [$allele]), $this->rates->unrecorded->toFloat()];
            }
            foreach ($this->allelesOf($founder) as $allele) {
                $faults[] = [new Fault(FaultKind::Misnamed, $founder, [$allele]), $this->rates->misnamed->toFloat()];
            }
        }

        return $faults;
    }

    private function animal(string $id): ?Individual
    {
        foreach ($this->animals as $animal) {
            if ($animal->id === $id) {
                return $animal;
            }
        }

        return null;
    }

    /** @return list<string> founders behind an animal or a brood, the nearest first */
    private function foundersOf(string $id): array
    {
        $animal = $this->animal($id);
        $next = $animal === null ? [] : [...$animal->sires(), $animal->dam];
        foreach ($this->broods as $brood) {
            $next = $brood->id === $id ? [...$brood->sires, $brood->dam] : $next;
        }
        $founders = [];
        while ($next !== []) {
            $parent = array_shift($next);
            $animal = $parent === null ? null : $this->animal($parent);
            if ($animal === null) {
                continue;
            }
            if ($animal->isFounder()) {
                $founders[$animal->id] = true;
            } else {
                $next = [...$next, ...$animal->sires(), $animal->dam];
            }
        }

        return array_map(strval(...), array_keys($founders));
    }

    /** @return list<string> alleles of the groups that are said of an animal or seen in a brood */
    private function allelesOf(string $id): array
    {
        $alleles = [];
        foreach ($this->animal($id)->testimonies ?? [] as $testimony) {
            foreach ($this->groups as $group) {
                foreach ($testimony->says->factorOf($group)->states->entries() as [$state]) {
                    $alleles += array_flip(array_merge(...$state[$group->key]->haplotypes));
                }
            }
        }
        $saws = [$this->animal($id)?->saw, ...array_map(static fn (Brood $brood): ?\Destino\Notation\Target => $brood->id === $id ? $brood->saw : null, $this->broods)];
        $loci = array_merge(...array_map(static fn (LinkageGroup $group): array => $group->loci, $this->groups));
        foreach (array_filter($saws) as $saw) {
            foreach ($saw->conditions as $condition) {
                $alleles += in_array($condition->locus(), $loci, true) ? array_flip($condition->wantedAlleles()) : [];
            }
        }
        unset($alleles[Allele::WILD], $alleles[Sex::X], $alleles[Sex::Y]);

        return array_map(strval(...), array_keys($alleles));
    }

    /** @return list<string> */
    private function lociAtOdds(string $offender): array
    {
        $loci = array_values(array_unique(array_map(fn (string $allele): string => $this->catalogue->allele($allele)->locus, $this->allelesOf($offender))));

        return $loci !== [] ? $loci : array_values(array_diff(array_merge(...array_map(static fn (LinkageGroup $group): array => $group->loci, $this->groups)), [Sex::LOCUS]));
    }

    private function logEvidence(FamilyModel $model): float
    {
        [$sizes, $factors, $order] = $this->graph($model, $model->silent());

        return $order->largest > self::WIDEST ? 0.0 : (new Elimination($sizes, $factors, $order, new Doubles))->logEvidence();
    }

    /**
     * Where the whole is too wide, animals that say nothing of others are left out first and follow from their parents,
     * whose kinship is then not taken into account; where it still is, a sampler stands in.
     */
    private function marginals(FamilyModel $model): Marginals
    {
        [$sizes, $factors, $order] = $this->graph($model);
        if ($order->largest <= self::WIDEST) {
            return $order->size <= self::RATIONAL && count($sizes) <= 60 ? (new Elimination($sizes, $factors, $order, new Exact))->run() : (new Elimination($sizes, $factors, $order, new Doubles))->run();
        }
        $silent = $model->silent();
        [$sizes, $factors, $order] = $this->graph($model, $silent);
        $core = $order->largest <= self::WIDEST ? (new Elimination($sizes, $factors, $order, new Doubles))->run() : (new Sampler($sizes, $factors))->run();
        if (! $core->isPossible()) {
            return $core;
        }
        $of = [];
        foreach ($model->domains() as $id => $domain) {
            $of[$id] = count($domain) === 1 ? [Rational::one()] : [];
        }
        foreach ($model->variables($silent) as $number => $id) {
            $of[$id] = $core->of[$number];
        }
        foreach ($silent as $id) {
            $of[$id] = (new Doubles)->shares(array_map(static fn (Rational $one): float => $one->toFloat(), $model->fromParents($id, $of))) ?? [];
        }

        return new Marginals(array_map(static fn (string $id): array => $of[$id], $model->variables()), $core->logEvidence, false, $core->error);
    }

    /**
     * @param list<string> $without
     * @return array{array<int, int>, list<Graph\Factor>, Order}
     */
    private function graph(FamilyModel $model, array $without = []): array
    {
        $domains = $model->domains();
        $sizes = array_map(static fn (string $id): int => count($domains[$id]), $model->variables($without));
        $factors = $model->factors($without);

        return [$sizes, $factors, Order::of($sizes, array_map(static fn (Graph\Factor $factor): array => $factor->scope, $factors))];
    }

    /** @return array<string, Distribution<State>> */
    private function named(FamilyModel $model, Marginals $marginals): array
    {
        $number = array_flip($model->variables());
        $of = [];
        foreach ($model->domains() as $id => $domain) {
            $entries = array_values($domain);
            $weighted = [];
            foreach (array_keys($domain) as $i => $key) {
                $weighted[] = [$key, $entries[$i][0], isset($number[$id]) ? $marginals->of[$number[$id]][$i] : Rational::one()];
            }
            $of[$id] = Distribution::ofWeighted($weighted);
        }

        return $of;
    }

    /** @return list<string> */
    private function keys(): array
    {
        return array_map(static fn (LinkageGroup $group): string => $group->key, $this->groups);
    }
}
