<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Inference\Graph\Factor;
use Destino\Probability\Rational;

/** Counted eggs in the graph of a family, and who is the sire of a clutch. */
final readonly class EggFactors
{
    public function __construct(private FamilyModel $model, private Wiring $wiring) {}

    /** The variable of which male is the sire of this one; null where only one can be. */
    public function sireVariable(Member $member): ?int
    {
        $batch = $this->wiring->known("sire {$member->batch}");
        if ($batch === null || ! $this->model->isMixed()) {
            return $batch;
        }
        $name = "own sire {$member->id}";
        if ($this->wiring->known($name) === null) {
            $places = $this->model->sires[$member->batch];
            $own = $this->wiring->variable($name, count($places));
            $table = [];
            foreach ([...array_keys($places), null] as $of) {
                foreach ($places as $i => $place) {
                    $table[] = $of === null ? $member->weights[$place] : ($of === $i ? Rational::one() : Rational::zero());
                }
            }
            $this->wiring->factors[] = Factor::dense([$batch, $own], $table);
        }

        return $this->wiring->known($name);
    }

    public function addEggs(Member $eggs): void
    {
        $evidence = new EggEvidence($this->model, $eggs);
        $count = $eggs->brood->count ?? 0;
        $most = $this->model->isMixed() && $this->wiring->known("sire {$eggs->batch}") !== null ? 1
            : Sharings::fits(count($evidence->classes));
        for ($part = 0; $count > 0; $part++) {
            $this->addSome($eggs, $evidence, min($count, $most), $part);
            $count -= $most;
        }
    }

    private function addSome(Member $eggs, EggEvidence $evidence, int $count, int $part): void
    {
        $part = new Member(
            "{$eggs->id} part {$part}", null, $eggs->sires, $eggs->weights, $eggs->dam, $eggs->batch, $eggs->litter, null,
            $eggs->brood,
        );
        $choice = $this->sireVariable($part);
        $sharings = Sharings::of($count, count($evidence->classes));
        $classes = null;
        if (count($sharings) > 1) {
            $classes = $this->wiring->variable("classes {$part->id}", count($sharings));
            $this->wiring->factors[] = Factor::dense(
                [$classes],
                array_map(
                    static fn (array $shares): Rational => Sharings::ways($shares, array_column($evidence->classes, 'weight')),
                    $sharings,
                ),
            );
        }
        foreach (array_keys($this->model->spaces) as $i) {
            if (! $evidence->speaksOf($i) || $this->model->hypothesis->frees($eggs->id, $this->model->spaces[$i])) {
                continue;
            }
            foreach ($this->model->sires[$eggs->batch] ?? array_keys($eggs->sires) as $option => $place) {
                $this->wiring->factors[] = $this->wiring->under(
                    $choice, $option,
                    [...($classes === null ? [] : [$classes]), ...$this->wiring->scope($i, [$eggs->sires[$place], (string) $eggs->dam])],
                    $this->products($evidence, $i, $sharings, $eggs->sires[$place], (string) $eggs->dam),
                );
            }
        }
        if ($classes === null && ! $evidence->classes[0]['weight']->isOne()) {
            $this->wiring->factors[] = new Factor([], [$evidence->classes[0]['weight']->power(max(0, $count))]);
        }
    }

    /**
     * @param list<list<int>> $sharings
     * @return list<Rational> by sharing and genotypes of the parents
     */
    private function products(EggEvidence $evidence, int $i, array $sharings, string $sire, string $dam): array
    {
        $table = [];
        foreach ($sharings as $shares) {
            foreach (array_keys($this->model->domains[$i][$sire]) as $ofSire) {
                foreach (array_keys($this->model->domains[$i][$dam]) as $ofDam) {
                    $table[] = Sharings::product($evidence, $i, $shares, $ofSire, $ofDam);
                }
            }
        }

        return $table;
    }
}
