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

    /** @var array<string, list<Seen>> what was seen of a member that tells something of these spaces, by member */
    public array $seen = [];

    /**
     * @var list<self> the same by spaces that only sires and what was seen tie to others; empty where there is one part, or where which
     *     male it was ties more than a clutch
     */
    public array $parts = [];

    /** @var list<int> in a part: where its spaces stand in the whole */
    public array $places = [];

    /** @var array<string, list<float>> what other parts say, by variable: of a member's genotype, or of a clutch's sire */
    public array $messages = [];

    /** Of the parts of a whole one holds how likely each sire was beforehand. */
    public bool $hasSirePriors = true;

    /** @param list<GenotypeSpace> $spaces */
    public function __construct(public readonly Context $context, public readonly Hypothesis $hypothesis, public readonly array $spaces) {}

    /**
     * @param list<int> $places of the spaces of the part
     * @param array<string, Concealed> $hiding as seen from these
     */
    public function part(array $places, array $hiding): self
    {
        $part = new self($this->context, $this->hypothesis, array_map(fn (int $i): GenotypeSpace => $this->spaces[$i], $places));
        $part->domains = array_map(fn (int $i): array => $this->domains[$i] ?? [], $places);
        $part->trimmed = array_map(fn (int $i): array => $this->trimmed[$i] ?? [], $places);
        [$part->sires, $part->hiding, $part->places] = [$this->sires, $hiding, $places];
        $keys = array_map(static fn (GenotypeSpace $space): string => $space->key, $part->spaces);
        $sets = $this->spacesOfSets();
        foreach ($this->seen as $id => $all) {
            $part->seen[$id] = array_values(array_filter(
                $all, static fn (Seen $one): bool => array_diff($one->set === null ? $one->spaces : $sets[$one->set], $keys) === [],
            ));
        }

        return $part;
    }

    /** @return array<string, list<string>> keys of the spaces that likenesses tie, by set */
    private function spacesOfSets(): array
    {
        $sets = [];
        foreach (array_merge([], ...array_values($this->seen)) as $one) {
            $sets[$one->set ?? ''] = [...$sets[$one->set ?? ''] ?? [], ...$one->spaces];
        }

        return $sets;
    }

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

    /** Whether what was seen of a member tells something of a space. */
    public function isSeen(string $id, int $space): bool
    {
        $tells = fn (Seen $one): bool => in_array($this->spaces[$space]->key, $one->spaces, true);

        return isset($this->messages["{$space} {$id}"]) || array_filter($this->seen[$id] ?? [], $tells) !== [];
    }

    public function isMixed(): bool
    {
        return ! $this->context->rates->mixed->isZero();
    }
}
