<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\Expressions;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Mask;
use Destino\Genome\Meiosis;
use Destino\Genome\Sex;
use Destino\Notation\ClauseKind;
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
    /** @var list<Diplotype> */
    public array $states = [];

    /** @var array<string, int> */
    private array $numberOfState = [];

    /** @var list<array<int, Rational>> P(diplotype) of each look, by number of the diplotype */
    public array $looks = [];

    /** @var array<string, int> */
    private array $numberOfLook = [];

    /** @var array<string, list<array{int, Rational, float, Sex|null}>> */
    private array $crosses = [];

    /** @var array<string, Rational> P(the target here) by pair of looks */
    private array $meeting = [];

    /** @var array<int, Rational> P(the target here | look) */
    private array $accepted = [];

    /** @var array<int, array<array-key, array{list<string>, Rational}>> P(haplotype | look) */
    private array $pools = [];

    /** @var array<string, string> what is seen of a diplotype, by what hides and its number */
    private array $seen = [];

    /** @var array<int, list<Mask>> what a look hides of other groups */
    private array $hides = [];

    private readonly Meiosis $meiosis;

    private readonly Expressions $expressions;

    private readonly Sight $sight;

    public readonly bool $canHide;

    /** @var array<int, bool> */
    private array $lethal = [];

    /** @var array<int, bool> */
    private array $accepts = [];

    /** @var array<int, list<float>> for drawing: the offspring diplotypes of two, as numbers and rising chances */
    private array $drawChances = [];

    /** @var array<int, list<int>> */
    private array $drawStates = [];

    /** @var array<string, int>|null */
    private ?array $wanted = null;

    public readonly bool $holdsSex;

    /** @var array<int, bool> */
    private array $atLeast = [];

    /** @var array<int, array<string, float>> */
    private array $passes = [];

    /** @var array<int, int> look on the grid by look */
    private array $coarse = [];

    private ?bool $monotone = null;

    /** @var array<int, float> */
    private array $ceilings = [];

    public function __construct(private readonly Catalogue $catalogue, public readonly LinkageGroup $group, private readonly Target $target)
    {
        $this->holdsSex = $group->holdsSex();
        $this->meiosis = new Meiosis;
        $this->expressions = new Expressions($catalogue);
        $this->sight = new Sight($catalogue, $group);
        $this->canHide = $this->sight->canHide();
    }

    /** The look that stands for what is believed of a founder here. */
    public function lookOf(Belief $belief): int
    {
        /** @var Weights<null> $weights */
        $weights = new Weights;
        foreach ($belief->statesOver([$this->group]) as [$state, $p]) {
            $weights->add($this->number($state->at($this->group)), null, $p);
        }

        return $this->look($weights);
    }

    /**
     * What two looks give: each look of the young, P(an egg lives and looks so), and its sex where this group holds it.
     *
     * @param list<Mask> $hiding forms of the young at other groups that hide what it is here
     * @return list<array{int, Rational, float, Sex|null}>
     */
    public function cross(int $sire, int $dam, array $hiding = []): array
    {
        return $this->crosses["{$sire}x{$dam}".self::keyOf($hiding)] ??= $this->crossed($sire, $dam, $hiding);
    }

    /** P(an egg of two looks lives and meets the target here). */
    public function meeting(int $sire, int $dam): Rational
    {
        if (! isset($this->meeting["{$sire}x{$dam}"])) {
            $sum = Rational::zero();
            foreach ($this->cross($sire, $dam) as [$look, $chance]) {
                $sum = $sum->plus($chance->times($this->accepted($look)));
            }
            $this->meeting["{$sire}x{$dam}"] = $sum;
        }

        return $this->meeting["{$sire}x{$dam}"];
    }

    /** P(the target is met at this group | look). */
    public function accepted(int $look): Rational
    {
        if (! isset($this->accepted[$look])) {
            $sum = Rational::zero();
            foreach ($this->looks[$look] as $state => $p) {
                $sum = $this->accepts($state) ? $sum->plus($p) : $sum;
            }
            $this->accepted[$look] = $sum;
        }

        return $this->accepted[$look];
    }

    /** P(a copy of every allele that the target wants here | look); 1 where it wants none. */
    public function carriesAll(int $look): Rational
    {
        $here = array_intersect_key(
            $this->wantedAlleles(),
            array_flip(
                array_merge(
                    [],
                    ...array_map(
                        fn (string $locus): array => $locus === Sex::LOCUS ? [] : $this->catalogue->locus($locus)->alleles,
                        $this->group->loci,
                    ),
                ),
            ),
        );
        $sum = Rational::zero();
        foreach ($this->looks[$look] as $state => $p) {
            $there = array_flip(array_merge(...$this->states[$state]->haplotypes));
            $sum = array_diff_key($here, $there) === [] ? $sum->plus($p) : $sum;
        }

        return $sum;
    }

    /** Whether an animal of this diplotype meets the target here. */
    public function accepts(int $state): bool
    {
        return $this->accepts[$state] ??= $this->expressions->of($this->group, $this->states[$state])->meets($this->target);
    }

    public function isLethal(int $state): bool
    {
        return $this->lethal[$state] ??= $this->expressions->of($this->group, $this->states[$state])->isLethal;
    }

    /**
     * Equal for diplotypes that cannot be told apart by eye.
     *
     * @param list<Mask> $hiding
     */
    public function seen(int $state, array $hiding = []): string
    {
        return $this->seen[$state.self::keyOf($hiding)] ??= $this->sight->of($this->states[$state], $hiding);
    }

    /** @return list<Mask> what animals of this look hide of other groups */
    public function hides(int $look): array
    {
        if (! $this->canHide) {
            return [];
        }

        return $this->hides[$look] ??= array_values(
            array_unique(array_merge([], ...array_map($this->hiddenBy(...), array_keys($this->looks[$look]))), SORT_REGULAR),
        );
    }

    /** @return list<Mask> */
    public function hiddenBy(int $state): array
    {
        return $this->canHide ? $this->sight->hides($this->states[$state]) : [];
    }

    public function sexOf(int $state): ?Sex
    {
        return $this->expressions->of($this->group, $this->states[$state])->sex;
    }

    /**
     * What is seen of the young that a look stands for.
     *
     * @param list<Mask> $hiding
     */
    public function seenOfLook(int $look, array $hiding = []): string
    {
        return $this->seen((int) array_key_first($this->looks[$look]), $hiding);
    }

    /** Equal for looks under which the same diplotypes are possible. */
    public function support(int $look): string
    {
        return implode(',', array_keys($this->looks[$look]));
    }

    /** Whether animals of this look differ in what would be seen of them, were it not hidden. */
    public function isBlurred(int $look): bool
    {
        return count(array_unique(array_map(fn (int $state): string => $this->seen($state), array_keys($this->looks[$look])))) > 1;
    }

    /**
     * Whether a diplotype is what is hoped for in an animal of this look: nothing that it may be has more copies of what the
     * target wants.
     */
    public function isAsHoped(int $look, int $state): bool
    {
        return $this->copies($state) >= max([0, ...array_map($this->copies(...), array_keys($this->looks[$look]))]);
    }

    /** Draws the diplotype of an egg of two animals; $chance lies in [0, 1). */
    public function draw(int $sire, int $dam, float $chance): int
    {
        $pair = $sire * 4096 + $dam;
        if (! isset($this->drawChances[$pair])) {
            $weights = [];
            $strands = $this->meiosis->strands($this->group, $this->states[$dam])->entries();
            foreach ($this->meiosis->strands($this->group, $this->states[$sire])->entries() as [$left, $p]) {
                foreach ($strands as [$right, $q]) {
                    $state = $this->number(new Diplotype($left, $right));
                    $weights[$state] = ($weights[$state] ?? 0.0) + $p->toFloat() * $q->toFloat();
                }
            }
            $sum = 0.0;
            $rising = [];
            foreach ($weights as $weight) {
                $rising[] = $sum += $weight;
            }
            $this->drawChances[$pair] = $rising;
            $this->drawStates[$pair] = array_keys($weights);
        }
        $rising = $this->drawChances[$pair];
        $states = $this->drawStates[$pair];
        foreach ($rising as $i => $upTo) {
            if ($chance < $upTo) {
                return $states[$i];
            }
        }

        return $states[count($states) - 1];
    }

    /** Steps of a chance that is rounded, so that what is much alike is one phenotype. */
    private const GRID = 48;

    /** The same for young that are only looked ahead for: halves, thirds and quarters stay what they are. */
    private const COARSE = 12;

    /**
     * The look that stands for diplotypes in proportion to some weights, rounded to a coarse grid.
     *
     * @param array<int, float> $weights by number of the diplotype
     */
    public function blend(array $weights): int
    {
        arsort($weights);
        $total = array_sum($weights);
        $left = self::GRID;
        $rounded = self::nothing();
        foreach (array_reverse($weights, true) as $state => $weight) { // the largest takes what rounding leaves
            $steps = $state === array_key_first($weights) ? $left : (int) round(self::GRID * $weight / $total);
            $left -= $steps;
            $rounded->add($state, null, Rational::of($steps, self::GRID));
        }

        return $this->look($rounded);
    }

    /**
     * A look that is much like another one, on the grid: over generations in which something is hidden their number would grow
     * without end. What is possible stays possible.
     */
    public function coarse(int $look): int
    {
        return $this->coarse[$look] ??= $this->isOnGrid($look) ? $look : $this->rounded($look);
    }

    private function isOnGrid(int $look): bool
    {
        foreach ($this->looks[$look] as $p) {
            if (! $p->times(Rational::of(self::COARSE))->denominator()->isEqualTo(1)) {
                return false;
            }
        }

        return true;
    }

    private function rounded(int $look): int
    {
        $rounded = self::nothing();
        foreach ($this->looks[$look] as $state => $p) {
            $rounded->add($state, null, Rational::of(max(1, (int) round(self::COARSE * $p->toFloat()))));
        }

        return $this->look($rounded);
    }

    /** @return array<string, float> P(what is seen) of the living young of two diplotypes */
    public function seenOdds(int $sire, int $dam): array
    {
        $odds = [];
        $sum = 0.0;
        foreach ($this->cross($this->blend([$sire => 1.0]), $this->blend([$dam => 1.0])) as [$look, , $chance]) {
            $seen = $this->seenOfLook($look);
            $odds[$seen] = ($odds[$seen] ?? 0.0) + $chance;
            $sum += $chance;
        }

        return $sum > 0.0 ? array_map(static fn (float $chance): float => $chance / $sum, $odds) : [];
    }

    /** Whether the target asks for an allele here, and not only against one. */
    public function asks(): bool
    {
        return array_intersect_key(
            $this->wantedAlleles(),
            array_flip(
                array_merge(
                    ...array_map(
                        fn (string $locus): array => $locus === Sex::LOCUS ? [] : $this->catalogue->locus($locus)->alleles,
                        $this->group->loci,
                    ),
                ),
            ),
        ) !== [];
    }

    /** Expected copies of wanted alleles under a look: how much of what the target asks it carries. */
    public function wanted(int $look): float
    {
        $copies = 0.0;
        foreach ($this->looks[$look] as $state => $p) {
            $copies += $p->toFloat() * $this->copies($state);
        }

        return $copies;
    }

    private function copies(int $state): int
    {
        $copies = 0;
        foreach ($this->states[$state]->haplotypes as $haplotype) {
            $copies += count(array_intersect_key($this->wantedAlleles(), array_flip($haplotype)));
        }

        return $copies;
    }

    /** @param list<Mask> $hiding */
    private static function keyOf(array $hiding): string
    {
        return $hiding === [] ? '' : ' '.implode(' ', array_map(spl_object_id(...), $hiding));
    }

    /**
     * Whether an animal of one look is at least as good here as one of another: whatever wanted allele the other passes on,
     * the first passes on with no smaller chance, so that any young of the other can be matched by a young of the first
     * that carries no less. That holds where more copies never hurt; elsewhere only equal looks compare.
     */
    public function isAtLeast(int $look, int $other): bool
    {
        if ($look === $other) {
            return true;
        }
        $key = $look * 65536 + $other;

        return $this->atLeast[$key] ??= $this->isMonotone() && $this->passesNoLess($look, $other);
    }

    /**
     * P(a young meets the target here | a parent of this look and the best mate there could be), or more: what the parent
     * itself must pass on.
     */
    public function ceiling(int $look): float
    {
        if (! isset($this->ceilings[$look])) {
            $ceiling = 1.0;
            foreach ($this->isMonotone() ? $this->target->conditions : [] as $condition) {
                if (in_array($condition->locus(), $this->group->loci, true)) {
                    $best = 0.0;
                    foreach ($condition->anyOf as $clause) {
                        $best = max(
                            $best,
                            in_array($clause->kind, [ClauseKind::TwoCopies, ClauseKind::Compound], true)
                                ? max([0.0, ...array_map(fn (string $allele): float => $this->passesOn($look, $allele), $clause->alleles)])
                                : 1.0,
                        );
                    }
                    $ceiling = min($ceiling, $best);
                }
            }
            $this->ceilings[$look] = $ceiling;
        }

        return $this->ceilings[$look];
    }

    private function passesOn(int $look, string $allele): float
    {
        $chance = 0.0;
        foreach ($this->pool($look) as [$haplotype, $p]) {
            $chance += in_array($allele, $haplotype, true) ? $p->toFloat() : 0.0;
        }

        return min(1.0, $chance);
    }

    private function passesNoLess(int $look, int $other): bool
    {
        $own = $this->passes($look);
        foreach ($this->passes($other) as $what => $chance) {
            if (($own[$what] ?? 0.0) < $chance - 1e-12) {
                return false;
            }
        }

        return true;
    }

    /** @return array<string, float> P(a gamete carries these wanted alleles), with the sex chromosome where it matters */
    private function passes(int $look): array
    {
        if (! isset($this->passes[$look])) {
            $wanted = $this->wantedAlleles();
            $chances = [];
            foreach ($this->pool($look) as [$haplotype, $p]) {
                $what = array_filter($haplotype, static fn (string $allele): bool => isset($wanted[$allele]));
                if ($what !== []) {
                    $key = implode('.', $what).($this->holdsSex ? (in_array(Sex::Y, $haplotype, true) ? Sex::Y : Sex::X) : '');
                    $chances[$key] = ($chances[$key] ?? 0.0) + $p->toFloat();
                }
            }
            $this->passes[$look] = $chances;
        }

        return $this->passes[$look];
    }

    /** Whether the target here asks only for copies, so that more of them never hurt. */
    private function isMonotone(): bool
    {
        if ($this->monotone === null) {
            $this->monotone = ! $this->target->only;
            foreach ($this->target->conditions as $condition) {
                foreach (in_array($condition->locus(), $this->group->loci, true) ? $condition->anyOf : [] as $clause) {
                    $this->monotone = $this->monotone
                        && in_array(
                            $clause->kind,
                            [ClauseKind::AtLeastOne, ClauseKind::TwoCopies, ClauseKind::Compound, ClauseKind::Carries], true,
                        );
                }
            }
        }

        return $this->monotone;
    }

    /** @return array<string, int> */
    private function wantedAlleles(): array
    {
        if ($this->wanted === null) {
            $this->wanted = [];
            foreach ($this->target->conditions as $condition) {
                $this->wanted += array_flip($condition->wantedAlleles());
            }
        }

        return $this->wanted;
    }

    public function number(Diplotype $diplotype): int
    {
        if (! isset($this->numberOfState[$diplotype->key])) {
            $this->states[] = $diplotype;
            $this->numberOfState[$diplotype->key] = count($this->states) - 1;
        }

        return $this->numberOfState[$diplotype->key];
    }

    /**
     * @param list<Mask> $hiding
     * @return list<array{int, Rational, float, Sex|null}>
     */
    private function crossed(int $sire, int $dam, array $hiding): array
    {
        /** @var array<string, Weights<null>> $bySight */
        $bySight = [];
        foreach ($this->pool($sire) as [$left, $p]) {
            foreach ($this->pool($dam) as [$right, $q]) {
                $state = $this->number(new Diplotype($left, $right));
                if (! $this->isLethal($state)) {
                    $seen = $this->seen($state, $hiding);
                    $bySight[$seen] ??= self::nothing();
                    $bySight[$seen]->add($state, null, $p->times($q));
                }
            }
        }
        $young = [];
        foreach ($bySight as $weights) {
            $total = $weights->total();
            $young[] = [$this->look($weights), $total, $total->toFloat(), $this->sexOf((int) array_key_first($weights->entries()))];
        }

        return $young;
    }

    /** @return array<array-key, array{list<string>, Rational}> P(haplotype | look), the animals of the look taken together */
    private function pool(int $look): array
    {
        if (! isset($this->pools[$look])) {
            /** @var Weights<list<string>> $pool */
            $pool = new Weights;
            foreach ($this->looks[$look] as $state => $p) {
                foreach ($this->meiosis->strands($this->group, $this->states[$state])->entries() as $key => [$haplotype, $q]) {
                    $pool->add($key, $haplotype, $p->times($q));
                }
            }
            $this->pools[$look] = $pool->entries();
        }

        return $this->pools[$look];
    }

    /** @return Weights<null> */
    private static function nothing(): Weights
    {
        /** @var Weights<null> $weights */
        $weights = new Weights;

        return $weights;
    }

    /** @param Weights<null> $weights by number of the diplotype */
    private function look(Weights $weights): int
    {
        $shares = [];
        foreach ($weights->shares() as $state => $p) {
            $shares[(int) $state] = $p;
        }
        ksort($shares);
        $key = implode(
            ' ',
            array_map(static fn (int $state, Rational $p): string => "{$state}:{$p->toString()}", array_keys($shares), $shares),
        );
        if (! isset($this->numberOfLook[$key])) {
            $this->looks[] = $shares;
            $this->numberOfLook[$key] = count($this->looks) - 1;
        }

        return $this->numberOfLook[$key];
    }
}
