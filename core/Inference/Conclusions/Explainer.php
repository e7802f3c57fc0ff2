<?php

declare(strict_types=1);

namespace Destino\Inference\Conclusions;

use Closure;
use Destino\Genome\LinkageGroup;
use Destino\Inference\Descent\Steps;
use Destino\Inference\Family\Bundles;
use Destino\Inference\Family\Context;
use Destino\Inference\Family\FamilyPosterior;
use Destino\Inference\Family\FamilySolver;
use Destino\Inference\Family\Hypothesis;
use Destino\Inference\Faults\Contradiction;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Inheritance\GenotypeSpace;

/**
 * Works out a family at its bundles of groups; where the records exclude each other, sets of up to two faults for each
 * matter are weighed over all loci and all young of the clutch, P(faults) · P(evidence | faults), several matters
 * together, and the answer is the mixture over them.
 * @phpstan-type Combination array{faults: list<Fault>, log: float, chosen: list<list<Fault>>}
 */
final class Explainer
{
    /** Members of a family up to which all of it is weighed; of larger ones, the part around the matter. */
    private const WHOLE = 60;

    /** Steps of parent and young around a matter that are weighed. */
    private const AROUND = 4;

    private readonly Mixing $mixing;

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
    ) {
        $this->mixing = new Mixing($context, $given, $bundles, $decided);
    }

    /**
     * What a bundle says by itself.
     *
     * @param list<GenotypeSpace> $bundle
     * @return array<string, FamilyPosterior> by space
     */
    public function plain(array $bundle): array
    {
        $model = $this->bundles->model($this->context, $this->given, $bundle);
        $solved = FamilySolver::solve($model);
        $isDisputed = (! $solved->isPossible() && $solved->isExact)
            || $model->doubted !== []
            || ($solved->isPossible() && (new Suspicion($model, $solved))->matters() !== []);
        $posteriors = [];
        foreach ($bundle as $i => $space) {
            $posteriors[$space->key] = new FamilyPosterior(
                $space->groupKeys(), $solved->isPossible() ? $this->mixing->named($space, $solved->of[$i]) : [],
                $i === 0 ? $solved->logEvidence : 0.0, $solved->isExact, $solved->error, [], [], $isDisputed, $solved->errors,
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
            $model = $this->bundles->model($this->context, $this->given, $bundle);
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

        return $this->with($this->mixing->mixed($plain, $weighing, $matters), $contradictions, $unlikely);
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
                array_values(array_filter($own, static fn (Contradiction $matter): bool => $matter->chance !== null)), true, $one->errors);
        }

        return $posteriors;
    }
}
