<?php

declare(strict_types=1);

namespace Destino\Inference\Conclusions;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\Mask;
use Destino\Genome\Sex;
use Destino\Inference\Family\Family;
use Destino\Inference\Family\FounderPrior;
use Destino\Inference\Family\Member;
use Destino\Inference\Faults\ErrorRates;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Faults\FaultKind;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Notation\Target;

/** Single faults that might explain what cannot be about the young of a clutch, each with its prior. */
final readonly class Candidates
{
    /** Generations up to which a gene may have come unseen. */
    private const GENERATIONS = 3;

    private const MOST_FOUNDERS = 6;

    public function __construct(private Catalogue $catalogue, private Family $family, private ErrorRates $rates) {}

    /** @return list<array{Fault, float}> each with its prior */
    public function of(Matter $matter): array
    {
        $faults = [];
        foreach ($matter->subjects as $id) {
            $member = $this->family->member($id);
            if ($member !== null) {
                $faults[] = $this->misidentified($matter, $member);
                foreach ($member->isFounder() ? [] : $matter->wanted as $allele) {
                    $faults[] = [
                        new Fault(FaultKind::Mutation, $id, [$allele]),
                        $this->rates->of(FaultKind::Mutation, $member->brood->count ?? 1),
                    ];
                }
                array_push($faults, ...$this->misnamed($member, $matter->wanted)); // what is not seen is not called anything
            }
        }
        $first = $this->family->member($matter->subjects[0]);
        if ($first !== null && ! $first->isFounder()) {
            $faults[] = [new Fault(FaultKind::OtherSire, $first->id), $this->rates->of(FaultKind::OtherSire)];
            foreach ($this->foundersBehind($first) as $founder) {
                array_push($faults, ...$this->unseen($founder, $matter->wanted), ...$this->misnamed($founder, $matter->named));
            }
        } elseif ($first !== null) {
            array_push($faults, ...$this->unseen($first, $matter->wanted));
        }

        return $faults;
    }

    /** @return array{Fault, float} the young is not what it was taken for, at the loci that are at odds */
    public function misidentified(Matter $matter, Member $member): array
    {
        return [
            new Fault(FaultKind::Misidentified, $member->id, $matter->allelesAtOdds($this->catalogue)),
            $this->rates->of(FaultKind::Misidentified, $member->brood->count ?? 1),
        ];
    }

    /**
     * @param list<string> $alleles
     * @return list<array{Fault, float}>
     */
    private function unseen(Member $founder, array $alleles): array
    {
        $masks = $this->masksOf($founder);
        $faults = [];
        foreach ($founder->isOutsider ? [] : $alleles as $allele) { // what one from outside carries is open already
            $isHidden = array_filter(
                $masks,
                fn (Mask $mask): bool => $mask->locus !== $this->catalogue->allele($allele)->locus && $mask->conceals(
                    $this->catalogue->allele($allele),
                ),
            ) !== [];
            $kind = $isHidden ? FaultKind::Masked : FaultKind::Unrecorded;
            $faults[] = [new Fault($kind, $founder->id, [$allele]), $this->rates->of($kind)];
        }

        return $faults;
    }

    /** @return list<Mask> forms that an animal is stated to have for certain */
    private function masksOf(Member $founder): array
    {
        $sure = [];
        foreach ($founder->animal->testimonies ?? [] as $testimony) {
            foreach ($testimony->says->factors as $factor) {
                $space = new GenotypeSpace(
                    $this->catalogue, array_map(fn (string $key) => $this->catalogue->groups[$key], $factor->groups),
                );
                foreach ($factor->states->count() === 1 && $space->canHide() ? $factor->states->entries() : [] as [$state]) {
                    array_push($sure, ...$space->masksOf($space->number($state)));
                }
            }
        }

        return $sure;
    }

    /**
     * What a member is called and is not: some other gene, another allele of the series, another line of the same name.
     *
     * @param list<string> $alleles that are at odds
     * @return list<array{Fault, float}>
     */
    private function misnamed(Member $member, array $alleles): array
    {
        $faults = [];
        foreach (array_intersect($alleles, $this->allelesSaid($member)) as $allele) {
            $rate = $this->rates->of(FaultKind::Misnamed) ** ($member->brood->count ?? 1); // each egg by itself
            $faults[] = [new Fault(FaultKind::Misnamed, $member->id, [$allele]), $rate];
            $others = $this->takenFor($allele);
            foreach ($others as $other) {
                $faults[] = [new Fault(FaultKind::Misnamed, $member->id, [$allele], $other), $rate / count($others)];
            }
        }

        return $faults;
    }

    /** @return list<string> alleles of the same locus, and those that share a word with it or are mixed up with it by eye */
    private function takenFor(string $allele): array
    {
        $own = $this->catalogue->allele($allele);
        $others = $this->catalogue->locus($own->locus)->alleles;
        foreach ($this->catalogue->sharedNames as $shared) {
            $others = in_array($own->name, $shared->choices, true) ? [...$others, ...$this->named($shared->choices)] : $others;
        }
        foreach ($this->catalogue->lookAlikes as $alike) {
            $others = in_array($allele, $alike->members, true) ? [...$others, ...$alike->members] : $others;
        }

        return array_values(array_diff(array_unique($others), [$allele]));
    }

    /**
     * @param list<string> $names
     * @return list<string>
     */
    private function named(array $names): array
    {
        $keys = [];
        foreach ($this->catalogue->alleles as $allele) {
            if (in_array($allele->name, $names, true)) {
                $keys[] = $allele->key;
            }
        }

        return $keys;
    }

    /** @return list<string> mutant alleles that are said of a member or seen in it */
    private function allelesSaid(Member $member): array
    {
        $alleles = [];
        foreach ($member->animal->testimonies ?? [] as $testimony) {
            foreach ($testimony->says->factors as $factor) {
                foreach ($factor->states->entries() as [$state]) {
                    $alleles += array_flip(
                        array_merge(
                            ...array_map(
                                static fn (Diplotype $one): array => array_merge(...$one->haplotypes),
                                array_values($state->diplotypes),
                            ),
                        ),
                    );
                }
            }
        }
        $saw = $member->animal->saw ?? $member->brood?->saw;
        foreach ($saw instanceof Target ? FounderPrior::allelesOf($saw) : [] as $allele) {
            $alleles[$allele] = true;
        }
        unset($alleles[Allele::WILD], $alleles[Sex::X], $alleles[Sex::Y]);

        return array_map(strval(...), array_keys($alleles));
    }

    /** @return list<Member> founders behind an animal or eggs, the nearest first */
    private function foundersBehind(Member $member): array
    {
        $founders = [];
        $next = array_map(static fn (string $id): array => [$id, 1], $member->parents());
        while ($next !== [] && count($founders) < self::MOST_FOUNDERS) {
            [$id, $generation] = array_shift($next);
            $parent = $this->family->member($id);
            if ($parent === null) {
                continue;
            }
            if ($parent->isFounder()) {
                $founders[$id] = $parent;
            } elseif ($generation < self::GENERATIONS) {
                array_push($next, ...array_map(static fn (string $one): array => [$one, $generation + 1], $parent->parents()));
            }
        }

        return array_values($founders);
    }
}
