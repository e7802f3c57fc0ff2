<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Sex;
use Destino\Inference\Faults\Altered;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Notation\Target;
use Destino\Notation\TargetCondition;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/**
 * P(genotype) of the founders of a family over some groups: what is stated of them, or, of those from outside, what is
 * known of animals in general, at the alleles that something recorded of their descendants names.
 */
final readonly class FounderPrior
{
    /** @var array<string, list<string>> alleles that are named of a member or its descendants, by member */
    private array $wanted;

    private Altered $altered;

    public function __construct(private Context $context, private Hypothesis $hypothesis, private GenotypeSpace $space)
    {
        $this->altered = new Altered($context->catalogue, $space->groups);
        $this->wanted = $this->wanted();
    }

    /**
     * @return array<int, Rational> by number of the genotype, with what is seen of the animal taken into account; empty where
     *     nothing is possible
     */
    public function of(Member $member): array
    {
        $alleles = $this->wanted[$member->id] ?? [];
        $prior = match (true) {
            $member->animal === null,
            $this->hypothesis->frees($member->id, $this->space) => $this->context
                ->outside()
                ->prior($this->space, $member->sex ?? Sex::Female, $alleles),
            $member->animal->testimonies === [] && $member->animal->isFounder() => $this->unstated($member),
            default => $this->context->beforehandOf($member, $this->space),
        };
        foreach ($this->hypothesis->hidden[$member->id] ?? [] as $more) {
            $prior = $this->withOneMore($prior, $more);
        }

        return array_filter(
            $prior,
            fn (Rational $weight, int $number): bool =>
                ! $weight->isZero() && ! $this->space->isLethal($number) && $this->isSeen($member, $number),
            ARRAY_FILTER_USE_BOTH,
        );
    }

    private function isSeen(Member $member, int $number): bool
    {
        $saw = $member->animal?->saw;

        return $saw === null || $this->hypothesis->frees($member->id, $this->space) || $this->space->accepts($number, $saw);
    }

    /**
     * A founder of whom nothing is stated is wild type, but where its own look says otherwise: there it is as animals from
     * outside are that look like it.
     *
     * @return array<int, Rational>
     */
    private function unstated(Member $member): array
    {
        $wild = $this->space->wild($member->sex ?? Sex::Female);
        $saw = $member->animal?->saw;
        $asked = $saw === null
            ? []
            : array_merge(
                [],
                ...array_map(
                    fn (TargetCondition $condition): array => $this->isAsked($condition, $wild) ? $condition->wantedAlleles() : [],
                    $saw->conditions,
                ),
            );

        return $asked === []
            ? [$wild => Rational::one()]
            : $this->context->outside()->prior($this->space, $member->sex ?? Sex::Female, array_values(array_unique($asked)));
    }

    private function isAsked(TargetCondition $condition, int $wild): bool
    {
        return $this->space->holds($condition->locus())
            && ! $this->space->accepts($wild, new Target($condition->piece, [$condition], false, null));
    }

    /**
     * @param array<int, Rational> $prior
     * @param list<string> $alleles
     * @return array<int, Rational>
     */
    private function withOneMore(array $prior, array $alleles): array
    {
        $own = array_values(
            array_filter($alleles, fn (string $allele): bool => $this->space->holds($this->context->catalogue->allele($allele)->locus)),
        );
        if ($own === []) {
            return $prior;
        }
        $more = new Weights;
        foreach ($prior as $number => $weight) {
            foreach ($this->altered->withOneMore($this->space->state($number), $own) as [$state, $share]) {
                $more->add($this->space->number($state), null, $weight->times($share));
            }
        }

        return $more->numbered();
    }

    /** @return array<string, list<string>> */
    private function wanted(): array
    {
        $needed = [];
        $members = [...$this->hypothesis->family->members, ...$this->hypothesis->family->eggs];
        foreach (array_reverse($members) as $member) {
            $id = $member->id;
            $own = $this->hypothesis->frees($id, $this->space) ? [] : $this->named($member);
            $needed[$id] = ($needed[$id] ?? []) + array_fill_keys([...$own, ...$this->hypothesis->mutations[$id] ?? []], true);
            foreach ($member->parents() as $parent) {
                $needed[$parent] = ($needed[$parent] ?? []) + $needed[$id];
            }
        }

        return array_map(
            fn (array $alleles): array => array_values(
                array_filter(
                    array_map(strval(...), array_keys($alleles)),
                    fn (string $allele): bool => $this->space->holds($this->context->catalogue->allele($allele)->locus),
                ),
            ),
            $needed,
        );
    }

    /** @return list<string> alleles that what is recorded of a member names here */
    private function named(Member $member): array
    {
        $saw = $member->animal->saw ?? $member->brood?->saw;

        return [
            ...($member->animal === null ? [] : $this->context->hearing->allelesNamed($this->space, $member->animal)),
            ...($saw === null ? [] : self::allelesOf($saw)),
        ];
    }

    /** @return list<string> alleles that a condition names, wanted or not */
    public static function allelesOf(Target $saw): array
    {
        $alleles = [];
        foreach ($saw->conditions as $condition) {
            foreach ($condition->anyOf as $clause) {
                $alleles = [...$alleles, ...$clause->alleles];
            }
        }

        return array_values(array_unique($alleles));
    }
}
