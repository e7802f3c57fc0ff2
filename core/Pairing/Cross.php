<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Expression;
use Destino\Genome\GenotypePattern;
use Destino\Genome\Sex;
use Destino\Probability\ClutchChance;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/**
 * One pairing: the exact distribution over offspring, held in independent blocks and never multiplied out.
 *
 * The number of outcomes is the product of what the blocks hold; questions are answered block by block, and outcomes
 * are listed lazily from the most likely down (OutcomeSpace).
 */
final readonly class Cross
{
    /** @param list<Block> $blocks in catalogue order; the block with sex is always among them */
    private function __construct(
        public Catalogue $catalogue,
        public Belief $sire,
        public Belief $dam,
        public array $blocks,
        public bool $isSexLinked,
    ) {}

    /** @throws PairingError when the sire is not male or the dam not female, or what is not known of them ties too much together */
    public static function of(Catalogue $catalogue, Belief $sire, Belief $dam): self
    {
        if ($sire->sex !== Sex::Male || $dam->sex !== Sex::Female) {
            throw PairingError::sexes($sire->sex, $dam->sex);
        }
        $sexGroup = $catalogue->sexGroup();
        $named = array_unique([...$sire->groups(), ...$dam->groups()]);
        $blocks = (new BlockMaker($catalogue, $sire, $dam))->blocks([...$named, $sexGroup->key]);

        return new self($catalogue, $sire, $dam, $blocks, in_array($sexGroup->key, $named, true));
    }

    /**
     * Questions about an egg: P(accepted), conditional on the parents' genotypes.
     *
     * @param callable(Expression): bool $accepts asked of every linkage group; all must agree
     * @param bool $hatched per living hatchling instead of per egg
     */
    public function chance(callable $accepts, bool $hatched = false): ClutchChance
    {
        return $this->chanceLeft(
            static fn (Expression $egg): ?string => $accepts($egg) ? 'x' : null, 'x', static fn (string $left): bool => true, $hatched,
        );
    }

    /**
     * A question with a memory: what each linkage group leaves open is joined, and at the end it suffices or does not.
     *
     * @param callable(Expression): ?string $leaves null where an egg is refused
     * @param string $open what is open before any group is looked at
     * @param callable(string): bool $suffices
     * @param bool $hatched per living hatchling instead of per egg
     * @param (callable(callable(string): bool, bool): (callable(string): string))|null $settling what may be taken for the same once some
     *     loci, and the sex, have been looked at
     */
    public function chanceLeft(
        callable $leaves, string $open, callable $suffices, bool $hatched = false, ?callable $settling = null,
    ): ClutchChance {
        $ahead = array_fill_keys(array_merge([], ...array_map(static fn (Block $block): array => $block->loci(), $this->blocks)), true);
        $isSexDone = false;
        /** @var Weights<array{array<string, Rational>, Rational}> $cases P(left open), P(lives) of the parents' genotypes */
        $cases = new Weights;
        $cases->add('', [[$open => Rational::one()], Rational::one()], Rational::one());
        foreach ($this->blocks as $block) {
            $ahead = array_diff_key($ahead, array_flip($block->loci()));
            $isSexDone = $isSexDone || $block->holdsSex();
            $settle = $settling === null ? null : $settling(static fn (string $locus): bool => ! isset($ahead[$locus]), $isSexDone);
            $chances = $block->chances($leaves);
            /** @var Weights<array{array<string, Rational>, Rational}> $next */
            $next = new Weights;
            foreach ($cases->entries() as [[$left, $lives], $weight]) {
                foreach ($chances as [$w, $own, $l]) {
                    $both = Block::joined($left, $own, $settle);
                    ksort($both);
                    $l = $hatched ? $lives->times($l) : $lives;
                    $next->add(self::keyOf($both).$l->toString(), [$both, $l], $weight->times($w));
                }
            }
            $cases = $next;
        }
        $cases = array_map(static function (array $case) use ($suffices): array {
            $hits = array_filter($case[0][0], static fn (string $left): bool => $suffices($left), ARRAY_FILTER_USE_KEY);

            return [$case[1], Weights::sum($hits), $case[0][1]];
        }, array_values($cases->entries()));

        return ClutchChance::ofCases(
            $hatched ? self::givenLife($cases) : array_map(static fn (array $case): array => [$case[0], $case[1]], $cases),
        );
    }

    /** @param array<string, Rational> $left */
    private static function keyOf(array $left): string
    {
        $key = '';
        foreach ($left as $open => $p) {
            $key .= "{$open}:{$p->toString()} ";
        }

        return $key;
    }

    /** P(an egg does not die of its form). */
    public function survival(): Rational
    {
        return $this->chance(static fn (Expression $state): bool => ! $state->isLethal)->perEgg();
    }

    /** P(an egg has at least the copies that the pattern asks for), parents averaged. */
    public function chanceOf(GenotypePattern $pattern): Rational
    {
        foreach (array_keys($pattern->copies) as $allele) {
            if (! $this->involves($this->catalogue->allele($allele)->locus)) {
                return Rational::zero();
            }
        }

        $locusOf = array_map(
            fn (string $allele): string => $this->catalogue->allele($allele)->locus,
            array_combine(array_keys($pattern->copies), array_keys($pattern->copies)),
        );

        return $this->chance(static function (Expression $state) use ($pattern, $locusOf): bool {
            foreach ($pattern->copies as $allele => $fewest) {
                $form = $state->forms[$locusOf[$allele]] ?? null; // an allele of another group is that group's question
                if ($form !== null && $form->copiesOf($allele) < $fewest) {
                    return false;
                }
            }

            return $pattern->sex === null || $state->sex === null || $state->sex === $pattern->sex;
        })->perEgg();
    }

    /** Whether some egg can be anything but wild type here. */
    public function involves(string $locus): bool
    {
        $group = $this->catalogue->groupOf($locus)->key;

        return in_array($group, $this->sire->groups(), true) || in_array($group, $this->dam->groups(), true);
    }

    /** @return list<string> the loci at which a parent carries or may carry something */
    public function loci(): array
    {
        $loci = [];
        foreach ($this->blocks as $block) {
            foreach ($block->groups as $group) {
                foreach ($group->loci as $locus) {
                    if ($locus !== Sex::LOCUS && $this->involves($locus)) {
                        $loci[] = $locus;
                    }
                }
            }
        }

        return $loci;
    }

    /**
     * @param list<array{Rational, Rational, Rational}> $cases
     * @return list<array{Rational, Rational}>
     *
     * @throws PairingError when nothing hatches
     */
    private static function givenLife(array $cases): array
    {
        $total = Weights::sum(array_map(static fn (array $case): Rational => $case[0]->times($case[2]), $cases));
        if ($total->isZero()) {
            throw PairingError::nothingHatches();
        }
        $given = [];
        foreach ($cases as [$weight, $hit, $lives]) {
            if (! $lives->isZero()) { // P(parents | a hatchling) ∝ P(parents)·P(lives | parents)
                $given[] = [$weight->times($lives)->dividedBy($total), $hit->dividedBy($lives)];
            }
        }

        return $given;
    }
}
