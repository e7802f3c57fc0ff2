<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Genome\Sex;
use Destino\Inference\Conclusions\Kindred;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\Testimony;
use Destino\Inference\Family\Context;
use Destino\Inference\Family\Family;
use Destino\Inference\Family\FamilyModel;
use Destino\Inference\Family\FamilySolver;
use Destino\Inference\Family\Hypothesis;
use Destino\Inference\Family\Modelling;
use Destino\Inference\Family\Network;
use Destino\Inference\Family\Silent;
use Destino\Inference\Family\Solved;
use Destino\Inference\Graph\Doubles;
use Destino\Inference\Graph\Elimination;
use Destino\Inference\Graph\Exact;
use Destino\Inference\Graph\Factor;
use Destino\Inference\Graph\Order;
use Destino\Inference\Graph\Sampler;
use Destino\Inference\Graph\TooWide;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Probability\Probability;
use Destino\Probability\Rational;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Shelf;

/** Families of hundreds: tables that hold only what is possible, silent animals by themselves, and a sampler that knows its error. */
final class LargeFamiliesTest extends TestCase
{
    public function testEliminationInDoublesAgreesWithFractionsOnRandomGraphs(): void
    {
        $chance = new Randomizer(new Mt19937(7));
        $narrower = $possible = 0;
        for ($try = 0; $try < 120; $try++) {
            [$sizes, $factors] = self::graph($chance);
            $order = Order::of($sizes, array_map(static fn (Factor $factor): array => $factor->scope, $factors));
            $exact = new Elimination($sizes, $factors, $order, new Exact);
            $truth = $exact->run();
            $doubles = (new Elimination($sizes, $factors, $order, new Doubles))->run();
            self::assertSame($truth->isPossible(), $doubles->isPossible());
            foreach ($truth->of as $variable => $shares) {
                foreach ($shares as $value => $share) {
                    self::assertEqualsWithDelta($share->toFloat(), $doubles->of[$variable][$value]->toFloat(), 1e-11);
                    self::assertSame($share->isZero(), $doubles->of[$variable][$value]->isZero(), 'what is possible stays possible');
                }
            }
            if ($truth->isPossible()) {
                self::assertEqualsWithDelta($truth->logEvidence, $doubles->logEvidence, 1e-9);
                $possible++;
            }
            $narrower += $exact->entries < $order->size ? 1 : 0;
        }
        self::assertGreaterThan(60, $possible);
        self::assertGreaterThan(100, $narrower, 'fewer entries than full tables would have');
    }

    public function testNothingIsCompiledAsItRuns(): void
    {
        // A tracing compiler gave places of values that were none (PHP 8.2): nobody may be served by one.
        $root = dirname(__DIR__, 3);
        foreach (['bin/destino', 'bin/server.sh', 'tests/Browser/Support/Server.php'] as $script) {
            $text = (string) file_get_contents("{$root}/{$script}");
            self::assertStringContainsString('opcache.jit=disable', $text, $script);
            self::assertSame(1, preg_match_all('/opcache\.jit=/', $text), $script);
        }
    }

    public function testDrawsFollowTheirDistribution(): void
    {
        $chance = new Randomizer(new Mt19937(3));
        [$sizes, $factors] = self::graph($chance);
        $elimination = new Elimination(
            $sizes, $factors, Order::of($sizes, array_map(static fn (Factor $factor): array => $factor->scope, $factors)),
            new Doubles,
        );
        $truth = $elimination->run();
        self::assertTrue($truth->isPossible());
        $counts = [];
        for ($draw = 0; $draw < 4000; $draw++) {
            foreach ($elimination->draw($chance) as $variable => $value) {
                $counts[$variable][$value] = ($counts[$variable][$value] ?? 0) + 1;
            }
        }
        foreach ($truth->of as $variable => $shares) {
            foreach ($shares as $value => $share) {
                self::assertEqualsWithDelta(
                    $share->toFloat(), ($counts[$variable][$value] ?? 0) / 4000, 4.5 * sqrt(.25 / 4000), "{$variable} {$value}",
                );
            }
        }
    }

    public function testABudgetIsKept(): void
    {
        [$sizes, $factors] = self::graph(new Randomizer(new Mt19937(1)));
        $this->expectException(TooWide::class);
        (
            new Elimination(
                $sizes, $factors, Order::of($sizes, array_map(static fn (Factor $factor): array => $factor->scope, $factors)),
                new Doubles, 3,
            )
        )->run();
    }

    public function testSilentAnimalsGetTheSameByThemselves(): void
    {
        foreach ([1, 2, 3] as $seed) {
            $model = self::model(self::collection(120, $seed));
            $silent = Silent::of($model);
            self::assertGreaterThan(20, count($silent));
            $whole = FamilySolver::solve($model);
            $apart = (new \ReflectionMethod(FamilySolver::class, 'apart'))->invoke(null, $model, FamilySolver::WIDEST);
            self::assertTrue($whole->isExact && $apart->isExact);
            self::assertSameChances($whole, $apart, 1e-9);
            $some = (new \ReflectionMethod(FamilySolver::class, 'someAtATime'))->invoke(
                null, $model, $silent, Silent::bySire($model, $silent), 0.0, FamilySolver::WIDEST,
            );
            self::assertNotEmpty($some);
            foreach ($some as $name => $chances) {
                [$space, $id] = explode(' ', $name, 2);
                foreach ($chances as $number => $chance) {
                    self::assertEqualsWithDelta($whole->of[(int) $space][$id][$number]->toFloat(), $chance->toFloat(), 1e-9, $name);
                }
            }
        }
    }

    public function testWhatIsDrawnOfSilentAnimalsStaysWithinItsError(): void
    {
        $held = 0;
        $own = [];
        foreach (range(1, 6) as $seed) {
            $model = self::model(self::collection(80, $seed));
            $silent = Silent::of($model);
            $core = Network::of($model, $silent);
            $truth = FamilySolver::solve($model);
            $drawn = (new \ReflectionMethod(FamilySolver::class, 'drawn'))->invoke(null, $model, $core, $silent);
            self::assertFalse($drawn->isExact);
            $held += self::farthest($truth, $drawn) <= $drawn->error ? 1 : 0;
            self::assertSame($drawn->error, max($drawn->errors), 'that of all is the largest of any');
            self::assertLessThan($drawn->error / 2, min($drawn->errors), 'not everybody is as doubtful as the most doubtful');
            foreach ($truth->of as $i => $members) {
                foreach ($members as $id => $_) {
                    $off = self::farthest(self::only($truth, $i, $id), self::only($drawn, $i, $id));
                    $own[] = $off <= ($drawn->errors[$id] ?? 0.0) + 1e-9;
                }
            }
        }
        self::assertGreaterThanOrEqual(5, $held, 'in 95 of 100; the bench takes more');
        self::assertGreaterThan(.97 * count($own), count(array_filter($own)), 'nearly every animal stays within its own');
    }

    private static function only(Solved $solved, int $space, string $id): Solved
    {
        return new Solved([$space => [$id => $solved->of[$space][$id]]], 0.0);
    }

    public function testTheSamplerAgreesWithinItsErrorAndReplays(): void
    {
        $held = 0;
        foreach (range(1, 12) as $seed) {
            $model = self::model(self::collection(90, $seed, 100));
            $network = Network::of($model);
            $truth = (
                new Elimination(
                    $network->sizes, $network->factors,
                    Order::of($network->sizes, array_map(static fn (Factor $factor): array => $factor->scope, $network->factors)),
                    new Doubles,
                )
            )->run();
            $sampled = (new Sampler($network->sizes, $network->factors, 1.2e6, $seed, 40.0))->run();
            if ($seed <= 3) {
                $again = (new Sampler($network->sizes, $network->factors, 1.2e6, $seed, 40.0))->run();
                self::assertEquals($sampled, $again, 'the same seed gives the same answer');
            }
            $most = 0.0;
            foreach ($truth->of as $variable => $shares) {
                foreach ($shares as $value => $share) {
                    $most = max($most, abs($share->toFloat() - $sampled->of[$variable][$value]->toFloat()));
                }
            }
            $held += $most <= $sampled->error ? 1 : 0;
        }
        self::assertGreaterThanOrEqual(11, $held);
    }

    public function testExtremeEvidenceIsOrdinary(): void
    {
        foreach ([[70, '66% het Clown'], [200, '99% het Clown'], [900, '66% het Clown']] as [$eggs, $said]) {
            $kindred = new Kindred(Shelf::catalogue(), [
                'S' => self::founder('S', Sex::Male, $said), 'D' => self::founder('D', Sex::Female, 'Clown'),
            ], [new \Destino\Inference\Evidence\Brood('b', ['S'], 'D', Shelf::facts()->targets()->read('not Clown'), $eggs)]);
            $carries = $kindred->posterior(0, [Shelf::catalogue()->groupOf('clown')])->of['S']->probabilityOf('+~clown');
            self::assertFalse($carries->isZero(), 'hardly, and not never');
            self::assertLessThan(1e-12, $carries->toFloat());
        }
    }

    private static function assertSameChances(Solved $one, Solved $other, float $delta): void
    {
        self::assertLessThan($delta, self::farthest($one, $other));
        foreach ($one->of as $i => $members) {
            self::assertEqualsCanonicalizing(array_keys($members), array_keys($other->of[$i]));
        }
    }

    private static function farthest(Solved $one, Solved $other): float
    {
        $most = 0.0;
        foreach ($one->of as $i => $members) {
            foreach ($members as $id => $chances) {
                foreach ($chances as $number => $chance) {
                    $most = max($most, abs($chance->toFloat() - $other->of[$i][$id][$number]->toFloat()));
                }
            }
        }

        return $most;
    }

    /** @param list<Individual> $animals */
    private static function model(array $animals): FamilyModel
    {
        $byId = array_column(array_map(static fn (Individual $one): array => [$one->id, $one], $animals), 1, 0);
        $descent = new \Destino\Inference\Descent\Descent(Shelf::catalogue(), $byId);
        $context = new Context(
            Shelf::catalogue(), new \Destino\Inference\Evidence\Hearing(Shelf::catalogue()), $descent,
            \Destino\Inference\Faults\ErrorRates::assumed(), static fn (): array => [],
        );

        return Modelling::of(
            $context, Hypothesis::of(Family::of($animals, []), [], Shelf::catalogue()),
            [new GenotypeSpace(Shelf::catalogue(), [Shelf::catalogue()->groupOf('clown')])],
        );
    }

    /** @return list<Individual> six generations of few sires, a part of them seen not to be Clown, drawn so that it can be */
    private static function collection(int $animals, int $seed, int $seen = 35): array
    {
        $chance = new Randomizer(new Mt19937($seed));
        $all = $males = $females = $copies = [];
        for ($i = 0; $i < $animals; $i++) {
            $generation = intdiv(6 * $i, $animals);
            $sex = $i % 3 === 0 ? Sex::Male : Sex::Female;
            if ($generation === 0 || $chance->getInt(0, 4) === 0) {
                $said = ['50% het Clown', 'Normal', '66% het Clown'][$i % 3];
                $copies[$i] = $said === 'Normal' ? 0 : $chance->getInt(0, 1);
                $all[] = self::founder("a{$i}", $sex, $said);
            } else {
                $sire = $males[$generation - 1][$chance->getInt(0, min(2, count($males[$generation - 1]) - 1))];
                $dam = $females[$generation - 1][$chance->getInt(0, count($females[$generation - 1]) - 1)];
                $copies[$i] = ($chance->getInt(1, 2) <= $copies[$sire] ? 1 : 0) + ($chance->getInt(1, 2) <= $copies[$dam] ? 1 : 0);
                $all[] = new Individual(
                    "a{$i}", $sex, "a{$sire}", "a{$dam}", [],
                    $chance->getInt(1, 100) <= $seen ? Shelf::facts()->targets()->read($copies[$i] === 2 ? 'Clown' : 'not Clown') : null,
                );
            }
            $sex === Sex::Male ? $males[$generation][] = $i : $females[$generation][] = $i;
        }

        return $all;
    }

    private static function founder(string $id, Sex $sex, string $said): Individual
    {
        return new Individual(
            $id, $sex, null, null, [new Testimony($id, Shelf::belief($said, $sex), Source::Own, Probability::one(), false)],
        );
    }

    /** @return array{array<int, int>, list<Factor>} some variables of two to four values, with tables a third of whose entries are 0 */
    private static function graph(Randomizer $chance): array
    {
        $sizes = array_map(static fn (): int => $chance->getInt(2, 4), range(0, 7));
        $factors = [];
        for ($i = 0; $i < 9; $i++) {
            $scope = $chance->pickArrayKeys($sizes, $chance->getInt(1, 3));
            $size = array_product(array_map(static fn (int $variable): int => $sizes[$variable], $scope));
            $factors[] = Factor::dense(
                $scope,
                array_map(static fn (): Rational => Rational::of(max(0, $chance->getInt(-3, 6)), 7), range(1, (int) $size)),
            );
        }

        return [$sizes, $factors];
    }
}
