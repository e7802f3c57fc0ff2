<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Sex;
use Destino\Inference\Evidence\Brood;
use Destino\Inference\Evidence\Individual;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/** Makes members of animals and eggs, and notes which parents from outside they need. */
final class Enrolment
{
    /** @var array<string, Member> by id */
    public array $outsiders = [];

    public function place(?Individual $animal, ?Brood $brood): Member
    {
        $one = $animal ?? $brood ?? throw new \LogicException('A member is an animal or eggs.');
        $clutch = $one->clutch;
        $batch = $clutch !== null ? "clutch {$clutch}" : "of {$one->id}";
        $recorded = $one instanceof Individual ? $one->sires() : $one->sires;
        if ($animal !== null && $animal->isFounder()) {
            return new Member($animal->id, $animal->sex, [], [], null, $batch, $batch, $animal);
        }
        $sires = $weights = [];
        foreach ($recorded as $i => $sire) {
            $id = $sire ?? Member::OUTSIDE.'sire '.$batch;
            if ($sire === null) {
                $this->outsiders[$id] ??= Member::outsider($id, Sex::Male);
            }
            $sires[] = $id;
            $weights[] = $one->weights[$i] ?? Rational::one();
        }
        $dam = $one->dam ?? Member::OUTSIDE.'dam '.$batch;
        if ($one->dam === null) {
            $this->outsiders[$dam] ??= Member::outsider($dam, Sex::Female);
        }
        $total = Weights::sum($weights);
        $shares = array_map(static fn (Rational $weight): Rational => $weight->dividedBy($total), $weights);
        $litter = $clutch !== null
            ? $batch
            : 'pair '.implode(' ', array_map(static fn (?string $sire): string => $sire ?? '-', $recorded)).' x '
                .($one->dam ?? "- {$one->id}");

        return new Member($one->id, $animal?->sex, $sires, $shares, $dam, $batch, $litter, $animal, $brood);
    }
}
