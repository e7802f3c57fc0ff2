<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Expressions;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Mask;
use Destino\Genome\Meiosis;
use Destino\Genome\Sex;
use Destino\Notation\Target;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/**
 * One linkage group of a plan. A keeper chooses young by what is seen, so the plan speaks of *looks*: a look is what is
 * believed of the group in young that look alike (100 % het, 66 % het, visual …), a distribution over diplotypes. Looks
 * and diplotypes have numbers, crosses of two looks are worked out once.
 */
final class GroupTable
{
    public readonly Book $book;

    /** @var array<string, Rational> P(the target here) by pair of looks */
    private array $meeting = [];

    /** @var array<int, Rational> P(the target here | look) */
    private array $accepted = [];

    /** @var array<int, array<int, Rational>> P(the conditions here are met and these options are left | look) */
    private array $left = [];

    /** @var array<int, list<array{Sex|null, int, Rational}>> by both looks */
    private array $leaving = [];

    /** @var array<int, array<int, float>> by both looks and option */
    private array $optionChances = [];

    /** @var array<int, float> expected wanted copies by look */
    private array $copies = [];

    /** @var array<int, list<Mask>> what a look hides of other groups */
    private array $hides = [];

    private readonly LookCrosses $crosses;

    /** What each diplotype of the book is. */
    public readonly Diplotypes $diplotypes;

    public readonly bool $canHide;

    public readonly bool $holdsSex;

    private readonly Wanted $wanted;

    private readonly Passing $passing;

    private readonly EggDraw $eggs;

    /** @var array<int, float> P(an egg meets the target here) by both looks */
    private array $chances = [];

    /** @var list<int> options of the target's choices that ask something here */
    public readonly array $options;

    public function __construct(Catalogue $catalogue, public readonly LinkageGroup $group, Target $target)
    {
        $choices = new Choices($target);
        $this->options = $choices->optionsAt($group);
        $this->book = new Book;
        $this->holdsSex = $group->holdsSex();
        $meiosis = new Meiosis;
        $this->wanted = new Wanted($catalogue, $group, $target);
        $this->diplotypes = new Diplotypes($this->book, $group, $target, new Expressions($catalogue), new Sight($catalogue, $group),
            $this->wanted, $choices);
        $this->canHide = $this->diplotypes->canHide;
        $this->crosses = new LookCrosses($group, $this->book, $this->diplotypes, $meiosis);
        $this->passing = new Passing($this->wanted, $this->holdsSex, $this->crosses->pool(...));
        $this->eggs = new EggDraw($meiosis, $group, $this->book->number(...));
    }

    /** The look that stands for what is believed of a founder here. */
    public function lookOf(Belief $belief): int
    {
        /** @var Weights<null> $weights */
        $weights = new Weights;
        foreach ($belief->statesOver([$this->group]) as [$state, $p]) {
            $weights->add($this->book->number($state->at($this->group)), null, $p);
        }

        return $this->book->look($weights);
    }

    /**
     * What two looks give: each look of the young, P(an egg lives and looks so), and its sex where this group holds it.
     *
     * @param list<Mask> $hiding forms of the young at other groups that hide what it is here
     * @return list<array{int, Rational, float, Sex|null}>
     */
    public function cross(int $sire, int $dam, array $hiding = []): array
    {
        return $this->crosses->cross($sire, $dam, $hiding);
    }

    /** P(an egg of two looks lives and meets the target here). */
    public function meeting(int $sire, int $dam): Rational
    {
        return $this->meeting["{$sire}x{$dam}"] ??= $this->crosses->meeting($sire, $dam, $this->accepted(...));
    }

    /** The same in floats, which are quicker. */
    public function chanceOfMeeting(int $sire, int $dam): float
    {
        return $this->chances[$sire << 20 | $dam] ??= $this->meeting($sire, $dam)->toFloat();
    }

    /** P(the target is met at this group | look). */
    public function accepted(int $look): Rational
    {
        if (! isset($this->accepted[$look])) {
            $sum = Rational::zero();
            foreach ($this->book->looks[$look] as $state => $p) {
                $sum = $this->diplotypes->accepts($state) ? $sum->plus($p) : $sum;
            }
            $this->accepted[$look] = $sum;
        }

        return $this->accepted[$look];
    }

    /**
     * P(the conditions are met here and these options of the choices are left | look), by the set of options (Choices).
     *
     * @return array<int, Rational>
     */
    public function left(int $look): array
    {
        if (! isset($this->left[$look])) {
            $chances = [];
            foreach ($this->book->looks[$look] as $state => $p) {
                if ($this->diplotypes->accepts($state)) {
                    $left = $this->diplotypes->left($state);
                    $chances[$left] = isset($chances[$left]) ? $chances[$left]->plus($p) : $p;
                }
            }
            $this->left[$look] = $chances;
        }

        return $this->left[$look];
    }

    /**
     * The same of an egg of two looks: its sex where this group holds it, the options that are left, and P(it lives and is so).
     *
     * @return list<array{Sex|null, int, Rational}>
     */
    public function leaving(int $sire, int $dam): array
    {
        if (! isset($this->leaving[$sire << 20 | $dam])) {
            $found = [];
            foreach ($this->cross($sire, $dam) as [$look, $chance, , $sex]) {
                foreach ($this->left($look) as $left => $p) {
                    $key = $left.($sex->value ?? '');
                    $found[$key] = [$sex, $left, isset($found[$key]) ? $found[$key][2]->plus($chance->times($p)) : $chance->times($p)];
                }
            }
            $this->leaving[$sire << 20 | $dam] = array_values($found);
        }

        return $this->leaving[$sire << 20 | $dam];
    }

    /**
     * P(an egg of two looks leaves an option open here), by the options that ask something here; where this group holds the sex, from
     * the copies that both carry.
     *
     * @return array<int, float>
     */
    public function optionChances(int $sire, int $dam): array
    {
        if ($this->options === []) {
            return [];
        }
        if ($this->holdsSex) {
            return array_fill_keys($this->options, min(1.0, ($this->wanted($sire) + $this->wanted($dam)) / 2));
        }
        if (! isset($this->optionChances[$sire << 20 | $dam])) {
            $chances = array_fill_keys($this->options, 0.0);
            foreach ($this->leaving($sire, $dam) as [, $left, $p]) {
                foreach ($this->options as $option) {
                    $chances[$option] += ($left >> $option & 1) === 1 ? $p->toFloat() : 0.0;
                }
            }
            $this->optionChances[$sire << 20 | $dam] = $chances;
        }

        return $this->optionChances[$sire << 20 | $dam];
    }

    /** P(a copy of every allele that must be there here | look); 1 where none must; of choices see carrying(). */
    public function carriesAll(int $look): Rational
    {
        $sum = Rational::zero();
        foreach ($this->book->looks[$look] as $state => $p) {
            $sum = $this->wanted->isAllIn($this->book->states[$state]) ? $sum->plus($p) : $sum;
        }

        return $sum;
    }

    /**
     * P(a copy of every allele that must be there, and of every one that these options want here) of an egg of two looks that lives.
     *
     * @return array<int, Rational> by the set of options
     */
    public function carrying(int $sire, int $dam): array
    {
        $chances = [];
        foreach ($this->cross($sire, $dam) as [$look, $chance]) {
            foreach ($this->book->looks[$look] as $state => $p) {
                $own = $this->book->states[$state];
                if ($this->wanted->isAllIn($own)) {
                    $options = $this->wanted->optionsIn($own);
                    $chances[$options] = ($chances[$options] ?? Rational::zero())->plus($chance->times($p));
                }
            }
        }

        return $chances;
    }

    /** @return list<Mask> what animals of this look hide of other groups */
    public function hides(int $look): array
    {
        if (! $this->canHide) {
            return [];
        }

        return $this->hides[$look] ??= array_values(
            array_unique(array_merge([], ...array_map($this->diplotypes->hiddenBy(...), array_keys($this->book->looks[$look]))),
                SORT_REGULAR),
        );
    }

    /**
     * What is seen of the young that a look stands for.
     *
     * @param list<Mask> $hiding
     */
    public function seenOfLook(int $look, array $hiding = []): string
    {
        return $this->diplotypes->seen((int) array_key_first($this->book->looks[$look]), $hiding);
    }

    /** Equal for looks under which the same diplotypes are possible. */
    public function support(int $look): string
    {
        return implode(',', array_keys($this->book->looks[$look]));
    }

    /** Whether animals of this look differ in what would be seen of them, were it not hidden. */
    public function isBlurred(int $look): bool
    {
        return count(array_unique(array_map(fn (int $state): string => $this->diplotypes->seen($state),
            array_keys($this->book->looks[$look])))) > 1;
    }

    /** Draws the diplotype of an egg of two animals; $chance lies in [0, 1). */
    public function draw(int $sire, int $dam, float $chance): int
    {
        return $this->eggs->of($sire << 24 | $dam, $this->book->states[$sire], $this->book->states[$dam], $chance);
    }

    /** @return array<string, float> P(what is seen) of the living young of two diplotypes */
    public function seenOdds(int $sire, int $dam): array
    {
        $odds = [];
        $sum = 0.0;
        foreach ($this->cross($this->book->blend([$sire => 1.0]), $this->book->blend([$dam => 1.0])) as [$look, , $chance]) {
            $seen = $this->seenOfLook($look);
            $odds[$seen] = ($odds[$seen] ?? 0.0) + $chance;
            $sum += $chance;
        }

        return $sum > 0.0 ? array_map(static fn (float $chance): float => $chance / $sum, $odds) : [];
    }

    /** Whether the target asks for an allele here, and not only against one. */
    public function asks(): bool
    {
        return $this->wanted->here !== [];
    }

    /** Expected copies of wanted alleles under a look: how much of what the target asks it carries. */
    public function wanted(int $look): float
    {
        if (! isset($this->copies[$look])) {
            $copies = 0.0;
            foreach ($this->book->looks[$look] as $state => $p) {
                $copies += $p->toFloat() * $this->diplotypes->copies($state);
            }
            $this->copies[$look] = $copies;
        }

        return $this->copies[$look];
    }

    /** Whether an animal of one look is at least as good here as one of another (Passing). */
    public function isAtLeast(int $look, int $other): bool
    {
        return $this->passing->isAtLeast($look, $other);
    }

    /** P(a young meets the target here | a parent of this look and the best mate there could be), or more. */
    public function ceiling(int $look): float
    {
        return $this->passing->ceiling($look);
    }
}
