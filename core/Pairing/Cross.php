<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Components;
use Destino\Genome\Expression;
use Destino\Genome\Expressions;
use Destino\Genome\GenotypePattern;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Meiosis;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Probability\ClutchChance;
use Destino\Probability\Distribution;
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
    /** Outcomes of all cases of the parents together that one block may hold: beyond that nobody waits for the answer. */
    private const MOST_OUTCOMES = 250_000;

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
        $meiosis = new Meiosis;
        $expressions = new Expressions($catalogue);
        $blocks = [];
        foreach (self::components([...$named, $sexGroup->key], $sire, $dam, $catalogue) as $groups) {
            $blocks[] = new Block($groups, self::cases($groups, $sire, $dam, $meiosis, $expressions));
        }

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
        /** @var Weights<array{Rational, Rational}> $cases P(hit), P(lives) of the parents' genotypes */
        $cases = new Weights;
        $cases->add('', [Rational::one(), Rational::one()], Rational::one());
        foreach ($this->blocks as $block) {
            /** @var Weights<array{Rational, Rational}> $next */
            $next = new Weights;
            foreach ($cases->entries() as [[$hit, $lives], $weight]) {
                foreach ($block->chances($accepts) as [$w, $h, $l]) {
                    $h = $hit->times($h);
                    $l = $hatched ? $lives->times($l) : $lives;
                    $next->add($h->toString().' '.$l->toString(), [$h, $l], $weight->times($w));
                }
            }
            $cases = $next;
        }
        $cases = array_map(static fn (array $case): array => [$case[1], ...$case[0]], array_values($cases->entries()));

        return ClutchChance::ofCases(
            $hatched ? self::givenLife($cases) : array_map(static fn (array $case): array => [$case[0], $case[1]], $cases),
        );
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

    /**
     * Groups that some belief ties together, as one list each, in catalogue order.
     *
     * @param array<array-key, string> $keys
     * @return list<list<LinkageGroup>>
     */
    private static function components(array $keys, Belief $sire, Belief $dam, Catalogue $catalogue): array
    {
        $rank = static fn (string $key): int => min(
            PHP_INT_MAX,
            ...array_map(static fn (string $locus): int => $catalogue->locus($locus)->rank, $catalogue->groups[$key]->loci),
        );
        usort($keys, static fn (string $a, string $b): int => $rank($a) <=> $rank($b));
        $components = new Components($keys);
        foreach ([...$sire->factors, ...$dam->factors] as $factor) {
            $components->tie($factor->groups);
        }

        return array_map(
            static fn (array $tied): array => array_map(static fn (string $key): LinkageGroup => $catalogue->groups[$key], $tied),
            $components->all(),
        );
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return list<array{Rational, array<string, Distribution<Expression>>}>
     */
    private static function cases(array $groups, Belief $sire, Belief $dam, Meiosis $meiosis, Expressions $expressions): array
    {
        $cases = $offspring = [];
        $outcomes = 0.0;
        foreach ($sire->statesOver($groups) as [$paternal, $p]) {
            foreach ($dam->statesOver($groups) as [$maternal, $q]) {
                $byGroup = [];
                foreach ($groups as $group) {
                    $byGroup[$group->key] = $offspring[
                        "{$group->key} {$paternal->at($group)->key} {$maternal->at($group)->key}"
                    ] ??= self::offspring($group, $paternal, $maternal, $meiosis, $expressions);
                }
                $outcomes += array_product(array_map(static fn (Distribution $offspring): int => $offspring->count(), $byGroup));
                if ($outcomes > self::MOST_OUTCOMES) {
                    throw PairingError::tooManyCases(
                        array_merge(
                            ...array_map(
                                static fn (LinkageGroup $group): array => array_values(array_diff($group->loci, [Sex::LOCUS])),
                                $groups,
                            ),
                        ),
                    );
                }
                $cases[] = [$p->times($q), $byGroup];
            }
        }

        return $cases;
    }

    /** @return Distribution<Expression> P(an egg's genotype at one group | its parents') */
    private static function offspring(
        LinkageGroup $group,
        State $sire,
        State $dam,
        Meiosis $meiosis,
        Expressions $expressions,
    ): Distribution {
        $weighted = [];
        foreach ($meiosis->eggs([$group], $sire, $dam)->entries() as $key => [$egg, $chance]) {
            $weighted[] = [(string) $key, $expressions->of($group, $egg->at($group)), $chance];
        }

        return Distribution::ofWeighted($weighted);
    }
}
