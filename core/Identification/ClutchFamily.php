<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Sex;
use Destino\Inference\Descent\Descent;
use Destino\Inference\Evidence\Brood;
use Destino\Inference\Evidence\Hearing;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\Penetrance;
use Destino\Inference\Evidence\Resemblance;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\Testimony;
use Destino\Inference\Family\Bundles;
use Destino\Inference\Family\Context;
use Destino\Inference\Family\Family;
use Destino\Inference\Family\FamilyModel;
use Destino\Inference\Family\FamilySolver;
use Destino\Inference\Family\Hypothesis;
use Destino\Inference\Family\Joints;
use Destino\Inference\Family\TiedGroups;
use Destino\Inference\Faults\ErrorRates;
use Destino\Inference\Graph\TooWide;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Probability\Number;
use Destino\Probability\Probability;
use Destino\Probability\Rational;

/**
 * A clutch as a family of its own: the parents are founders with what is believed of them, one male sired the whole clutch, and what was
 * seen of the young is evidence as in any family.
 *
 * @phpstan-import-type YoungPart from Young
 * @phpstan-import-type JointTable from Joints
 */
final class ClutchFamily
{
    private const CLUTCH = 'clutch';

    private readonly Context $context;

    private readonly Hypothesis $given;

    private readonly Bundles $bundles;

    private readonly Eye $eye;

    /** @var list<FamilyModel> */
    private readonly array $models;

    /** @param array<string, Cue> $cues by key */
    public function __construct(
        private readonly Catalogue $catalogue, private readonly Clutch $clutch, private readonly array $cues, ErrorRates $rates,
        private readonly CueChances $chances,
    ) {
        $this->eye = new Eye($catalogue);
        $animals = $this->animals();
        $byId = array_column(array_map(static fn (Individual $one): array => [$one->id, $one], $animals), 1, 0);
        $this->context = new Context(
            $catalogue, new Hearing($catalogue), new Descent($catalogue, $byId), $rates->withoutMixing(), static fn (): array => [],
        );
        $this->given = Hypothesis::of(Family::of($animals, $this->broods()), [], $catalogue);
        $spaces = array_map(
            static fn (array $groups): GenotypeSpace => new GenotypeSpace($catalogue, $groups),
            TiedGroups::of($catalogue, $this->given->family, []),
        );
        $this->bundles = Bundles::of($this->context, $this->given, $spaces);
        $this->models = array_map(
            fn (array $bundle): FamilyModel => $this->bundles->model($this->context, $this->given, $bundle), $this->bundles->all,
        );
    }

    /** Whether all that was seen can be together. */
    public function isPossible(): bool
    {
        foreach ($this->models as $model) {
            if (FamilySolver::logEvidence($model) === -INF) {
                return false;
            }
        }

        return true;
    }

    /**
     * What follows of a clutch that can be.
     *
     * @param bool $inFractions whether a small clutch is worked out in fractions
     * @return array{list<Rational|float>, array<string, Young>} P(each male is the sire), and the hatchlings by id
     *
     * @throws IdentificationError where too much is tied together
     */
    public function solved(bool $inFractions): array
    {
        $ids = array_map(static fn (Hatchling $one): string => self::hatchling($one->id), $this->clutch->hatchlings);
        try {
            $joints = array_map(
                static fn (FamilyModel $model): Joints => Joints::of($model, 'clutch '.self::CLUTCH, $ids, $inFractions), $this->models,
            );
        } catch (TooWide) {
            throw IdentificationError::tooMuch(Joints::MOST);
        }
        $sires = $this->sires($joints);
        $young = [];
        foreach ($this->clutch->hatchlings as $one) {
            $young[$one->id] = $this->youngOf(self::hatchling($one->id), $joints, $sires);
        }

        return [$sires, $young];
    }

    /**
     * @param list<Joints> $joints by bundle; where there are several males, all spaces are in one
     * @return list<Rational|float>
     */
    private function sires(array $joints): array
    {
        $weights = array_column($this->clutch->sires, 'weight');
        $places = $joints[0]->places ?? [];
        if (count($weights) === 1 || $places === []) {
            return array_values(Number::shares($weights));
        }

        return array_values(array_replace(array_fill(0, count($weights), Rational::zero()), array_combine($places, $joints[0]->sires)));
    }

    /**
     * @param list<Joints> $joints by bundle
     * @param list<Rational|float> $sires
     */
    private function youngOf(string $id, array $joints, array $sires): Young
    {
        $parts = $fixed = [];
        foreach ($this->models as $m => $model) {
            foreach ($model->spaces as $i => $space) {
                if (count($model->domains[$i][$id]) === 1) {
                    $fixed += $space->formsOf(array_key_first($model->domains[$i][$id]));
                }
            }
            foreach ($joints[$m]->of[$id] as $joint) {
                $parts[] = $this->part($model, $joint, $joints[$m]->places, count($sires));
            }
        }
        $order = array_flip(array_keys($this->catalogue->loci));
        uksort($fixed, static fn (string $a, string $b): int => $order[$a] <=> $order[$b]);

        return new Young($sires, $parts, $fixed);
    }

    /**
     * States of equal forms are one, whichever parent gave what.
     *
     * @param JointTable $joint
     * @param list<int> $places of the males that are possible; empty where there is but one
     * @return YoungPart
     */
    private function part(FamilyModel $model, array $joint, array $places, int $sires): array
    {
        $forms = $sexes = $sums = [];
        foreach ($joint['numbers'] as $entry => $numbers) {
            [$own, $sex] = [[], null];
            foreach ($numbers as $k => $number) {
                $space = $model->spaces[$joint['spaces'][$k]];
                $own += $space->formsOf($number);
                $sex ??= $space->sexOf($number);
            }
            $key = ($sex->value ?? '').' '.Young::keyOf($own);
            [$forms[$key], $sexes[$key]] = [$own, $sex];
            foreach ($joint['chances'] as $s => $chances) {
                $sums[$s][$key] = isset($sums[$s][$key]) ? Number::plus($sums[$s][$key], $chances[$entry]) : $chances[$entry];
            }
        }
        $chances = array_fill(0, $sires, array_fill(0, count($forms), 0.0));
        foreach ($sums as $s => $own) {
            foreach ($places === [] ? array_keys($chances) : [$places[$s]] as $place) {
                $chances[$place] = array_values(Number::shares($own));
            }
        }

        return ['forms' => array_values($forms), 'sexes' => array_values($sexes), 'chances' => $chances];
    }

    /** @return list<Individual> */
    private function animals(): array
    {
        $animals = [self::parent('dam', Sex::Female, $this->clutch->dam)];
        foreach ($this->clutch->sires as $sire) {
            if ($sire['belief'] !== null) {
                $animals[] = self::parent(self::sire($sire['id']), Sex::Male, $sire['belief']);
            }
        }
        foreach ($this->clutch->hatchlings as $one) {
            $animals[] = $this->hatched($one);
        }

        return $animals;
    }

    private function hatched(Hatchling $one): Individual
    {
        $id = self::hatchling($one->id);
        $recorded = $one->recorded ?? (new Individual($id, $one->sex, null, 'dam', $one->testimonies, $one->saw, clutch: self::CLUTCH))
            ->seenSo($this->read($one), $this->resemblances($one));
        $males = $this->malesOf($one);
        $sires = array_map(self::idOf(...), $males);
        $isSure = count($males) === 1;
        $young = new Individual(
            $id, $recorded->sex, $isSure ? $sires[0] : null, 'dam', $recorded->testimonies, $recorded->saw, $isSure ? [] : $sires,
            $isSure ? [] : array_column($males, 'weight'), $recorded->clutch === null ? null : self::CLUTCH,
        );

        return $young->seenSo($recorded->penetrances, $recorded->resemblances);
    }

    /**
     * @return list<array{id: string, belief: Belief|null, weight: Rational}> males of the clutch that may be its sire, as it is
     *     recorded
     */
    private function malesOf(Hatchling $one): array
    {
        if ($one->recorded === null) {
            return $this->clutch->sires;
        }
        $ids = $one->recorded->sires();
        $males = array_filter(
            $this->clutch->sires, static fn (array $sire): bool => in_array($sire['belief'] === null ? null : $sire['id'], $ids, true),
        );

        return $males === [] ? $this->clutch->sires : array_values($males);
    }

    /** @param array{id: string, belief: Belief|null, weight: Rational} $sire */
    private static function idOf(array $sire): ?string
    {
        return $sire['belief'] === null ? null : self::sire($sire['id']);
    }

    private static function sire(string $id): string
    {
        return "sire {$id}";
    }

    private static function parent(string $id, Sex $sex, Belief $belief): Individual
    {
        return new Individual($id, $sex, null, null, [new Testimony($id, $belief, Source::Own, Probability::one(), false)]);
    }

    private static function hatchling(string $id): string
    {
        return "young {$id}";
    }

    /** @return list<Penetrance> */
    private function read(Hatchling $one): array
    {
        $read = [];
        foreach ($one->cues as $key => $state) {
            $read[$key] = ['cue' => $this->cues[$key], 'state' => $state, 'days' => $one->days];
        }

        return CuesRead::observed($this->chances, $read);
    }

    /** @return list<Resemblance> */
    private function resemblances(Hatchling $one): array
    {
        $all = [];
        foreach ($this->clutch->alike as $i => $set) {
            if (count($set['hatchlings']) > 1 && in_array($one->id, $set['hatchlings'], true)) {
                $all[] = new Resemblance("alike {$i}", new LookPenetrance($this->eye, $set['target']));
            }
        }

        return $all;
    }

    /** @return list<Brood> */
    private function broods(): array
    {
        $broods = [];
        $sires = array_map(self::idOf(...), $this->clutch->sires);
        foreach ($this->clutch->counts as $i => $count) {
            $broods[] = new Brood(
                "count {$i}", $sires, 'dam', $count['saw'], $count['count'], $count['dead'] ?? false,
                array_column($this->clutch->sires, 'weight'), self::CLUTCH,
            );
        }

        return $broods;
    }
}
