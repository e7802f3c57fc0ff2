<?php

declare(strict_types=1);

namespace Destino\Inference\Conclusions;

use Destino\Genome\Catalogue;
use Destino\Genome\Sex;
use Destino\Inference\Evidence\Hearing;
use Destino\Inference\Family\Context;
use Destino\Inference\Family\FounderPrior;
use Destino\Inference\Family\Hypothesis;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Faults\Misidentified;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Notation\TargetCondition;

/** Something in the records that cannot be, or hardly: young of one clutch, at some loci. */
final readonly class Matter
{
    /**
     * @param non-empty-list<string> $subjects ids of the animals and eggs that are at odds with the rest
     * @param list<string> $loci at which they are
     * @param list<string> $wanted alleles that they show or are said to carry
     * @param list<string> $named alleles that anything about them names, absent ones included
     * @param bool $isDoubted whether a statement that is not sure is all that is at odds
     */
    public function __construct(
        public string $litter,
        public array $subjects,
        public array $loci,
        public array $wanted,
        public array $named,
        public bool $isDoubted = false,
    ) {}

    /**
     * @param non-empty-list<string> $subjects
     * @param list<string> $loci
     */
    public static function about(
        Context $context,
        Hypothesis $given,
        string $litter,
        array $subjects,
        array $loci,
        bool $isDoubted = false,
    ): self {
        $wanted = $named = [];
        foreach ($subjects as $id) {
            $member = $given->family->member($id);
            $saw = $member?->animal->saw ?? $member?->brood?->saw;
            foreach ($member?->animal->testimonies ?? [] as $testimony) {
                foreach ($testimony->says->groups() as $key) {
                    $said = Hearing::allelesIn(
                        new GenotypeSpace($context->catalogue, [$context->catalogue->groups[$key]]), $testimony->says,
                    );
                    $wanted = [...$wanted, ...$said];
                }
                $named = [...$named, ...$testimony->absent];
            }
            $wanted = [
                ...$wanted,
                ...array_merge([], ...array_map(static fn (TargetCondition $one): array => $one->wantedAlleles(), $saw->conditions ?? [])),
            ];
            $named = [...$named, ...($saw === null ? [] : FounderPrior::allelesOf($saw))];
        }
        $here = static fn (string $allele): bool => in_array($context->catalogue->allele($allele)->locus, $loci, true);
        $wanted = array_values(array_filter(array_unique($wanted), $here));

        return new self(
            $litter, $subjects, $loci, $wanted, array_values(array_unique([...$wanted, ...array_filter($named, $here)])),
            $isDoubted,
        );
    }

    /** @return list<string> every allele of the loci at odds; none where the sex is, which is no gene's matter */
    public function allelesAtOdds(Catalogue $catalogue): array
    {
        return in_array(Sex::LOCUS, $this->loci, true)
            ? []
            : array_merge([], ...array_map(static fn (string $locus): array => $catalogue->locus($locus)->alleles, $this->loci));
    }

    /**
     * @param list<Fault> $faults
     * @return list<Fault> those that have to be taken for granted: none where only a doubtful statement is wrong
     */
    public function really(array $faults): array
    {
        return $this->isDoubted
            ? array_values(array_filter($faults, static fn (Fault $fault): bool => ! $fault instanceof Misidentified))
            : $faults;
    }
}
