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

    public function __construct(Catalogue $catalogue, public readonly LinkageGroup $group, Target $target)
    {
        $this->book = new Book;
        $this->holdsSex = $group->holdsSex();
        $meiosis = new Meiosis;
        $this->wanted = new Wanted($catalogue, $group, $target);
        $this->diplotypes = new Diplotypes($this->book, $group, $target, new Expressions($catalogue), new Sight($catalogue, $group),
            $this->wanted);
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

    /** P(a copy of every allele that the target wants here | look); 1 where it wants none. */
    public function carriesAll(int $look): Rational
    {
        $sum = Rational::zero();
        foreach ($this->book->looks[$look] as $state => $p) {
            $sum = $this->wanted->isAllIn($this->book->states[$state]) ? $sum->plus($p) : $sum;
        }

        return $sum;
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
