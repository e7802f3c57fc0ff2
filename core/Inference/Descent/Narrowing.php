<?php

declare(strict_types=1);

namespace Destino\Inference\Descent;

use Destino\Genome\LinkageGroup;
use Destino\Genome\Mask;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Inference\Evidence\Hearing;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\Naming;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\StatementLikelihood;
use Destino\Inference\Evidence\Testimony;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/** What is left of the genotypes of an animal as its statements are heard, one after the other. */
final readonly class Narrowing
{
    private Clashes $clashes;

    public function __construct(private Spaces $spaces, private Hearing $hearing)
    {
        $this->clashes = new Clashes($spaces, $hearing);
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return array{Weights<State>, list<Conflict>} weights that need not sum to 1
     */
    public function weigh(array $groups, Individual $animal, Steps $steps, bool $hasParent): array
    {
        $relevant = $this->hearing->relevant($this->spaces->over($groups), $animal, $steps->prior !== null);
        $conflicts = $this->clashes->between($groups, $relevant, $steps->prior, $hiding = $this->sureMasks($animal));
        $trusted = $conflicts !== [];
        $states = $steps->prior ?? $this->founder($groups, $animal, $relevant, $trusted);
        if ($steps->prior === null) {
            $first = array_shift($relevant);
            if ($first !== null) {
                $steps->take($first->id, $states);
            }
        } elseif ($trusted) {
            $states = $this->softened($groups, $states, $relevant);
        }
        $percentages = $hasParent && ($animal->sire === null || $animal->dam === null);
        foreach ($relevant as $testimony) {
            $weighed = $this->after($states, $groups, $testimony, $trusted, $percentages && $testimony === $relevant[0], $hiding);
            if (! $weighed->isEmpty()) {
                $states = $weighed;
                $steps->take($testimony->id, $states);
            } elseif ($conflicts === []) {
                $conflicts[] = new Conflict(Clashes::lociOf($groups), array_map(static fn (Testimony $one): string => $one->id, $relevant));
            }
        }

        return [$states, $conflicts];
    }

    /** @return list<Mask> what the statements about an animal give it for certain that hides other genes */
    private function sureMasks(Individual $animal): array
    {
        $sure = [];
        foreach ($animal->testimonies as $testimony) {
            foreach ($testimony->says->factors as $factor) {
                $space = $this->spaces->over(
                    array_map(fn (string $key): LinkageGroup => $this->spaces->catalogue->groups[$key], $factor->groups),
                );
                $masks = null;
                foreach ($space->canHide() ? $factor->states->entries() : [] as [$state]) {
                    $own = $space->masksOf($space->number($state));
                    $masks = array_values(array_filter($masks ?? $own, static fn (Mask $mask): bool => in_array($mask, $own, true)));
                }
                array_push($sure, ...$masks ?? []);
            }
        }

        return $sure;
    }

    /**
     * The states that the weightiest statement of a founder means; what is not sure of it goes to the wild type, and
     * where statements exclude each other, to what the others mean.
     *
     * @param list<LinkageGroup> $groups
     * @param list<Testimony> $relevant
     * @return Weights<State>
     */
    private function founder(array $groups, Individual $animal, array $relevant, bool $trusted): Weights
    {
        $wild = State::wild($groups, $animal->sex ?? Sex::Female);
        if ($relevant === []) {
            return Weights::of([[$wild->key, $wild, Rational::one()]]);
        }
        $certainty = self::weightOf($relevant[0], $trusted);
        $states = $this->meant($groups, $relevant[0], $certainty);
        $others = $trusted ? array_slice($relevant, 1) : [];
        foreach ($others as $other) {
            $states->merge($this->meant($groups, $other, $certainty->complement()->dividedBy(Rational::of(count($others)))));
        }
        if ($others === []) {
            $states->add($wild->key, $wild, $certainty->complement());
        }

        return $states;
    }

    /**
     * The parents' states and, since something is wrong, a little of what each statement means beside them.
     *
     * @param list<LinkageGroup> $groups
     * @param Weights<State> $prior
     * @param list<Testimony> $relevant
     * @return Weights<State>
     */
    private function softened(array $groups, Weights $prior, array $relevant): Weights
    {
        $trust = Source::Parents->trust();
        /** @var Weights<State> $states */
        $states = new Weights;
        $states->merge($prior, $trust->dividedBy($prior->total()));
        foreach ($relevant as $testimony) {
            $states->merge($this->meant($groups, $testimony, $trust->complement()->dividedBy(Rational::of(count($relevant)))));
        }

        return $states;
    }

    /**
     * What a statement means, weighing so much in all.
     *
     * @param list<LinkageGroup> $groups
     * @return Weights<State>
     */
    private function meant(array $groups, Testimony $testimony, Rational $weight): Weights
    {
        return Weights::of(
            array_map(
                static fn (array $one): array => [$one[0]->key, $one[0], $one[1]->times($weight)],
                $testimony->says->statesOver($groups),
            ),
        );
    }

    /**
     * @param Weights<State> $states
     * @param list<LinkageGroup> $groups
     * @param list<Mask> $hiding
     * @return Weights<State> without the states that a certain statement excludes
     */
    private function after(Weights $states, array $groups, Testimony $testimony, bool $trusted, bool $percentages, array $hiding): Weights
    {
        $space = $this->spaces->over($groups);
        $certainty = self::weightOf($testimony, $trusted);
        $says = $this->hearing->chances($space, $testimony);
        $named = $this->hearing->naming->loci($groups, $testimony);
        $allowed = $parts = $before = [];
        foreach ($states->entries() as $key => [$state, $weight]) {
            $allowed[$key] = $this->hearing->allows($state, $space, $testimony, $says, $hiding);
            [$parts[$key], $before[$key]] = [Naming::part($state, $groups, $named), $weight];
        }
        /** @var Weights<State> $after */
        $after = new Weights;
        $likelihoods = StatementLikelihood::of($certainty, $allowed, $percentages ? $parts : null, $before);
        foreach ($states->entries() as $key => [$state, $weight]) {
            $after->add($key, $state, $weight->times($likelihoods[$key]));
        }

        return $after;
    }

    /** How sure a statement is; where statements exclude each other, no surer than its source is trusted. */
    private static function weightOf(Testimony $testimony, bool $trusted): Rational
    {
        $trust = $testimony->source->trust();

        return $trusted && $trust->compareTo($testimony->certainty) < 0 ? $trust : $testimony->certainty;
    }
}
