<?php

declare(strict_types=1);

namespace Destino\Inference\Evidence;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Mask;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/**
 * What the statements about an animal say of some linkage groups.
 */
final class Hearing
{
    public readonly Naming $naming;

    public function __construct(private readonly Catalogue $catalogue)
    {
        $this->naming = new Naming;
    }

    /**
     * Statements that say something here, the weightiest first. One that was made twice is heard once, as sure as it was
     * at its surest.
     *
     * @return list<Testimony>
     */
    public function relevant(GenotypeSpace $space, Individual $animal, bool $hasPrior): array
    {
        $names = $order = $relevant = [];
        foreach ($animal->testimonies as $i => $one) {
            if ($hasPrior && $one->saysNothing()) {
                continue;
            }
            $names[$one->id] = $this->naming->loci($space->groups, $one) !== [];
            $order[$one->id] = $i;
            if ($one->namesAllThatShows || $names[$one->id] || $this->absentHere($space, $one) !== []) {
                $before = $relevant[$one->claim()] ?? null;
                $relevant[$one->claim()] = $before !== null && $before->certainty->compareTo($one->certainty) > 0 ? $before : $one;
            }
        }
        $relevant = array_values($relevant);
        // A founder starts from a statement that names something here; one that only says what is not there narrows it.
        usort(
            $relevant,
            static fn (Testimony $a, Testimony $b): int => [
                ! $hasPrior && $names[$b->id], $b->source->rank(), $order[$b->id],
            ] <=> [! $hasPrior && $names[$a->id], $a->source->rank(), $order[$a->id]],
        );

        return $relevant;
    }

    /**
     * P(named part of a state | the statement), by the key of that part.
     *
     * @return array<array-key, Rational>
     */
    public function chances(GenotypeSpace $space, Testimony $testimony): array
    {
        $named = $this->naming->loci($space->groups, $testimony);
        $chances = new Weights;
        foreach ($testimony->says->statesOver($space->groups) as [$state, $p]) {
            $chances->add(Naming::part($state, $space->groups, $named), null, $p);
        }

        return $chances->sums();
    }

    /**
     * @param array<array-key, Rational> $says
     * @param list<Mask> $hiding what else the animal has that hides what shows
     * @return Rational|null P(the named part | the statement); null where the statement excludes the state
     */
    public function allows(State $state, GenotypeSpace $space, Testimony $testimony, array $says, array $hiding = []): ?Rational
    {
        $named = $this->naming->loci($space->groups, $testimony);
        $chance = $says[Naming::part($state, $space->groups, $named)] ?? null;
        if ($chance === null || self::carriesAny($state, $testimony->absent)) {
            return null;
        }
        if (! $testimony->namesAllThatShows) {
            return $chance;
        }
        $masks = [...$hiding, ...$space->masksOf($space->number($state))];
        foreach ($space->law->expressions->ofState($state) as $expression) {
            foreach ($expression->forms as $locus => $form) {
                if (! isset($named[$locus]) && $form->shows !== [] && ($masks === [] || ! $space->isHidden($form, $masks))) {
                    return null;
                }
            }
        }

        return $chance;
    }

    /** @return list<string> alleles of these groups that a statement says the animal does not carry */
    public function absentHere(GenotypeSpace $space, Testimony $testimony): array
    {
        return array_values(
            array_filter($testimony->absent, fn (string $allele): bool => $space->holds($this->catalogue->allele($allele)->locus)),
        );
    }

    /** @return list<string> mutant alleles that the statements about an animal name here, present or absent */
    public function allelesNamed(GenotypeSpace $space, Individual $animal): array
    {
        $alleles = [];
        foreach ($animal->testimonies as $testimony) {
            if (! $animal->isFounder() && $testimony->saysNothing()) {
                continue;
            }
            $alleles += array_flip(self::allelesIn($space, $testimony->says)) + array_flip($this->absentHere($space, $testimony));
        }

        return array_map(strval(...), array_keys($alleles));
    }

    /** @return list<string> mutant alleles that a belief holds possible here */
    public static function allelesIn(GenotypeSpace $space, Belief $belief): array
    {
        $alleles = [];
        foreach ($space->groups as $group) {
            if (in_array($group->key, $belief->groups(), true)) {
                foreach ($belief->factorOf($group)->states->entries() as [$state]) {
                    $alleles += array_flip(array_merge(...$state->at($group)->haplotypes));
                }
            }
        }
        unset($alleles[Allele::WILD], $alleles[Sex::X], $alleles[Sex::Y]);

        return array_map(strval(...), array_keys($alleles));
    }

    /** @param list<string> $alleles */
    private static function carriesAny(State $state, array $alleles): bool
    {
        foreach ($alleles as $allele) {
            if ($state->copiesOf($allele) > 0) {
                return true;
            }
        }

        return false;
    }
}
