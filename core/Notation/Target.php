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

/** What a keeper wants of an offspring: conditions that must all hold, and choices of which enough options must. */
final readonly class Target implements Requirement
{
    /** @var array<string, list<TargetCondition>> */
    private array $byLocus;

    /** @var array<string, true> alleles that may show when the target says "only" */
    private array $named;

    /** @var list<self> the options of all choices, in order: each a place in the answers of optionsLeft() */
    private array $options;

    /**
     * @param list<TargetCondition> $conditions
     * @param bool $only shows nothing but what is named; hidden hets are allowed
     * @param list<string> $notes what was assumed in reading
     * @param list<TargetChoice> $choices
     * @param array<string, true>|null $among alleles that may show where the target says "only"; null for those that it names
     */
    public function __construct(
        public string $text,
        public array $conditions,
        public bool $only,
        public ?Sex $sex,
        public array $notes = [],
        public array $choices = [],
        ?array $among = null,
    ) {
        $byLocus = $named = [];
        foreach ($conditions as $condition) {
            $byLocus[$condition->locus()][] = $condition;
            $named += array_fill_keys($condition->wantedAlleles(), true);
        }
        $this->options = array_merge([], ...array_map(static fn (TargetChoice $choice): array => $choice->options, $choices));
        $this->byLocus = $byLocus;
        $this->named = $among ?? $named + array_fill_keys(self::wantedBy($this->options), true);
    }

    /**
     * @param list<TargetCondition> $conditions
     * @param list<TargetChoice> $choices
     */
    public static function of(string $text, array $conditions = [], bool $only = false, ?Sex $sex = null, array $choices = []): self
    {
        return new self($text, $conditions, $only, $sex, [], $choices);
    }

    /**
     * What meets both of two targets: "only Pastel" and "Clown" is nothing at all, since Clown shows. Of two sexes the first is kept; ask
     * first whether they agree.
     */
    public function both(self $other): self
    {
        $among = match (true) {
            $this->only && $other->only => array_intersect_key($this->named, $other->named),
            $this->only => $this->named,
            $other->only => $other->named,
            default => null,
        };
        $all = $this->and($other);

        return new self($all->text, $all->conditions, $all->only, $all->sex, $all->notes, $all->choices, $among);
    }

    /** One more piece of the same target: what it names may show beside the rest; of two sexes the first. */
    public function and(self $other): self
    {
        return new self(
            $this->text, [...$this->conditions, ...$other->conditions], $this->only || $other->only, $this->sex ?? $other->sex,
            array_values(array_unique([...$this->notes, ...$other->notes])), [...$this->choices, ...$other->choices],
        );
    }

    /** @param list<string> $notes what was assumed in reading */
    public function saidAs(string $text, array $notes): self
    {
        return new self($text, $this->conditions, $this->only, $this->sex, $notes, $this->choices, $this->only ? $this->named : null);
    }

    public function withSex(Sex $sex): self
    {
        return new self(
            $this->text, $this->conditions, $this->only, $sex, $this->notes, $this->choices, $this->only ? $this->named : null,
        );
    }

    /**
     * The same with some options of its choices only; a choice of which too few are left can never be met.
     *
     * @param callable(self): bool $stays
     */
    public function withOptions(callable $stays): self
    {
        $choices = array_map(static fn (TargetChoice $one): TargetChoice => new TargetChoice(
            $one->atLeast, array_values(array_filter($one->options, $stays)), $one->piece, $one->from,
        ), $this->choices);

        return new self(
            $this->text, $this->conditions, $this->only, $this->sex, $this->notes, $choices, $this->only ? $this->named : null,
        );
    }

    /** @return list<self> each condition and each choice as a target of its own */
    public function parts(): array
    {
        return [
            ...array_map(static fn (TargetCondition $one): self => self::of($one->piece, [$one]), $this->conditions),
            ...array_map(static fn (TargetChoice $one): self => self::of($one->piece, choices: [$one]), $this->choices),
        ];
    }

    /** @return list<TargetCondition> its own and those of all its options */
    public function allConditions(): array
    {
        return [...$this->conditions, ...array_merge([], ...array_map(static fn (self $one): array => $one->conditions, $this->options))];
    }

    public function isEmpty(): bool
    {
        return $this->conditions === [] && ! $this->isMoreThanConditions();
    }

    public function isMoreThanConditions(): bool
    {
        return $this->only || $this->sex !== null || $this->choices !== [];
    }

    /**
     * The options of its choices that what is known of an animal does not rule out: "x" and for each option 1 or 0. What is known of
     * other groups is joined to it by "&", as PHP joins texts.
     *
     * @param iterable<Form> $forms
     */
    public function optionsLeft(iterable $forms, ?Sex $sex = null): string
    {
        $left = 'x';
        foreach ($this->options as $option) {
            $isLeft = $option->acceptsSex($sex);
            foreach ($forms as $form) {
                $isLeft = $isLeft && $option->accepts($form);
            }
            $left .= $isLeft ? '1' : '0';
        }

        return $left;
    }

    /**
     * The options that an animal can meet which is wild type at all loci but some.
     *
     * @param callable(string): bool $isKnown whether a locus is one of these
     */
    public function optionsWithin(Catalogue $catalogue, callable $isKnown): string
    {
        $left = 'x';
        foreach ($this->options as $option) {
            $isLeft = true;
            foreach ($option->loci() as $locus) {
                $isLeft = $isLeft && ($isKnown($locus) || $option->accepts($catalogue->form($locus, Allele::WILD, Allele::WILD)));
            }
            $left .= $isLeft ? '1' : '0';
        }

        return $left;
    }

    /**
     * Since only their number counts, options of one choice on which nothing more can bear change places: those that are left first. Far
     * fewer answers are kept apart so.
     *
     * @param callable(string): bool $isDone whether all that bears on a locus has been looked at
     * @return callable(string): string
     */
    public function settling(callable $isDone, bool $isSexDone): callable
    {
        $places = [];
        $at = 1;
        foreach ($this->choices as $choice) {
            $own = [];
            foreach ($choice->options as $option) {
                if (! $option->only && ($option->sex === null || $isSexDone) && array_filter($option->loci(), $isDone) === $option->loci()) {
                    $own[] = $at;
                }
                $at++;
            }
            $places[] = $own;
        }

        return static function (string $left) use ($places): string {
            foreach ($places as $own) {
                $count = 0;
                foreach ($own as $place) {
                    $count += $left[$place] === '1' ? 1 : 0;
                }
                foreach ($own as $i => $place) {
                    $left[$place] = $i < $count ? '1' : '0';
                }
            }

            return $left;
        };
    }

    /** Whether enough options of each choice are left. */
    public function suffices(string $left): bool
    {
        $at = 1;
        foreach ($this->choices as $choice) {
            if (substr_count(substr($left, $at, count($choice->options)), '1') < $choice->atLeast) {
                return false;
            }
            $at += count($choice->options);
        }

        return true;
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

    /** Whether it or one of its options says what else may show ("only"). */
    public function limitsTheRest(): bool
    {
        return $this->only || array_filter($this->options, static fn (self $option): bool => $option->only) !== [];
    }

    /** Whether the answer depends on the sex of an egg. */
    public function asksSex(): bool
    {
        return $this->sex !== null || array_filter($this->options, static fn (self $option): bool => $option->sex !== null) !== [];
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
        /** @var Weights<string> $left by the options that are left */
        $left = new Weights;
        $known = static fn (string $locus): bool => in_array($catalogue->groupOf($locus)->key, $belief->groups(), true);
        $open = $this->optionsWithin($catalogue, $known);
        $left->add($open, $open, Rational::one());
        $expressions = new Expressions($catalogue);
        foreach ($belief->factors as $factor) {
            /** @var Weights<string> $next */
            $next = new Weights;
            foreach ($factor->states->entries() as [$state, $p]) {
                foreach ($expressions->meets($state, $this) ? $left->entries() : [] as [$before, $q]) {
                    $now = $before & $this->optionsLeft($expressions->formsOf($state), $belief->sex);
                    $next->add($now, $now, $q->times($p));
                }
            }
            $left = $next;
        }

        return Weights::sum(array_map(
            fn (array $entry): Rational => $this->suffices($entry[0]) ? $entry[1] : Rational::zero(), array_values($left->entries()),
        ));
    }

    /** @return list<string> the loci that it names */
    public function loci(): array
    {
        $loci = $this->byLocus;
        foreach ($this->options as $option) {
            $loci += $option->byLocus;
        }

        return array_keys($loci);
    }

    /** @return list<string> alleles that it asks to show or to be carried, those of its options among them */
    public function wantedAlleles(): array
    {
        $own = array_map(static fn (TargetCondition $condition): array => $condition->wantedAlleles(), $this->conditions);

        return array_values(array_unique([...array_merge([], ...$own), ...self::wantedBy($this->options)]));
    }

    /**
     * @param list<self> $targets
     * @return list<string>
     */
    private static function wantedBy(array $targets): array
    {
        return array_merge([], ...array_map(static fn (self $target): array => $target->wantedAlleles(), $targets));
    }
}
