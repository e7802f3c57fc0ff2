<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

/** Takes genotypes out of a family's model that relatives exclude, until nothing more falls. */
final readonly class Trimming
{
    public function __construct(private FamilyModel $model) {}

    public function run(): void
    {
        $members = array_reverse(
            array_filter($this->model->hypothesis->family->members, static fn (Member $member): bool => ! $member->isFounder()),
        );
        do {
            $isSmaller = false;
            foreach (array_keys($this->model->spaces) as $i) {
                foreach ($members as $member) {
                    if ($this->isWorthTrimming($member, $i)) {
                        $isSmaller = $this->trimAround($member, $i) || $isSmaller;
                        if ($this->model->offender !== null) {
                            return;
                        }
                    }
                }
            }
        } while ($isSmaller);
    }

    private function isWorthTrimming(Member $member, int $i): bool
    {
        foreach ([$member->id, ...$member->parents()] as $one) {
            if (count($this->model->domains[$i][$one]) > 1) {
                return true;
            }
        }

        return false;
    }

    private function trimAround(Member $member, int $i): bool
    {
        $own = $this->model->domains[$i][$member->id];
        $left = [$member->id => [], (string) $member->dam => []];
        $sires = [];
        foreach ($this->model->sires[$member->batch] ?? array_keys($member->sires) as $place) {
            $sire = $member->sires[$place];
            $left[$sire] ??= [];
            foreach ($this->model->domains[$i][$sire] as $sireNumber => $_) {
                foreach ($this->model->domains[$i][(string) $member->dam] as $damNumber => $_) {
                    $young = array_intersect_key($this->model->young($member, $i, $sireNumber, $damNumber), $own);
                    if ($young !== []) {
                        $left[$member->id] += $young;
                        $left[$sire][$sireNumber] = $left[(string) $member->dam][$damNumber] = true;
                        $sires[$place] = true;
                    }
                }
            }
        }
        if (isset($this->model->sires[$member->batch]) && ! $this->model->isMixed()) {
            $this->model->sires[$member->batch] = array_keys($sires);
        }
        $isSmaller = false;
        foreach ([$member->id, $member->dam, count($member->sires) === 1 ? $member->sires[0] : null] as $one) {
            if ($one !== null && $this->narrowed($one, $i, $left[$one])) {
                if ($this->model->domains[$i][$one] === []) {
                    [$this->model->offender, $this->model->offendsAt] = [$member->id, $i];

                    return false;
                }
                $isSmaller = true;
            }
        }

        return $isSmaller;
    }

    /** @param array<int, mixed> $left genotypes that one may still have, by number */
    private function narrowed(string $id, int $i, array $left): bool
    {
        $before = count($this->model->domains[$i][$id]);
        $this->model->domains[$i][$id] = array_intersect_key($this->model->domains[$i][$id], $left);
        $isSmaller = count($this->model->domains[$i][$id]) < $before;
        if ($isSmaller) {
            $this->model->trimmed[$i][$id] = true;
        }

        return $isSmaller;
    }
}
