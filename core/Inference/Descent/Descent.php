<?php

declare(strict_types=1);

namespace Destino\Inference\Descent;

use Closure;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Components;
use Destino\Genome\JointBelief;
use Destino\Genome\LinkageGroup;
use Destino\Genome\SchoolChanges;
use Destino\Genome\Sex;
use Destino\Inference\Evidence\Hearing;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\InferenceError;
use Destino\Inference\Evidence\Testimony;
use Destino\Inference\Inheritance\Outside;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/**
 * What is believed of each animal of a pedigree from what was stated of it and from its parents, in exact rationals.
 *
 * With both parents recorded, P(genotype) ∝ P(genotype | parents' beliefs) · Π L(statement | genotype): a statement that
 * is c sure weighs c for the genotypes that it allows against 1 − c for the others, so that percentages that already follow
 * from the parents are not counted twice. An animal without recorded parents starts from the statement that weighs most
 * (Source::rank, then the last made); the others narrow it. With one recorded parent the other is one from outside, and
 * wild type at loci that no statement names. Statements that exclude each other are reported as a conflict, and then each counts with
 * the trust of its source instead of its own certainty.
 *
 * The parents' beliefs are taken as independent; what offspring say about their parents is not used here.
 */
final class Descent
{
    private readonly Hearing $hearing;

    private readonly Ancestry $ancestry;

    private readonly Narrowing $narrowing;

    /** @var array<string, Derived> */
    private array $known = [];

    /** @var array<string, true> animals whose ancestors are being worked out */
    private array $open = [];

    /**
     * @param array<string, Individual> $animals by id
     * @param (Closure(string): ?Belief)|null $believed what was derived of an animal before, from the same facts
     * @param Rational|null $unrecorded P(an animal carries one copy of a gene that nobody mentioned), as ErrorRates has it
     */
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly array $animals,
        private readonly ?Closure $believed = null,
        private readonly ?Rational $unrecorded = null,
        private ?Outside $outside = null,
    ) {
        $spaces = new Spaces($catalogue);
        $this->hearing = new Hearing($catalogue);
        $this->ancestry = new Ancestry($spaces, $this->hearing, $this->outside(...));
        $this->narrowing = new Narrowing($spaces, $this->hearing);
    }

    /** What is known of animals from outside: how often the founders here carry each allele. */
    public function outside(): Outside
    {
        return $this->outside ??= Outside::among($this->catalogue, $this->founders(), $this->unrecorded ?? Rational::of(1, 20));
    }

    /** @return iterable<Belief> */
    private function founders(): iterable
    {
        foreach ($this->animals as $id => $animal) {
            if ($animal->isFounder()) {
                yield $this->of($id)->belief;
            }
        }
    }

    public function animal(string $id): ?Individual
    {
        return $this->animals[$id] ?? null;
    }

    /** The same pedigree with something else said of one animal. */
    public function with(Individual $animal): self
    {
        return new self(
            $this->catalogue,
            [$animal->id => $animal] + $this->animals,
            fn (string $id): ?Belief => $id === $animal->id ? null : $this->of($id)->belief,
            $this->unrecorded,
            $this->outside(),
        );
    }

    /** @throws InferenceError when the animal is unknown, a parent is of the wrong sex, or it is its own ancestor */
    public function of(string $id): Derived
    {
        if (isset($this->known[$id])) {
            return $this->known[$id];
        }
        $animal = $this->animals[$id] ?? throw InferenceError::unknownAnimal($id);
        if (isset($this->open[$id])) {
            throw InferenceError::ownAncestor($id);
        }
        $this->open[$id] = true;
        $sire = $this->parent($animal->sire, Sex::Male, $id);
        $dam = $this->parent($animal->dam, Sex::Female, $id);
        unset($this->open[$id]);

        return $this->known[$id] = $this->derive($animal, $sire, $dam);
    }

    /** @throws InferenceError */
    private function parent(?string $id, Sex $sex, string $young): ?Belief
    {
        if ($id === null) {
            return null;
        }
        $belief = ($this->believed === null ? null : ($this->believed)($id)) ?? $this->of($id)->belief;

        return $this->animals[$id]->sex === null || $this->animals[$id]->sex === $sex
            ? $belief
            : throw InferenceError::parentOfWrongSex($id, $sex, $young);
    }

    private function derive(Individual $animal, ?Belief $sire, ?Belief $dam): Derived
    {
        $factors = $reasons = $conflicts = [];
        foreach ($this->components($animal, $sire, $dam) as $groups) {
            $steps = new Steps($this->ancestry->prior($groups, $animal, $sire, $dam));
            [$states, $clash] = $this->narrowing->weigh($groups, $animal, $steps, $sire !== null || $dam !== null);
            array_push($conflicts, ...$clash);
            $factors[] = new JointBelief(array_map(static fn (LinkageGroup $group): string => $group->key, $groups), $states->normalised());
            foreach ($groups as $group) {
                foreach ($group->loci as $i => $locus) {
                    if ($locus !== Sex::LOCUS) {
                        $reasons[$locus] = $this->reasons($steps, $group, $i, $locus, $animal);
                    }
                }
            }
        }

        return new Derived(new Belief($animal->sex ?? Sex::Female, $factors), $reasons, $conflicts);
    }

    /**
     * Linkage groups that a statement or a parent's belief ties together.
     *
     * @return list<list<LinkageGroup>>
     */
    private function components(Individual $animal, ?Belief $sire, ?Belief $dam): array
    {
        $components = new Components;
        foreach (
            array_filter([$sire, $dam, ...array_map(static fn (Testimony $one): Belief => $one->says, $animal->testimonies)]) as $belief
        ) {
            foreach ($belief->factors as $factor) {
                $components->tie($factor->groups);
            }
        }

        return array_map(
            fn (array $tied): array => array_map(fn (string $key): LinkageGroup => $this->catalogue->groups[$key], $tied),
            $components->all(),
        );
    }

    /** @return list<Reason> */
    private function reasons(Steps $steps, LinkageGroup $group, int $i, string $locus, Individual $animal): array
    {
        $reasons = [];
        $named = array_fill_keys([Reason::PARENTS], true);
        foreach ($animal->testimonies as $testimony) {
            $named[$testimony->id] = $testimony->namesAllThatShows || isset($this->hearing->naming->loci([$group], $testimony)[$locus]);
        }
        foreach ($steps->taken as [$by, $states]) {
            if (! $named[$by]) {
                continue;
            }
            $pairs = new Weights;
            foreach ($states->entries() as [$state, $weight]) {
                $pair = $state->at($group)->pairAt($i);
                $pairs->add(SchoolChanges::pairKey(...$pair), $pair, $weight);
            }
            $reasons[] = new Reason($by, $pairs->normalised());
        }

        return $reasons;
    }
}
