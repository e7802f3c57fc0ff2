<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Mask;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Probability\Rational;

/**
 * What is possible in a family at some spaces of genotypes under a hypothesis: for each member the genotypes that its
 * parents, its own evidence and its relatives leave, with the likelihood of its evidence.
 */
final class FamilyModel
{
    /** @var list<array<string, array<int, Rational>>> by space and member: P (of founders) or likelihood by number of the genotype */
    public array $domains = [];

    /** @var list<array<string, true>> members of which evidence or relatives exclude something, by space */
    public array $trimmed = [];

    /** @var array<string, list<int>> places of the sires that are possible, by batch of several */
    public array $sires = [];

    /** @var string|null what cannot be: an animal or counted eggs */
    public ?string $offender = null;

    /** @var array<string, string> ids of statements that nothing possible agrees with, though they are not sure; by animal */
    public array $doubted = [];

    /** The space at which it cannot be. */
    public ?int $offendsAt = null;

    /** @var array<string, array<int, array<int, Rational>>> P(genotype) of another sire that is from outside, by member and space */
    public array $outsiders = [];

    /** @var array<string, Concealed> what hides things in a member at other spaces, by member */
    public array $hiding = [];

    /** @param list<GenotypeSpace> $spaces */
    public function __construct(public readonly Context $context, public readonly Hypothesis $hypothesis, public readonly array $spaces) {}

    /**
     * P(young | parents) over a space, with a mutation where the hypothesis has one.
     *
     * @return array<int, Rational>
     */
    public function young(Member $member, int $space, int $sire, int $dam): array
    {
        $alleles = array_values(
            array_filter(
                $this->hypothesis->mutations[$member->id] ?? [],
                fn (string $allele): bool => $this->spaces[$space]->holds($this->context->catalogue->allele($allele)->locus),
            ),
        );

        return $alleles === [] ? $this->spaces[$space]->living($sire, $dam) : $this->spaces[$space]->mutant($sire, $dam, $alleles);
    }

    /** @return list<string> ids of the sires that are still possible */
    public function siresOf(Member $member): array
    {
        $places = $this->sires[$member->batch] ?? null;

        return $places === null ? $member->sires : array_values(array_intersect_key($member->sires, array_flip($places)));
    }

    /**
     * Ways in which a member may hide things at a space by what it is elsewhere; [[]] where nothing does.
     *
     * @return list<list<Mask>>
     */
    public function hidingOf(Member $member): array
    {
        return ($this->hiding[$member->id] ?? null)->ways ?? [[]];
    }

    /** @return list<Mask> what a member has for certain, at spaces that are not looked at here, that hides */
    public function surelyHiding(Member $member): array
    {
        return ($this->hiding[$member->id] ?? null)->sure ?? [];
    }

    public function isMixed(): bool
    {
        return ! $this->context->rates->mixed->isZero();
    }
}
