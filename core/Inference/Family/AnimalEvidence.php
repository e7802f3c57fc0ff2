<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Mask;
use Destino\Inference\Evidence\Naming;
use Destino\Inference\Evidence\StatementLikelihood;
use Destino\Inference\Evidence\Testimony;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/**
 * P(what is recorded of an animal with parents | its genotype) over a space. A statement that is c sure weighs c for what it
 * allows against 1 − c. With one parent from outside the percentages of the weightiest statement are taken as far as it is more
 * sure than not, since there is nothing else that they could follow from.
 */
final readonly class AnimalEvidence
{
    private Context $context;

    private Hypothesis $hypothesis;

    private GenotypeSpace $space;

    public function __construct(private FamilyModel $model, private int $i)
    {
        $this->context = $model->context;
        $this->hypothesis = $model->hypothesis;
        $this->space = $model->spaces[$i];
    }

    /**
     * @param list<int> $numbers genotypes that the parents allow
     * @param list<list<Mask>> $hiding ways in which the animal may hide by what it is elsewhere; what is possible in one of
     *     them is possible
     * @return array<int, Rational>
     */
    public function likelihoods(Member $member, array $numbers, array $hiding): array
    {
        $all = [];
        foreach ($hiding as $masks) {
            foreach ($this->given($member, $numbers, $masks) as $number => $likelihood) {
                $all[$number] = isset($all[$number]) && $all[$number]->compareTo($likelihood) > 0 ? $all[$number] : $likelihood;
            }
        }

        return $all;
    }

    /**
     * @param list<int> $numbers
     * @param list<Mask> $masks
     * @return array<int, Rational>
     */
    public function given(Member $member, array $numbers, array $masks): array
    {
        $says = [];
        $isFree = $this->hypothesis->frees($member->id, $this->space);
        $saw = $isFree ? null : $member->animal?->saw;
        foreach ($numbers as $number) {
            $isSex = $member->sex === null || in_array($this->space->sexOf($number), [null, $member->sex], true);
            $says[$number] = $isSex && ($saw === null || $this->space->accepts($number, $saw, $masks)) ? Rational::one() : Rational::zero();
        }
        if ($member->animal === null || $isFree) {
            return $says;
        }
        $isHalfKnown = ($member->animal->dam === null) !== ($member->animal->sires() === [null]);
        foreach ($this->context->hearing->relevant($this->space, $member->animal, true) as $i => $testimony) {
            $before = $isHalfKnown && $i === 0 ? $this->before($member) : null;
            foreach ($this->weights($member, $testimony, $numbers, $masks, $before) as $number => $weight) {
                $says[$number] = $says[$number]->times($weight);
            }
        }

        return $says;
    }

    /**
     * @param list<int> $numbers
     * @param list<Mask> $masks
     * @param array<int, Rational>|null $before P(genotype) before the statement, where its percentages count
     * @return array<int, Rational>
     */
    private function weights(Member $member, Testimony $testimony, array $numbers, array $masks, ?array $before): array
    {
        $chances = $this->context->hearing->chances($this->space, $testimony);
        $named = $this->context->hearing->naming->loci($this->space->groups, $testimony);
        $says = $parts = [];
        foreach ($numbers as $number) {
            $state = $this->space->state($number);
            $says[$number] = $this->context->hearing->allows($state, $this->space, $testimony, $chances, $masks);
            $parts[$number] = Naming::part($state, $this->space->groups, $named);
        }
        $weights = StatementLikelihood::of($testimony->certainty, $says, $before === null ? null : $parts, $before ?? []);

        return isset($this->hypothesis->insisted[$member->id]) // who insists on it leaves nothing to the rest
            ? array_replace(array_map(static fn (): Rational => Rational::zero(), $weights),
                array_intersect_key($weights, array_filter($says)))
            : $weights;
    }

    /**
     * P(genotype) of an animal with one recorded parent, before its statements are heard.
     *
     * @return array<int, Rational>
     */
    private function before(Member $member): array
    {
        $animal = $member->animal;
        $known = $animal->dam ?? $animal?->sires()[0] ?? '';
        $parent = $this->hypothesis->family->member($known);
        if ($animal === null || $parent === null) {
            return [];
        }
        $isDam = $animal->dam !== null;
        $others = $this->model->domains[$this->i][$isDam ? $member->sires[0] : (string) $member->dam];
        $before = new Weights;
        foreach ($this->context->beforehandOf($parent, $this->space) as $own => $p) {
            foreach ($others as $other => $q) {
                foreach ($isDam ? $this->space->living($other, $own) : $this->space->living($own, $other) as $number => $chance) {
                    $before->add($number, null, $p->times($q)->times($chance));
                }
            }
        }

        return $before->numbered();
    }
}
