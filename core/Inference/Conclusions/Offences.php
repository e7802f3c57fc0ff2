<?php

declare(strict_types=1);

namespace Destino\Inference\Conclusions;

use Destino\Genome\Sex;
use Destino\Inference\Family\Bundles;
use Destino\Inference\Family\Context;
use Destino\Inference\Family\FamilyModel;
use Destino\Inference\Family\FamilySolver;
use Destino\Inference\Family\Hypothesis;
use Destino\Inference\Family\Member;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Faults\Misidentified;
use Destino\Inference\Inheritance\GenotypeSpace;

/** Finds who is at odds with the rest of a family: animals and eggs without whose looks and statements the records agree. */
final class Offences
{
    /** Subjects that are looked for in one family. */
    private const MOST = 12;

    /** @var array<string, array<string, true>> loci at odds by subject */
    private array $loci = [];

    /** @var array<string, true> subjects of whom only a statement that is not sure is at odds */
    private array $doubted = [];

    /** @param list<Fault> $decided */
    public function __construct(
        private readonly Context $context,
        private readonly Hypothesis $given,
        private readonly Bundles $bundles,
        private readonly array $decided,
    ) {}

    /** @return list<Matter> by clutch */
    public function matters(): array
    {
        foreach ($this->bundles->all as $bundle) {
            $this->look($bundle);
        }
        $byLitter = [];
        foreach (array_keys($this->loci) as $id) {
            $byLitter[$this->given->family->member($id)->litter ?? ''][] = $id;
        }
        $matters = [];
        foreach ($byLitter as $litter => $subjects) {
            $loci = array_map(strval(...), array_keys(array_merge(...array_map(fn (string $id): array => $this->loci[$id], $subjects))));
            $matters[] = Matter::about(
                $this->context, $this->given, $litter, $subjects, $loci,
                array_diff($subjects, array_map(strval(...), array_keys($this->doubted))) === [],
            );
        }

        return $matters;
    }

    /** @param list<GenotypeSpace> $bundle */
    private function look(array $bundle): void
    {
        $freed = [];
        while (count($this->loci) < self::MOST) {
            $model = $this->model($bundle, $freed);
            if ($model->offender === null && FamilySolver::logEvidence($model) > -INF) {
                foreach (array_keys($model->doubted) as $id) {
                    $this->doubted[$id] = true;
                    $this->note($id, $bundle, null);
                }

                return;
            }
            $offender = $model->offender ?? $this->hidden($bundle, $freed);
            if ($offender === null || isset($freed[$offender])) {
                return;
            }
            unset($this->doubted[$offender]);
            $freed[$offender] = true;
            $this->note($offender, $bundle, $model->offender === null ? null : $model->offendsAt);
        }
    }

    /** @param list<GenotypeSpace> $bundle */
    private function note(string $id, array $bundle, ?int $at): void
    {
        $member = $this->given->family->member($id);
        foreach ($at === null ? $bundle : [$bundle[$at]] as $space) {
            $this->loci[$id] = ($this->loci[$id] ?? []) + array_fill_keys($this->lociAtOdds($member, $space), true);
        }
    }

    /** @return list<string> loci of a space that anything recorded of a member names; all of them where it names none */
    private function lociAtOdds(?Member $member, GenotypeSpace $space): array
    {
        $saw = $member?->animal->saw ?? $member?->brood?->saw;
        $named = $saw?->loci() ?? [];
        foreach ($member?->animal->testimonies ?? [] as $testimony) {
            $named = [
                ...$named, ...array_map(strval(...), array_keys($this->context->hearing->naming->loci($space->groups, $testimony))),
                ...array_map(fn (string $allele): string => $this->context->catalogue->allele($allele)->locus, $testimony->absent),
            ];
        }
        $named = array_values(array_intersect($space->loci(), $named));

        return match (true) {
            $named !== [] => $named,
            $saw?->sex !== null && $space->holdsSex() => [Sex::LOCUS],
            default => $space->loci(),
        };
    }

    /**
     * Where no single relationship excludes anything, but all of them together do: the last one without which those before
     * agree, found by halving.
     *
     * @param list<GenotypeSpace> $bundle
     * @param array<string, true> $freed
     */
    private function hidden(array $bundle, array $freed): ?string
    {
        $family = $this->given->family;
        $subjects = array_values(
            array_diff(
                array_map(strval(...), [...$family->ids(), ...array_keys($family->eggs)]),
                array_map(strval(...), array_keys($freed)),
            ),
        );
        $agrees = function (int $count) use ($bundle, $freed, $subjects): bool {
            $model = $this->model($bundle, $freed + array_fill_keys(array_slice($subjects, $count), true));

            return $model->offender === null && FamilySolver::logEvidence($model) > -INF;
        };
        if (! $agrees(0)) {
            return null;
        }
        [$low, $high] = [0, count($subjects)];
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            $agrees($middle) ? $low = $middle : $high = $middle;
        }

        return $subjects[$high - 1] ?? null;
    }

    /**
     * @param list<GenotypeSpace> $bundle
     * @param array<string, true> $freed
     */
    private function model(array $bundle, array $freed): FamilyModel
    {
        $faults = array_map(static fn (string $id): Fault => new Misidentified($id), array_keys($freed));

        return $this->bundles->model(
            $this->context, Hypothesis::of($this->given->family, [...$this->decided, ...$faults], $this->context->catalogue), $bundle,
        );
    }
}
