<?php

declare(strict_types=1);

namespace Destino\Inference\Conclusions;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\Inheritance;
use Destino\Genome\Sex;
use Destino\Inference\Family\FounderPrior;
use Destino\Inference\Family\Member;
use Destino\Inference\Faults\ErrorRates;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Faults\Misnamed;
use Destino\Notation\ClauseKind;
use Destino\Notation\Target;

/** What a member may be called and not be. */
final readonly class Misnamings
{
    public function __construct(private Catalogue $catalogue, private ErrorRates $rates) {}

    /**
     * What a member is called and is not: some other gene, another allele of the series, another line of the same name.
     *
     * @param list<string> $alleles that are at odds
     * @return list<array{Fault, float}>
     */
    public function of(Member $member, array $alleles): array
    {
        $faults = [];
        foreach (array_intersect($alleles, $this->allelesSaid($member)) as $allele) {
            $one = new Misnamed($member->id, [$allele]);
            $rate = $one->chance($this->rates, $member->brood->count ?? 1);
            $faults[] = [$one, $rate];
            $others = $this->takenFor($allele);
            foreach ($others as $other) {
                $faults[] = [new Misnamed($member->id, [$allele], $other), $rate / count($others)];
            }
        }

        return $faults;
    }

    /**
     * A parent that is called one line and is another, which its young has: het line 1 × het line 2 with a visual of line 1.
     *
     * @param list<string> $wanted alleles that the young show
     * @param list<string> $named alleles whose misnaming is weighed already
     * @return list<array{Fault, float}>
     */
    public function takenForOneOf(Member $member, array $wanted, array $named): array
    {
        $faults = [];
        foreach (array_diff($this->allelesSaid($member), $named) as $allele) {
            $others = $this->takenFor($allele);
            foreach (array_intersect($others, $wanted) as $other) {
                $fault = new Misnamed($member->id, [$allele], $other);
                $faults[] = [$fault, $fault->chance($this->rates, $member->brood->count ?? 1) / count($others)];
            }
        }

        return $faults;
    }

    /** @return list<string> alleles of which a member is said, or was seen, to have two copies */
    public function twiceSaid(Member $member): array
    {
        $alleles = [];
        foreach ($member->animal->testimonies ?? [] as $testimony) {
            foreach ($testimony->says->factors as $factor) {
                foreach ($factor->states->entries() as [$state]) {
                    foreach ($state->diplotypes as $diplotype) {
                        $alleles += array_flip(array_intersect_assoc(...$diplotype->haplotypes));
                    }
                }
            }
        }
        $saw = $member->animal->saw ?? $member->brood?->saw;
        foreach ($saw instanceof Target ? $saw->conditions : [] as $condition) {
            foreach ($condition->anyOf as $clause) {
                $alleles += $clause->kind === ClauseKind::TwoCopies ? array_flip($clause->alleles) : [];
            }
        }
        unset($alleles[Allele::WILD], $alleles[Sex::X], $alleles[Sex::Y]);
        $showsTwice = fn (string $key): bool => $this->catalogue->allele($key)->inheritance !== Inheritance::Recessive;

        return array_values(array_filter(array_map(strval(...), array_keys($alleles)), $showsTwice));
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
}
