<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Expressions;
use Destino\Genome\Form;
use Destino\Genome\Requirement;
use Destino\Genome\Sex;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/** What a keeper wants of an offspring: conditions that must all hold. */
final readonly class Target implements Requirement
{
    /** @var array<string, list<TargetCondition>> */
    private array $byLocus;

    /** @var array<string, true> alleles that may show when the target says "only" */
    private array $named;

    /**
     * @param list<TargetCondition> $conditions
     * @param bool $only shows nothing but what is named; hidden hets are allowed
     * @param list<string> $notes what was assumed in reading
     */
    public function __construct(
        public string $text,
        public array $conditions,
        public bool $only,
        public ?Sex $sex,
        public array $notes = [],
    ) {
        $byLocus = $named = [];
        foreach ($conditions as $condition) {
            $byLocus[$condition->locus()][] = $condition;
            $named += array_fill_keys($condition->wantedAlleles(), true);
        }
        $this->byLocus = $byLocus;
        $this->named = $named;
    }

    public function withSex(Sex $sex): self
    {
        return new self($this->text, $this->conditions, $this->only, $sex, $this->notes);
    }

    /**
     * Whether a form passes all that is asked of its locus.
     *
     * @param bool $isHidden whether another form hides what shows here, so that "not X" says nothing of it
     */
    public function accepts(Form $form, bool $isHidden = false): bool
    {
        foreach ($this->byLocus[$form->locus] ?? [] as $condition) {
            if (! $condition->accepts($form) && ! ($isHidden && $condition->isOnlyOfTheEye())) {
                return false;
            }
        }

        return ! $this->only || $isHidden || array_diff($form->shows, array_keys($this->named)) === [];
    }

    public function acceptsSex(?Sex $sex): bool
    {
        return $this->sex === null || $sex === null || $this->sex === $sex;
    }

    /**
     * P(an animal of which this is believed meets the target): the same conditions asked of a parent.
     *
     * A sex that differs is 0; groups that are believed independently multiply.
     */
    public function chanceFor(Belief $belief, Catalogue $catalogue): Rational
    {
        if (! $this->acceptsSex($belief->sex)) {
            return Rational::zero();
        }
        $chance = Rational::one();
        foreach (
            array_diff(
                $this->loci(),
                array_merge([], ...array_map(static fn (string $key): array => $catalogue->groups[$key]->loci, $belief->groups())),
            ) as $locus
        ) {
            if (! $this->accepts($catalogue->form($locus, Allele::WILD, Allele::WILD))) {
                return Rational::zero();
            }
        }
        $expressions = new Expressions($catalogue);
        foreach ($belief->factors as $factor) {
            $hits = array_filter($factor->states->entries(), fn (array $entry): bool => $expressions->meets($entry[0], $this));
            $chance = $chance->times(Weights::sum(array_column($hits, 1)));
        }

        return $chance;
    }

    /** @return list<string> the loci that conditions name */
    public function loci(): array
    {
        return array_keys($this->byLocus);
    }
}
