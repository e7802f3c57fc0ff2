<?php

declare(strict_types=1);

namespace Destino\Inference\Descent;

use Closure;
use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\JointBelief;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Mask;
use Destino\Genome\SchoolChanges;
use Destino\Genome\Sex;
use Destino\Inference\Evidence\Hearing;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\InferenceError;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\Testimony;
use Destino\Inference\Faults\ErrorRates;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Inference\Inheritance\Outside;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;

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
 *
 * @phpstan-type State array<string, Diplotype>
 * @phpstan-type Weighted array<string, array{State, Rational}>
 * @phpstan-type Gamete array{array<string, list<string>>, Rational}
 */
final class Descent
{
    private readonly Hearing $hearing;

    /** @var array<string, Derived> */
    private array $known = [];

    /** @var array<string, true> animals whose ancestors are being worked out */
    private array $open = [];

    /** @var array<string, list<Gamete>> by parent and groups */
    private array $gametes = [];

    /** @var array<string, GenotypeSpace> by groups */
    private array $spaces = [];

    /** @var array<string, array<string, array{list<string>, Rational}>> gametes by group and diplotype */
    private array $strands = [];

    /**
     * @param array<string, Individual> $animals by id
     * @param (Closure(string): ?Belief)|null $believed what was derived of an animal before, from the same facts
     * @param Rational|null $unrecorded P(an animal carries one copy of a gene that nobody mentioned), as ErrorRates has it
     */
    public function __construct(private readonly Catalogue $catalogue, private readonly array $animals, private readonly ?Closure $believed = null, private readonly ?Rational $unrecorded = null, private ?Outside $outside = null)
    {
        $this->hearing = new Hearing($catalogue);
    }

    /** What is known of animals from outside: how often the founders here carry each allele. */
    public function outside(): Outside
    {
        if ($this->outside === null) {
            $copies = [];
            $founders = 0;
            foreach ($this->animals as $id => $animal) {
                if ($animal->isFounder()) {
                    $founders++;
                    $this->count($this->of($id)->belief, $copies);
                }
            }
            $this->outside = new Outside($this->catalogue, $copies, $founders, $this->unrecorded ?? Rational::of(1, 20));
        }

        return $this->outside;
    }

    /** @param array<string, Rational> $copies expected copies by allele, added to */
    private function count(Belief $belief, array &$copies): void
    {
        foreach ($belief->factors as $factor) {
            foreach ($factor->states->entries() as [$state, $weight]) {
                foreach ($state as $diplotype) {
                    foreach (array_merge(...$diplotype->haplotypes) as $allele) {
                        if ($allele !== Allele::WILD && $allele !== Sex::X && $allele !== Sex::Y) {
                            $copies[$allele] = isset($copies[$allele]) ? $copies[$allele]->plus($weight) : $weight;
                        }
                    }
                }
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
        return new self($this->catalogue, [$animal->id => $animal] + $this->animals, fn (string $id): ?Belief => $id === $animal->id ? null : $this->of($id)->belief, $this->unrecorded, $this->outside());
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

        return $this->animals[$id]->sex === null || $this->animals[$id]->sex === $sex ? $belief : throw InferenceError::parentOfWrongSex($id, $sex, $young);
    }

    private function derive(Individual $animal, ?Belief $sire, ?Belief $dam): Derived
    {
        $factors = $reasons = $conflicts = [];
        foreach ($this->components($animal, $sire, $dam) as $groups) {
            $steps = new Steps($this->prior($groups, $animal, $sire, $dam));
            [$states, $clash] = $this->weigh($groups, $animal, $steps, $sire !== null || $dam !== null);
            array_push($conflicts, ...$clash);
            $factors[] = $this->factor($groups, $states);
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
        $beliefs = array_values(array_filter([$sire, $dam, ...array_map(static fn (Testimony $one): Belief => $one->says, $animal->testimonies)]));
        $component = [];
        foreach ($beliefs as $belief) {
            foreach ($belief->factors as $factor) {
                $names = [];
                foreach ($factor->groups as $group) {
                    $component[$group] ??= $group;
                    $names[] = $component[$group];
                }
                foreach ($component as $group => $name) {
                    if (in_array($name, $names, true)) {
                        $component[$group] = $names[0];
                    }
                }
            }
        }
        $components = [];
        foreach ($component as $group => $name) {
            $components[$name][] = $this->catalogue->groups[$group];
        }

        return array_values($components);
    }

    /**
     * P(genotype | parents), or null where no parent is recorded.
     *
     * @param list<LinkageGroup> $groups
     * @return Weighted|null
     */
    private function prior(array $groups, Individual $animal, ?Belief $sire, ?Belief $dam): ?array
    {
        if ($sire === null && $dam === null) {
            return null;
        }
        $paternal = $sire === null ? $this->fromOutside($groups, $animal, Sex::Male) : $this->given($groups, $animal->sire ?? '', $sire);
        $maternal = $dam === null ? $this->fromOutside($groups, $animal, Sex::Female) : $this->given($groups, $animal->dam ?? '', $dam);
        $states = [];
        foreach ($paternal as [$left, $p]) {
            foreach ($maternal as [$right, $q]) {
                $state = [];
                foreach ($groups as $group) {
                    $state[$group->key] = new Diplotype($left[$group->key], $right[$group->key]);
                    if ($group->holdsSex() && $animal->sex !== null && self::sexOf($group, $state[$group->key]) !== $animal->sex) {
                        continue 2;
                    }
                }
                $weight = $p->times($q);
                $key = self::key($state);
                $states[$key] = [$state, isset($states[$key]) ? $states[$key][1]->plus($weight) : $weight];
            }
        }

        return $states;
    }

    /**
     * P(haplotypes over some groups | what is believed of a parent). Groups that its belief ties stay tied.
     *
     * @param list<LinkageGroup> $groups
     * @return list<Gamete>
     */
    private function given(array $groups, string $id, Belief $parent): array
    {
        $key = $id.' '.implode('|', array_map(static fn (LinkageGroup $group): string => $group->key, $groups));

        return $this->gametes[$key] ??= $this->meiosis($groups, $parent);
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return list<Gamete>
     */
    private function meiosis(array $groups, Belief $parent): array
    {
        $merged = [];
        foreach ($parent->statesOver($groups) as [$state, $weight]) {
            $gametes = [['', [], $weight]];
            foreach ($groups as $group) {
                $longer = [];
                foreach ($this->strands[$group->key.' '.$state[$group->key]->key] ??= $group->gametes($state[$group->key])->entries() as $haplotypeKey => [$haplotype, $chance]) {
                    foreach ($gametes as [$key, $haplotypes, $p]) {
                        $longer[] = [$key.'|'.$haplotypeKey, $haplotypes + [$group->key => $haplotype], $p->times($chance)];
                    }
                }
                $gametes = $longer;
            }
            foreach ($gametes as [$key, $haplotypes, $p]) {
                $merged[$key] = [$haplotypes, isset($merged[$key]) ? $merged[$key][1]->plus($p) : $p];
            }
        }

        return array_values($merged);
    }

    /**
     * What an unrecorded parent gives: the wild type, or an allele that a statement names, as often as animals from outside
     * give it.
     *
     * @param list<LinkageGroup> $groups
     * @return list<Gamete>
     */
    private function fromOutside(array $groups, Individual $animal, Sex $parent): array
    {
        $alleles = $this->hearing->allelesNamed($this->space($groups), $animal);

        return $alleles === [] ? $this->wildGametes($groups, $parent) : $this->outside()->gametes($groups, $parent, $alleles);
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return list<Gamete>
     */
    private function wildGametes(array $groups, Sex $parent): array
    {
        return (new Outside($this->catalogue, [], 0, Rational::zero()))->gametes($groups, $parent, []);
    }

    /** @param list<LinkageGroup> $groups */
    private function space(array $groups): GenotypeSpace
    {
        return $this->spaces[implode('|', array_map(static fn (LinkageGroup $group): string => $group->key, $groups))] ??= new GenotypeSpace($this->catalogue, $groups);
    }

    /** @return list<Mask> what the statements about an animal give it for certain that hides other genes */
    private function sureMasks(Individual $animal): array
    {
        $sure = [];
        foreach ($animal->testimonies as $testimony) {
            foreach ($testimony->says->factors as $factor) {
                $space = $this->space(array_map(fn (string $key): LinkageGroup => $this->catalogue->groups[$key], $factor->groups));
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
     * @param list<LinkageGroup> $groups
     * @return array{Weighted, list<Conflict>} weights that need not sum to 1
     */
    private function weigh(array $groups, Individual $animal, Steps $steps, bool $hasParent): array
    {
        $relevant = $this->hearing->relevant($this->space($groups), $animal, $steps->prior !== null);
        $conflicts = $this->conflicts($groups, $relevant, $steps->prior, $hiding = $this->sureMasks($animal));
        $trusted = $conflicts !== [];
        $states = $steps->prior ?? $this->founder($groups, $animal, $relevant, $trusted);
        if ($steps->prior === null) {
            $first = array_shift($relevant);
            if ($first !== null) {
                $steps->take($first->id, $states);
            }
        } elseif ($trusted) {
            $states = $this->softened($groups, $states, $animal, $relevant);
        }
        $percentages = $hasParent && ($animal->sire === null || $animal->dam === null);
        foreach ($relevant as $testimony) {
            $weighed = $this->after($states, $groups, $testimony, $trusted, $percentages && $testimony === $relevant[0], $hiding);
            if ($weighed !== []) {
                $states = $weighed;
                $steps->take($testimony->id, $states);
            } elseif ($conflicts === []) {
                $conflicts[] = new Conflict(self::lociOf($groups), array_map(static fn (Testimony $one): string => $one->id, $relevant));
            }
        }

        return [$states, $conflicts];
    }

    /**
     * The states that the weightiest statement of a founder means; what is not sure of it goes to the wild type, and
     * where statements exclude each other, to what the others mean.
     *
     * @param list<LinkageGroup> $groups
     * @param list<Testimony> $relevant
     * @return Weighted
     */
    private function founder(array $groups, Individual $animal, array $relevant, bool $trusted): array
    {
        $sex = $animal->sex ?? Sex::Female;
        $wild = [];
        foreach ($groups as $group) {
            $wild[$group->key] = $group->wildType($sex);
        }
        if ($relevant === []) {
            return [self::key($wild) => [$wild, Rational::one()]];
        }
        $certainty = $trusted ? self::lesser($relevant[0]->certainty, $relevant[0]->source->trust()) : $relevant[0]->certainty;
        $weighted = [];
        foreach ($relevant[0]->says->statesOver($groups) as [$state, $p]) {
            $weighted[] = [$state, $p->times($certainty)];
        }
        $others = $trusted ? array_slice($relevant, 1) : [];
        foreach ($others as $other) {
            foreach ($other->says->statesOver($groups) as [$state, $p]) {
                $weighted[] = [$state, $p->times($certainty->complement())->dividedBy(Rational::of(count($others)))];
            }
        }
        if ($others === []) {
            $weighted[] = [$wild, $certainty->complement()];
        }

        return self::merged($weighted);
    }

    /**
     * The parents' states and, since something is wrong, a little of what each statement means beside them.
     *
     * @param list<LinkageGroup> $groups
     * @param Weighted $prior
     * @param list<Testimony> $relevant
     * @return Weighted
     */
    private function softened(array $groups, array $prior, Individual $animal, array $relevant): array
    {
        $trust = Source::Parents->trust();
        $sum = array_reduce($prior, static fn (Rational $total, array $entry): Rational => $total->plus($entry[1]), Rational::zero());
        $weighted = [];
        foreach ($prior as [$state, $weight]) {
            $weighted[] = [$state, $weight->dividedBy($sum)->times($trust)];
        }
        foreach ($relevant as $testimony) {
            foreach ($testimony->says->statesOver($groups) as [$state, $p]) {
                $weighted[] = [$state, $p->times($trust->complement())->dividedBy(Rational::of(count($relevant)))];
            }
        }

        return self::merged($weighted);
    }

    /**
     * @param Weighted $states
     * @param list<LinkageGroup> $groups
     * @param list<Mask> $hiding
     * @return Weighted without the states that a certain statement excludes
     */
    private function after(array $states, array $groups, Testimony $testimony, bool $trusted, bool $percentages, array $hiding): array
    {
        $space = $this->space($groups);
        $certainty = $trusted ? self::lesser($testimony->certainty, $testimony->source->trust()) : $testimony->certainty;
        $says = $this->hearing->chances($this->space($groups), $testimony);
        $named = $this->hearing->namedLoci($groups, $testimony);
        $allowed = $totals = [];
        foreach ($states as $key => [$state, $weight]) {
            $allowed[$key] = $this->hearing->allows($state, $space, $testimony, $says, $hiding);
            if ($allowed[$key] !== null) {
                $part = $this->hearing->namedPart($state, $groups, $named);
                $totals[$part] = isset($totals[$part]) ? $totals[$part]->plus($weight) : $weight;
            }
        }
        $after = [];
        foreach ($states as $key => [$state, $weight]) {
            $right = match (true) {
                $allowed[$key] === null => Rational::zero(),
                // With one parent unrecorded the percentages are the statement's: P(state) = P(part | statement)·P(state | part).
                $percentages => $weight->times($allowed[$key])->dividedBy($totals[$this->hearing->namedPart($state, $groups, $named)] ?? Rational::one()),
                default => $weight,
            };
            $left = $allowed[$key] === null ? $weight->times($certainty->complement()) : $right->times($certainty);
            if (! $left->isZero()) {
                $after[$key] = [$state, $left];
            }
        }

        return $after;
    }

    /**
     * Sides that allow no genotype in common.
     *
     * @param list<LinkageGroup> $groups
     * @param list<Testimony> $relevant
     * @param Weighted|null $prior
     * @param list<Mask> $hiding
     * @return list<Conflict>
     */
    private function conflicts(array $groups, array $relevant, ?array $prior, array $hiding): array
    {
        $conflicts = [];
        $space = $this->space($groups);
        foreach ($relevant as $i => $one) {
            $says = $this->hearing->chances($this->space($groups), $one);
            $agrees = $prior === null || array_filter($prior, fn (array $entry): bool => $this->hearing->allows($entry[0], $space, $one, $says, $hiding) !== null) !== [];
            if (! $agrees) {
                $conflicts[] = new Conflict($this->lociAtOdds($groups, $one), [Reason::PARENTS, $one->id]);
            }
            foreach (array_slice($relevant, $i + 1) as $other) {
                $named = $this->hearing->namedLoci($groups, $one) + $this->hearing->namedLoci($groups, $other);
                $others = $this->hearing->chances($this->space($groups), $other);
                $both = false;
                foreach ([...$one->says->statesOver($groups), ...$other->says->statesOver($groups)] as [$state]) {
                    $both = $both || ($this->hearing->allows($state, $space, $one, $says, $hiding) !== null && $this->hearing->allows($state, $space, $other, $others, $hiding) !== null);
                }
                if (! $both) {
                    $conflicts[] = new Conflict(array_keys($named), [$one->id, $other->id]);
                }
            }
        }

        return $conflicts;
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return list<string>
     */
    private function lociAtOdds(array $groups, Testimony $testimony): array
    {
        $named = array_keys($this->hearing->namedLoci($groups, $testimony));

        return $named !== [] ? $named : self::lociOf($groups);
    }

    /**
     * @param list<LinkageGroup> $groups
     * @param Weighted $states
     */
    private function factor(array $groups, array $states): JointBelief
    {
        return new JointBelief(array_map(static fn (LinkageGroup $group): string => $group->key, $groups), self::normalised($states));
    }

    /** @return list<Reason> */
    private function reasons(Steps $steps, LinkageGroup $group, int $i, string $locus, Individual $animal): array
    {
        $reasons = [];
        $named = array_fill_keys([Reason::PARENTS], true);
        foreach ($animal->testimonies as $testimony) {
            $named[$testimony->id] = $testimony->namesAllThatShows || isset($this->hearing->namedLoci([$group], $testimony)[$locus]);
        }
        foreach ($steps->taken as [$by, $states]) {
            if (! $named[$by]) {
                continue;
            }
            $weighted = [];
            foreach (self::normalised($states)->entries() as [$state, $weight]) {
                $pair = $state[$group->key]->pairAt($i);
                $weighted[] = [SchoolChanges::pairKey(...$pair), $pair, $weight];
            }
            $reasons[] = new Reason($by, Distribution::ofWeighted($weighted));
        }

        return $reasons;
    }

    /**
     * @param Weighted $states
     * @return Distribution<State>
     */
    private static function normalised(array $states): Distribution
    {
        $sum = array_reduce($states, static fn (Rational $total, array $entry): Rational => $total->plus($entry[1]), Rational::zero());

        return Distribution::ofWeighted(array_map(static fn (string $key, array $entry): array => [$key, $entry[0], $entry[1]->dividedBy($sum)], array_map(strval(...), array_keys($states)), array_values($states)));
    }

    /**
     * @param list<array{State, Rational}> $weighted
     * @return Weighted
     */
    private static function merged(array $weighted): array
    {
        $states = [];
        foreach ($weighted as [$state, $weight]) {
            if (! $weight->isZero()) {
                $key = self::key($state);
                $states[$key] = [$state, isset($states[$key]) ? $states[$key][1]->plus($weight) : $weight];
            }
        }

        return $states;
    }

    /** @param State $state */
    private static function key(array $state): string
    {
        ksort($state);

        return implode('|', array_map(static fn (Diplotype $diplotype): string => $diplotype->key, $state));
    }

    private static function sexOf(LinkageGroup $group, Diplotype $diplotype): Sex
    {
        return Sex::ofAlleles($diplotype->pairAt($group->indexOf(Sex::LOCUS)));
    }

    private static function lesser(Rational $a, Rational $b): Rational
    {
        return $a->compareTo($b) <= 0 ? $a : $b;
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return list<string>
     */
    private static function lociOf(array $groups): array
    {
        return array_values(array_diff(array_merge(...array_map(static fn (LinkageGroup $group): array => $group->loci, $groups)), [Sex::LOCUS]));
    }
}
