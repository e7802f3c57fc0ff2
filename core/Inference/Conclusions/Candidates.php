<?php

declare(strict_types=1);

namespace Destino\Inference\Conclusions;

use Destino\Genome\Catalogue;
use Destino\Genome\Mask;
use Destino\Inference\Family\Family;
use Destino\Inference\Family\Member;
use Destino\Inference\Faults\ErrorRates;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Faults\Masked;
use Destino\Inference\Faults\Misidentified;
use Destino\Inference\Faults\Mutation;
use Destino\Inference\Faults\OneCopy;
use Destino\Inference\Faults\OtherSire;
use Destino\Inference\Faults\Unrecorded;
use Destino\Inference\Inheritance\GenotypeSpace;

/** Single faults that might explain what cannot be about the young of a clutch, each with its prior. */
final readonly class Candidates
{
    /** Generations up to which a gene may have come unseen. */
    private const GENERATIONS = 3;

    private const MOST_FOUNDERS = 6;

    private Misnamings $misnamings;

    public function __construct(private Catalogue $catalogue, private Family $family, private ErrorRates $rates)
    {
        $this->misnamings = new Misnamings($catalogue, $rates);
    }

    /** @return list<array{Fault, float}> each with its prior */
    public function of(Matter $matter): array
    {
        $faults = [];
        foreach ($matter->subjects as $id) {
            $member = $this->family->member($id);
            if ($member !== null) {
                $faults[] = $this->misidentified($matter, $member);
                foreach ($member->isFounder() ? [] : $matter->wanted as $allele) {
                    $faults[] = $this->weighed(new Mutation($id, [$allele]), $member);
                }
                foreach (array_intersect($this->misnamings->twiceSaid($member), $matter->allelesAtOdds($this->catalogue)) as $allele) {
                    $faults[] = $this->weighed(new OneCopy($id, [$allele]), $member);
                }
                array_push($faults, ...$this->misnamings->of($member, $matter->wanted)); // what is not seen is not called anything
            }
        }
        $first = $this->family->member($matter->subjects[0]);
        if ($first !== null && ! $first->isFounder()) {
            $faults[] = $this->weighed(new OtherSire($first->id));
            foreach ($this->foundersBehind($first) as $founder) {
                // A young that is said to have nothing names no gene: what its parents are called can be wrong all the more.
                $named = array_values(array_unique([...$matter->named, ...$matter->allelesAtOdds($this->catalogue)]));
                array_push(
                    $faults, ...$this->unseen($founder, $matter->wanted), ...$this->misnamings->of($founder, $named),
                    ...$this->misnamings->takenForOneOf($founder, $matter->wanted, $named),
                );
            }
        } elseif ($first !== null) {
            array_push($faults, ...$this->unseen($first, $matter->wanted));
        }

        return $faults;
    }

    /** @return array{Fault, float} the young is not what it was taken for, at the loci that are at odds */
    public function misidentified(Matter $matter, Member $member): array
    {
        return $this->weighed(new Misidentified($member->id, $matter->allelesAtOdds($this->catalogue)), $member);
    }

    /**
     * All young of the matter misidentified, each with its own prior; a statement that is not sure is simply wrong, which the
     * evidence counts by itself.
     *
     * @return list<array{list<Fault>, float}>
     */
    public function whole(Matter $matter): array
    {
        $faults = [];
        $prior = 0.0;
        foreach ($matter->subjects as $id) {
            $member = $this->family->member($id);
            if ($member !== null) {
                [$fault, $p] = $this->misidentified($matter, $member);
                $faults[] = $fault;
                $prior += log($p);
            }
        }

        return count($faults) > 2 || $matter->isDoubted ? [[$faults, $matter->isDoubted ? 0.0 : $prior]] : [];
    }

    /** @return array{Fault, float} */
    private function weighed(Fault $fault, ?Member $member = null): array
    {
        return [$fault, $fault->chance($this->rates, $member->brood->count ?? 1)];
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
            $faults[] = $this->weighed($isHidden ? new Masked($founder->id, [$allele]) : new Unrecorded($founder->id, [$allele]));
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
