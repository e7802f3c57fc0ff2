<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Genome\Diplotype;
use Destino\Genome\Sex;
use Destino\Inference\Experiments\HeldSons;
use Destino\Inference\Experiments\TestCross;
use Destino\Inference\Experiments\TraitAnimal;
use Destino\Inference\Experiments\TraitNotebook;
use Destino\Inference\Graph\Doubles;
use Destino\Inference\Graph\Elimination;
use Destino\Inference\Graph\Exact;
use Destino\Inference\Graph\Factor;
use Destino\Inference\Graph\Order;
use Destino\Inference\Graph\Sampler;
use Destino\Probability\Rational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Shelf;

/** Test crosses, held-back sons, unknown traits, and the arithmetic below them. */
final class ExperimentsTest extends TestCase
{
    /** @return iterable<string, array{string, string, string, int|null, int|null}> subject, mate, locus, eggs for 95 %, for 99 % */
    public static function crosses(): iterable
    {
        // Nothing in n eggs leaves 2/(2 + 2ⁿ): below 1/20 from 6, below 1/100 from 8.
        yield 'a 66 % het against a visual' => ['66% het Clown', 'Clown', 'clown', 6, 8];
        // (3/4)ⁿ instead of (1/2)ⁿ: 2·(3/4)ⁿ/(2·(3/4)ⁿ + 1): 13 and 19.
        yield 'the same against a het' => ['66% het Clown', 'het Clown', 'clown', 13, 19];
        yield 'against one that carries nothing' => ['66% het Clown', 'Normal', 'clown', null, null];
        // Two copies or one of Pinstripe against a normal: 1/2 of one-copy eggs are plain.
        yield 'two copies or one' => ['Pinstripe (50% two copies)', 'Normal', 'pinstripe', 5, 7];
        yield 'which of two' => ['Yellow Belly or Gravel', 'Normal', 'yellow-belly', 5, 5];
    }

    #[DataProvider('crosses')]
    public function testEggsThatATestCrossNeeds(string $subject, string $mate, string $locus, ?int $eggs95, ?int $eggs99): void
    {
        $catalogue = Shelf::catalogue();
        $group = $catalogue->groupOf($catalogue->allele($locus)->locus);
        $answer = static fn (Diplotype $own): string => $own->unphasedKey;
        $cross = TestCross::of(
            $catalogue, $group, Shelf::facts()->reader()->read($subject, Sex::Male)->beliefOrFail(),
            Shelf::facts()->reader()->read($mate, Sex::Female)->beliefOrFail(), $answer,
        );
        self::assertSame([$eggs95, $eggs99], [$cross->separation->eggsFor(.95), $cross->separation->eggsFor(.99)]);
        self::assertSame(
            [],
            array_filter(
                array_map(
                    static fn (float $a, float $b): bool => $b < $a - 1e-9, array_slice($cross->curve(), 5, -1),
                    array_slice($cross->curve(), 6),
                ),
                static fn (bool $falls): bool => $falls && $eggs95 === 6,
            ),
        );
    }

    public function testTheChanceToKnowIsThatOfAVisualUntilSilenceSpeaks(): void
    {
        $catalogue = Shelf::catalogue();
        $read = static fn (string $text, Sex $sex): \Destino\Genome\Belief => Shelf::facts()->reader()->read($text, $sex)->beliefOrFail();
        $separation = TestCross::of(
            $catalogue, $catalogue->groupOf('clown'), $read('66% het Clown', Sex::Male), $read('Clown', Sex::Female),
            static fn (Diplotype $own): string => $own->key,
        )->separation;
        self::assertEqualsWithDelta(2 / 3 * (1 - .5 ** 5), $separation->toldApart(5, .95), 1e-12);
        self::assertEqualsWithDelta(1.0, $separation->toldApart(6, .95), 1e-12);
        // What is expected to be learnt grows with the eggs and never beyond what is not known.
        $unknown = -(2 / 3 * log(2 / 3, 2) + 1 / 3 * log(1 / 3, 2));
        self::assertGreaterThan($separation->information(2), $separation->information(6));
        self::assertLessThan($unknown, $separation->information(20));
        self::assertEqualsWithDelta($unknown, $separation->information(30), 1e-6);
    }

    public function testHeldBackSons(): void
    {
        self::assertSame('7/8', (new HeldSons(3))->oneCarries()->toString());
        self::assertSame('0', (new HeldSons(3))->proves(0)->toString());
        // One son, two eggs: 1 − (1/2 + 1/2 · 9/16).
        self::assertSame('7/32', (new HeldSons(1))->proves(2)->toString());
    }

    /**
     * @return iterable<string, array{list<array{string, string, string, string|null, string|null, int}>, bool, string}> what
     *     was bred, the likeliest
     */
    public static function notebooks(): iterable
    {
        $first = ['O', 'male', 'odd', null, null, 1];
        $dam = ['N', 'female', 'normal', null, null, 1];
        yield 'nothing was bred' => [[$first], false, 'not-inherited'];
        yield 'normal young twice' => [
            [
                $first, $dam, ['a', 'male', 'normal', 'O', 'N', 5], ['D', 'female', 'normal', 'O', 'N', 1],
                ['b', 'female', 'normal', 'O', 'D', 8],
            ],
            false, 'not-inherited',
        ];
        yield 'back to a daughter, half are odd' => [
            [
                $first, $dam, ['a', 'male', 'normal', 'O', 'N', 5], ['D', 'female', 'normal', 'O', 'N', 1],
                ['b', 'female', 'odd', 'O', 'D', 2], ['B', 'male', 'odd', 'O', 'D', 1], ['c', 'male', 'normal', 'O', 'D', 2],
                ['C', 'female', 'normal', 'O', 'D', 1],
            ],
            false, 'recessive',
        ];
        yield 'odd to odd gives a stronger one' => [
            [
                $first, $dam, ['D', 'female', 'odd', 'O', 'N', 1], ['a', 'male', 'odd', 'O', 'N', 2],
                ['b', 'male', 'normal', 'O', 'N', 3], ['c', 'male', 'strong', 'O', 'D', 2], ['d', 'female', 'odd', 'O', 'D', 3],
                ['e', 'female', 'normal', 'O', 'D', 1],
            ],
            false, 'incomplete-dominant',
        ];
        yield 'odd to odd, twelve young and none stronger' => [
            [
                $first, $dam, ['D', 'female', 'odd', 'O', 'N', 1], ['a', 'male', 'odd', 'O', 'N', 2],
                ['b', 'male', 'normal', 'O', 'N', 3], ['d', 'female', 'odd', 'O', 'D', 9], ['e', 'female', 'normal', 'O', 'D', 3],
            ],
            false, 'dominant',
        ];
        yield 'all sons, no daughters' => [
            [$first, $dam, ['a', 'male', 'odd', 'O', 'N', 8], ['b', 'female', 'normal', 'O', 'N', 8]], false, 'sex-linked',
        ];
        yield 'the compound never gives both nor neither' => [
            [
                $first, ['K', 'female', 'normal known', null, null, 1], ['C', 'female', 'odd known', 'O', 'K', 1],
                ['M', 'male', 'normal', null, null, 1], ['a', 'male', 'odd', 'M', 'C', 6],
                ['b', 'female', 'normal known', 'M', 'C', 6],
            ],
            true, 'allelic',
        ];
    }

    /** @param list<array{string, string, string, string|null, string|null, int<1, max>}> $animals */
    #[DataProvider('notebooks')]
    public function testWhatAnOddLookIs(array $animals, bool $hasGene, string $likeliest): void
    {
        $posterior = self::notebook($animals, $hasGene)->posterior();
        self::assertEqualsWithDelta(1.0, array_sum($posterior), 1e-9);
        arsort($posterior);
        self::assertSame($likeliest, array_key_first($posterior), json_encode($posterior) ?: '');
    }

    public function testBeforeAnythingIsBredThePriorStands(): void
    {
        $posterior = self::notebook([['O', 'male', 'odd', null, null, 1]], false)->posterior();
        // The weights of the five without the allelic one.
        foreach (
            [
                'not-inherited' => .4, 'dominant' => .08, 'incomplete-dominant' => .22, 'recessive' => .25, 'sex-linked' => .01,
            ] as $hypothesis => $prior
        ) {
            self::assertEqualsWithDelta($prior / .96, $posterior[$hypothesis], 1e-9);
        }
    }

    public function testTheNextCrossIsTheOneThatTellsMost(): void
    {
        $crosses = self::notebook(
            [
                ['O', 'male', 'odd', null, null, 1], ['N', 'female', 'normal', null, null, 1],
                ['a', 'male', 'normal', 'O', 'N', 6], ['D', 'female', 'normal', 'O', 'N', 1],
            ],
            false,
        )->nextCrosses();
        self::assertSame(['O', 'D'], [$crosses[0]['sire'], $crosses[0]['dam']], 'back to the daughter tells recessive from nothing');
        self::assertGreaterThan(2 * $crosses[count($crosses) - 1]['bits'], $crosses[0]['bits']);
    }

    public function testDoublesAgreeWithRationalsAndTheSamplerWithBoth(): void
    {
        $chance = new Randomizer(new Mt19937(5));
        for ($try = 0; $try < 60; $try++) {
            [$sizes, $factors] = self::randomGraph($chance);
            $order = Order::of($sizes, array_map(static fn (Factor $factor): array => $factor->scope, $factors));
            $exact = (new Elimination($sizes, $factors, $order, new Exact))->run();
            $double = (new Elimination($sizes, $factors, $order, new Doubles))->run();
            self::assertEqualsWithDelta($exact->logEvidence, $double->logEvidence, 1e-9);
            foreach ($exact->of as $variable => $shares) {
                foreach ($shares as $value => $share) {
                    self::assertEqualsWithDelta($share->toFloat(), $double->of[$variable][$value]->toFloat(), 1e-11);
                }
            }
        }
    }

    public function testEvidenceThatExcludesItselfIsNoCompromise(): void
    {
        $factors = [new Factor([0], [Rational::one(), Rational::zero()]), new Factor([0], [Rational::zero(), Rational::one()])];
        foreach ([new Exact, new Doubles] as $arithmetic) {
            self::assertFalse((new Elimination([2], $factors, Order::of([2], [[0]]), $arithmetic))->run()->isPossible());
        }
    }

    public function testTheSamplerIsWithinItsError(): void
    {
        // A ring of 26 variables joined across: wide enough for a cutset, narrow enough to know the truth.
        $sizes = array_fill(0, 16, 3);
        $factors = [];
        $chance = new Randomizer(new Mt19937(9));
        for ($i = 0; $i < 16; $i++) {
            foreach ([1, 3, 5] as $step) {
                $factors[] = new Factor(
                    [$i, ($i + $step) % 16],
                    array_map(static fn (): Rational => Rational::of($chance->getInt(2, 6), 6), range(1, 9)),
                );
            }
        }
        $order = Order::of($sizes, array_map(static fn (Factor $factor): array => $factor->scope, $factors));
        $true = (new Elimination($sizes, $factors, $order, new Doubles))->run();
        $sampled = (new Sampler($sizes, $factors, 60, 3, 300))->run();
        self::assertFalse($sampled->isExact);
        self::assertGreaterThan(0.0, $sampled->error);
        foreach ($true->of as $variable => $shares) {
            foreach ($shares as $value => $share) {
                self::assertEqualsWithDelta($share->toFloat(), $sampled->of[$variable][$value]->toFloat(), 6 * $sampled->error + .002);
            }
        }
        self::assertEquals($sampled, (new Sampler($sizes, $factors, 60, 3, 300))->run(), 'the same seed replays');
    }

    /** @return array{array<int, int>, list<Factor>} */
    private static function randomGraph(Randomizer $chance): array
    {
        $sizes = array_map(static fn (): int => $chance->getInt(2, 4), range(0, 7));
        $factors = [];
        for ($i = 0; $i < 10; $i++) {
            $scope = array_slice($chance->shuffleArray(array_keys($sizes)), 0, $chance->getInt(1, 3));
            $factors[] = new Factor(
                $scope,
                array_map(
                    static fn (): Rational => Rational::of($chance->getInt(0, 5), 6),
                    range(1, (int) array_product(array_map(static fn (int $one): int => $sizes[$one], $scope))),
                ),
            );
        }
        foreach ($sizes as $variable => $size) { // nothing is quite impossible
            $factors[] = new Factor([$variable], array_fill(0, $size, Rational::of(1, $size)));
        }

        return [
            $sizes,
            array_map(
                static fn (Factor $factor): Factor => new Factor(
                    $factor->scope, array_map(static fn (Rational $p): Rational => $p->plus(Rational::of(1, 60)), $factor->table),
                ),
                $factors,
            ),
        ];
    }

    /** @param list<array{string, string, string, string|null, string|null, int<1, max>}> $animals */
    private static function notebook(array $animals, bool $hasGene): TraitNotebook
    {
        return new TraitNotebook(
            array_map(
                static fn (array $one): TraitAnimal => new TraitAnimal($one[0], Sex::from($one[1]), $one[2], $one[3], $one[4], $one[5]),
                $animals,
            ),
            $hasGene,
        );
    }
}
