<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Expression;
use Destino\Genome\Form;
use Destino\Genome\GenotypePattern;
use Destino\Genome\Sex;
use Destino\Notation\Target;
use Destino\Notation\TargetChoice;
use Destino\Notation\TargetCondition;
use Destino\Probability\ClutchChance;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/** The odds of a target in a cross. An egg of a lethal form never counts as a hit. */
final readonly class TargetOdds
{
    private function __construct(public Target $target, public Cross $cross, public ClutchChance $chance, private bool $hatched) {}

    /** @throws PairingError when per hatchling is asked and nothing hatches */
    public static function of(Cross $cross, Target $target, bool $hatched = false): self
    {
        return new self($target, $cross, self::chance($cross, $target, $hatched), $hatched);
    }

    public function bySex(Sex $sex): ClutchChance
    {
        return self::chance($this->cross, $this->target->withSex($sex), $this->hatched);
    }

    /** Whether an outcome that a list shows meets the target. */
    public function isHit(Outcome $outcome): bool
    {
        return $this->shareOfHits($outcome)->isOne();
    }

    /** P(target | outcome): between 0 and 1 where the genotypes that look alike differ. */
    public function shareOfHits(Outcome $outcome): Rational
    {
        if ($outcome->isLethal || ! $this->target->acceptsSex($outcome->sex)) {
            return Rational::zero();
        }
        $left = [$this->target->optionsWithin($this->cross->catalogue, $this->cross->involves(...)) => Rational::one()];
        $seen = [];
        foreach ($outcome->items as $item) {
            $own = [];
            foreach ($item->members as $member) {
                if (array_filter($member->forms, fn (Form $form): bool => ! $this->target->accepts($form)) === []) {
                    $key = $this->target->optionsLeft($member->forms, $outcome->sex);
                    $p = $member->probability->dividedBy($item->probability);
                    $own[$key] = isset($own[$key]) ? $own[$key]->plus($p) : $p;
                }
            }
            $left = Block::joined($left, $own);
            $seen += $item->members[0]->forms;
        }
        $share = Weights::sum(array_filter($left, $this->target->suffices(...), ARRAY_FILTER_USE_KEY));
        $asked = array_map(static fn (TargetCondition $one): string => $one->locus(), $this->target->conditions);

        return array_diff($asked, array_keys($seen)) === [] || $this->wildTypeWillDo(array_keys($seen)) ? $share : Rational::zero();
    }

    /** @return string|null why no egg can meet the target; null where one can */
    public function whyImpossible(): ?string
    {
        if (! $this->chance->perEgg()->isZero()) {
            return null;
        }
        foreach ($this->target->conditions as $condition) {
            if (self::chance($this->cross, Target::of($condition->piece, [$condition]), false)->perEgg()->isZero()) {
                return $this->whyNot($condition);
            }
        }
        foreach ($this->target->choices as $choice) {
            if (self::chance($this->cross, Target::of($choice->piece, choices: [$choice]), false)->perEgg()->isZero()) {
                return $this->whyNoChoice($choice);
            }
        }

        return 'Each part of the target can happen, but not together in one egg: '.$this->clash();
    }

    private static function chance(Cross $cross, Target $target, bool $hatched): ClutchChance
    {
        return ! self::isWithin($cross, $target)
            ? ClutchChance::certain(Rational::zero())
            : $cross->chanceLeft(
                static fn (Expression $egg): ?string => $egg->isLethal || ! $egg->meets($target)
                    ? null
                    : $target->optionsLeft($egg->forms, $egg->sex),
                $target->optionsWithin($cross->catalogue, $cross->involves(...)), $target->suffices(...), $hatched,
                $target->choices === [] ? null : $target->settling(...),
            );
    }

    /** Whether every locus that a target asks about is in a cross, or wild type will do there. */
    public static function isWithin(Cross $cross, Target $target): bool
    {
        foreach ($target->loci() as $locus) {
            if (! $cross->involves($locus) && ! $target->accepts($cross->catalogue->form($locus, Allele::WILD, Allele::WILD))) {
                return false;
            }
        }

        return true;
    }

    /** @param list<string> $seen */
    private function wildTypeWillDo(array $seen): bool
    {
        foreach (array_diff($this->target->loci(), $seen) as $locus) {
            if (! $this->target->accepts($this->cross->catalogue->form($locus, Allele::WILD, Allele::WILD))) {
                return false;
            }
        }

        return true;
    }

    private function whyNot(TargetCondition $condition): string
    {
        $names = [];
        foreach ($condition->wantedAlleles() as $key) {
            $name = $this->cross->catalogue->allele($key)->name;
            [$sire, $dam] = [$this->carries($this->cross->sire, $key), $this->carries($this->cross->dam, $key)];
            if (! $sire && ! $dam) {
                return "neither parent carries {$name}.";
            }
            $names[$name] = $sire && $dam ? null : ($sire ? 'sire' : 'dam');
        }
        foreach ($names as $name => $only) {
            if ($only !== null && count($names) === 1) {
                return "only the {$only} carries {$name}, and “{$condition->piece}” needs a copy from each parent.";
            }
        }
        if ($names === []) {
            return "every egg that lives goes against “{$condition->piece}”.";
        }

        return "“{$condition->piece}” cannot come from these parents: "
            .(
                count($names) > 1
                    ? 'the two alleles must come from different parents.'
                    : 'no egg of that form lives, or it always comes with another copy.'
            );
    }

    private function whyNoChoice(TargetChoice $choice): string
    {
        $of = count($choice->options) > 8 ? "what “{$choice->piece}” counts"
            : implode(', ', array_map(static fn (Target $option): string => $option->text, $choice->options));
        for ($most = $choice->atLeast - 1; $most > 0; $most--) {
            $fewer = Target::of('', choices: [new TargetChoice($most, $choice->options, $choice->piece, $choice->from)]);
            if (! self::chance($this->cross, $fewer, false)->perEgg()->isZero()) {
                return "an egg of these parents can have at most {$most} of {$of}.";
            }
        }

        return "an egg of these parents can have none of {$of}.";
    }

    private function clash(): string
    {
        $byLocus = [];
        foreach ($this->target->conditions as $condition) {
            $byLocus[$condition->locus()][] = $condition->piece;
        }
        foreach ($byLocus as $locus => $pieces) {
            if (count($pieces) > 1) {
                return implode(' and ', $pieces)." stand at one locus ({$this->cross->catalogue->locus($locus)->name}).";
            }
        }

        return $this->target->only ? 'something else always shows.' : 'the genes exclude each other, or the egg dies.';
    }

    private function carries(Belief $parent, string $allele): bool
    {
        return ! $parent->chanceOf(new GenotypePattern([$allele => 1]), $this->cross->catalogue)->isZero();
    }
}
