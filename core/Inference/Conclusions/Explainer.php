<?php

declare(strict_types=1);

namespace Destino\Inference\Conclusions;

use Closure;
use Destino\Genome\LinkageGroup;
use Destino\Genome\State;
use Destino\Inference\Descent\Steps;
use Destino\Inference\Family\Bundles;
use Destino\Inference\Family\Context;
use Destino\Inference\Family\FamilyModel;
use Destino\Inference\Family\FamilyPosterior;
use Destino\Inference\Family\FamilySolver;
use Destino\Inference\Family\Hypothesis;
use Destino\Inference\Family\Solved;
use Destino\Inference\Faults\Contradiction;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Faults\Misidentified;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Probability\Distribution;
use Destino\Probability\NearestFraction;
use Destino\Probability\Rational;

/**
 * Works out a family at its bundles of groups; where the records exclude each other, sets of up to two faults for each
 * matter are weighed over all loci and all young of the clutch, P(faults) · P(evidence | faults), several matters
 * together, and the answer is the mixture over them.
 * @phpstan-type Combination array{faults: list<Fault>, log: float, chosen: list<list<Fault>>}
 */
final class Explainer
{
    /** Explanations less likely than this are left out of the mixture. */
    private const SLIGHT = 1e-3;

    /** Combinations that are mixed. */
    private const MOST_MIXED = 12;

    /** Members of a family up to which all of it is weighed; of larger ones, the part around the matter. */
    private const WHOLE = 60;

    /** Steps of parent and young around a matter that are weighed. */
    private const AROUND = 4;

    /**
     * @param list<Fault> $decided what the keeper holds to be wrong
     * @param Closure(list<LinkageGroup>): GenotypeSpace $space
     */
    public function __construct(
        private readonly Context $context,
        private readonly Hypothesis $given,
        private readonly Bundles $bundles,
        private readonly array $decided,
        private readonly Closure $space,
    ) {}

    /**
     * What a bundle says by itself.
     *
     * @param list<GenotypeSpace> $bundle
     * @return array<string, FamilyPosterior> by space
     */
    public function plain(array $bundle): array
    {
        $model = FamilyModel::of($this->context, $this->given, $bundle, $this->bundles->hiding->from($bundle));
        $solved = FamilySolver::solve($model);
        $isDisputed = (! $solved->isPossible() && $solved->isExact)
            || $model->doubted !== []
            || ($solved->isPossible() && (new Suspicion($model, $solved))->matters() !== []);
        $posteriors = [];
        foreach ($bundle as $i => $space) {
            $posteriors[$space->key] = new FamilyPosterior(
                $space->groupKeys(), $solved->isPossible() ? $this->named($space, $solved->of[$i]) : [],
                $i === 0 ? $solved->logEvidence : 0.0, $solved->isExact, $solved->error, [], [], $isDisputed,
            );
        }

        return $posteriors;
    }

    /**
     * @param array<string, FamilyPosterior> $plain by space
     * @return array<string, FamilyPosterior> by space, with what is wrong explained
     */
    public function explained(array $plain): array
    {
        $matters = (new Offences($this->context, $this->given, $this->bundles, $this->decided))->matters();
        $unlikely = [];
        foreach ($this->bundles->all as $bundle) {
            $model = FamilyModel::of($this->context, $this->given, $bundle, $this->bundles->hiding->from($bundle));
            foreach (
                $matters === [] && $model->offender === null
                    ? (new Suspicion($model, FamilySolver::solve($model)))->matters()
                    : [] as [$matter, $chance]
            ) {
                $unlikely[] = new Contradiction(
                    $matter->subjects[0], $matter->loci, $this->weighing([$matter])->explanations(0), $chance,
                    array_slice($matter->subjects, 1),
                );
            }
        }
        if ($matters === []) {
            return $this->with($plain, [], $unlikely);
        }
        $weighing = $this->weighing($matters);
        $contradictions = [];
        foreach ($matters as $i => $matter) {
            $contradictions[] = new Contradiction(
                $matter->subjects[0], $matter->loci, $weighing->explanations($i), null, array_slice($matter->subjects, 1),
            );
        }

        return $this->with($this->mixed($plain, $weighing, $matters), $contradictions, $unlikely);
    }

    /** @param non-empty-list<Matter> $matters */
    private function weighing(array $matters): Weighing
    {
        $family = $this->given->family;
        if (count($family->members) + count($family->eggs) > self::WHOLE) {
            $family = $family->around(
                array_merge(
                    ...array_map(
                        static fn (Matter $matter): array => array_merge(
                            $matter->subjects,
                            array_map(static fn ($member): string => $member->id, $family->litter($matter->litter)),
                        ),
                        $matters,
                    ),
                ),
                self::AROUND,
            );
        }

        return new Weighing($this->context, $family, $this->bundles, $this->decided, $matters, $this->space);
    }

    /**
     * @param array<string, FamilyPosterior> $posteriors
     * @param list<Contradiction> $contradictions
     * @param list<Contradiction> $unlikely
     * @return array<string, FamilyPosterior> each matter stands with the first space that it is about
     */
    private function with(array $posteriors, array $contradictions, array $unlikely): array
    {
        $of = [];
        foreach ([...$contradictions, ...$unlikely] as $one) {
            $key = (string) array_key_first($posteriors);
            foreach ($this->bundles->all as $bundle) {
                foreach ($bundle as $space) {
                    $key = $one->loci !== [] && $space->holds($one->loci[0]) ? $space->key : $key;
                }
            }
            $of[$key][] = $one;
        }
        foreach ($posteriors as $key => $one) {
            $own = $of[$key] ?? [];
            $posteriors[$key] = new FamilyPosterior($one->groups, $one->of, $one->logEvidence, $one->isExact, $one->error,
                array_values(array_filter($own, static fn (Contradiction $matter): bool => $matter->chance === null)),
                array_values(array_filter($own, static fn (Contradiction $matter): bool => $matter->chance !== null)), true);
        }

        return $posteriors;
    }

    /**
     * @param array<string, FamilyPosterior> $plain
     * @param list<Matter> $matters
     * @return array<string, FamilyPosterior>
     */
    private function mixed(array $plain, Weighing $weighing, array $matters): array
    {
        $combinations = $weighing->combinations($matters);
        $most = max([-INF, ...array_column($combinations, 'log')]);
        $likely = array_filter($combinations, static fn (array $one): bool => exp($one['log'] - $most) >= self::SLIGHT);
        usort($likely, static fn (array $a, array $b): int => $b['log'] <=> $a['log']);
        foreach ($this->bundles->all as $bundle) {
            $mixture = new Mixture;
            foreach (array_slice($likely, 0, self::MOST_MIXED) as $one) {
                $mixture->add(
                    $this->solved($bundle, $one['faults'], $weighing->insisted($one['chosen'])),
                    NearestFraction::of(exp($one['log'] - $most), 1e-6),
                );
                if (! $mixture->isExact) {
                    break; // a family that has to be sampled is sampled once, for the likeliest explanation
                }
            }
            if ($mixture->isEmpty()) { // more is wrong than was looked for: what is at odds is not heard
                $mixture->add(
                    $this->solved($bundle, array_merge(...array_map(fn (Matter $matter): array => $this->freed($matter), $matters))),
                    Rational::one(),
                );
            }
            foreach ($mixture->isEmpty() ? [] : $bundle as $i => $space) {
                $before = $plain[$space->key];
                $plain[$space->key] = new FamilyPosterior(
                    $before->groups, $this->named($space, $mixture->of($i)), $before->logEvidence, $mixture->isExact,
                    $mixture->error, [],
                );
            }
        }

        return $plain;
    }

    /** @return list<Fault> */
    private function freed(Matter $matter): array
    {
        return array_map(static fn (string $id): Fault => new Misidentified($id), $matter->subjects);
    }

    /**
     * @param list<GenotypeSpace> $bundle
     * @param list<Fault> $faults
     * @param list<string> $insisted
     */
    private function solved(array $bundle, array $faults, array $insisted = []): Solved
    {
        $hypothesis = Hypothesis::of($this->given->family, [...$this->decided, ...$faults], $this->context->catalogue, $insisted);
        $model = FamilyModel::of($this->context, $hypothesis, $bundle, $this->bundles->hiding->from($bundle));

        return FamilySolver::solve($model);
    }

    /**
     * @param array<string, array<int, Rational>> $of by member and number of the genotype
     * @return array<string, Distribution<State>> of those that are recorded
     */
    private function named(GenotypeSpace $space, array $of): array
    {
        $named = [];
        foreach ($this->given->family->ids() as $id) {
            $weighted = [];
            foreach ($of[$id] ?? [] as $number => $chance) {
                $weighted[] = [$space->keyOf($number), $space->state($number), $chance];
            }
            if ($weighted !== []) {
                $named[$id] = Distribution::ofWeighted($weighted);
            }
        }

        return $named;
    }
}
