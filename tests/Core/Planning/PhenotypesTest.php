<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Destino\Genome\Diplotype;
use Destino\Genome\Meiosis;
use Destino\Genome\Sex;
use Destino\Planning\Phenotypes\Book;
use Destino\Planning\Phenotypes\EggDraw;
use Destino\Planning\Phenotypes\Grid;
use Destino\Planning\Phenotypes\GroupTable;
use Destino\Planning\Phenotypes\Wanted;
use Destino\Probability\Rational;
use Destino\Probability\Weights;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Shelf;

/** The parts of what a plan knows of one linkage group, each against counting by hand. */
final class PhenotypesTest extends TestCase
{
    public function testABookGivesOneNumberToOneThing(): void
    {
        $book = new Book;
        $pairs = [['clown', '+'], ['+', 'clown'], ['clown', 'clown'], ['+', '+']];
        $numbers = array_map(static fn (array $pair): int => $book->number(new Diplotype([$pair[0]], [$pair[1]])), $pairs);
        self::assertSame([0, 1, 2], array_values(array_unique($numbers)), 'a het is one whichever parent the allele came from');
        self::assertCount(3, $book->states);
        $half = self::weights([0 => '1/3', 2 => '2/3']);
        self::assertSame($book->look($half), $book->look(self::weights([2 => '2', 0 => '1'])), 'shares count, not sums or order');
        self::assertNotSame($book->look($half), $book->look(self::weights([0 => '1/2', 2 => '1/2'])));
        self::assertSame(['1/3', '2/3'], array_map(
            static fn (Rational $p): string => $p->toString(), array_values($book->looks[$book->look($half)]),
        ));
    }

    public function testTheCoarseGridKeepsWhatIsPossibleAndWhatIsOnItAlready(): void
    {
        $chance = new Randomizer(new Mt19937(5));
        $onGrid = $moved = 0;
        for ($round = 0; $round < 300; $round++) {
            $parts = array_map(static fn (): int => $chance->getInt(1, 40), range(1, $chance->getInt(1, 5)));
            $look = array_map(static fn (int $part): Rational => Rational::of($part, array_sum($parts)), $parts);
            $shares = Grid::coarse($look)->shares();
            self::assertSame(array_keys($look), array_map(intval(...), array_keys($shares)), 'what is possible stays possible');
            if (Grid::isCoarse($look)) {
                $onGrid++;
                foreach ($look as $state => $p) {
                    self::assertSame($p->toString(), $shares[$state]->toString());
                }
            }
            foreach ($look as $state => $p) {
                $moved = max($moved, abs($p->toFloat() - $shares[$state]->toFloat()));
            }
        }
        self::assertGreaterThan(20, $onGrid);
        self::assertLessThan(.12, $moved, 'no chance moves by more than a step and its share of the others\' steps');
    }

    public function testABlendSumsToOneAndIsNearItsWeights(): void
    {
        $chance = new Randomizer(new Mt19937(6));
        for ($round = 0; $round < 200; $round++) {
            $weights = array_map(static fn (): float => $chance->getInt(0, 1000) / 10, range(1, $chance->getInt(1, 6)));
            $weights[0] += 1.0;
            $blended = Grid::blended($weights)->entries();
            $sum = Rational::zero();
            foreach ($blended as $state => [, $p]) {
                $sum = $sum->plus($p);
                self::assertEqualsWithDelta($weights[$state] / array_sum($weights), $p->toFloat(), count($weights) / 48);
            }
            self::assertTrue($sum->isOne());
        }
    }

    /** @return iterable<string, array{string, string, bool, int}> target, locus, whether more copies never hurt, wanted alleles there */
    public static function targets(): iterable
    {
        yield 'a visual' => ['Clown', 'clown', true, 1];
        yield 'a carrier' => ['carries Clown', 'clown', true, 1];
        yield 'a het and no visual' => ['het Clown', 'clown', false, 1];
        yield 'free of it' => ['no Clown', 'clown', false, 0];
        yield 'asked elsewhere' => ['Pastel', 'clown', true, 0];
        yield 'a compound' => ['Mojave/Mystic', 'bel', true, 2];
        yield 'nothing else' => ['only Clown', 'pastel', false, 0];
    }

    #[DataProvider('targets')]
    public function testWhatATargetAsksAtAGroup(string $target, string $locus, bool $isMonotone, int $alleles): void
    {
        $catalogue = Shelf::catalogue();
        $wanted = new Wanted($catalogue, $catalogue->groupOf($locus), Shelf::facts()->targets()->read($target));
        self::assertSame([$isMonotone, $alleles], [$wanted->isMonotone, count($wanted->here)]);
    }

    public function testWhoIsAtLeastAsGoodGivesNoLessWithAnyMate(): void
    {
        $compared = $better = 0;
        foreach ([['clown', 'Clown', ['Clown', 'het Clown', '66% het Clown', '50% het Clown', '']],
            ['pastel', 'Super Pastel', ['Pastel', 'Super Pastel', '']],
            ['bel', 'Mojave/Mystic', ['Mojave', 'Mystic', 'Mojave/Mystic', 'Super Mojave', 'Lesser', '']],
            ['banana', 'Banana', ['Banana', '']],
        ] as [$locus, $target, $genes]) {
            $table = self::table($locus, $target);
            $looks = array_map(static fn (string $text): int => $table->lookOf(
                Shelf::reader()->read($text === '' ? 'Normal' : $text, Sex::Male)->beliefOrFail(),
            ), $genes);
            $mates = array_map(static fn (string $text): int => $table->lookOf(
                Shelf::reader()->read($text === '' ? 'Normal' : $text, Sex::Female)->beliefOrFail(),
            ), $genes);
            foreach ($looks as $one) {
                foreach ($looks as $other) {
                    if (! $table->isAtLeast($one, $other)) {
                        continue;
                    }
                    foreach ($mates as $mate) {
                        $compared++;
                        $better += $one === $other ? 0 : 1;
                        self::assertGreaterThanOrEqual(
                            $table->meeting($other, $mate)->toFloat() - 1e-12, $table->meeting($one, $mate)->toFloat(),
                        );
                    }
                }
            }
            foreach ($looks as $look) {
                foreach ($mates as $mate) {
                    self::assertLessThanOrEqual($table->ceiling($look) + 1e-12, $table->meeting($look, $mate)->toFloat(), 'no mate gives more');
                }
            }
        }
        self::assertGreaterThan(60, $compared);
        self::assertGreaterThan(20, $better, 'different looks are compared');
    }

    public function testEggsAreDrawnAsOftenAsThePairGivesThem(): void
    {
        $group = Shelf::catalogue()->groupOf('clown');
        $book = new Book;
        $draw = new EggDraw(new Meiosis, $group, $book->number(...));
        [$het, $visual] = [new Diplotype(['clown'], ['+']), new Diplotype(['clown'], ['clown'])];
        $counts = [];
        for ($i = 0; $i < 4000; $i++) { // every part of the unit interval once: shares are exact
            $egg = $book->states[$draw->of(1, $het, $visual, ($i + .5) / 4000)]->key;
            $counts[$egg] = ($counts[$egg] ?? 0) + 1;
        }
        self::assertSame([2000, 2000], array_values($counts));
        self::assertEqualsCanonicalizing([$het->key, $visual->key], array_keys($counts));
    }

    private static function table(string $locus, string $target): GroupTable
    {
        return new GroupTable(Shelf::catalogue(), Shelf::catalogue()->groupOf($locus), Shelf::facts()->targets()->read($target));
    }

    /**
     * @param array<int, string> $weights
     * @return Weights<null>
     */
    private static function weights(array $weights): Weights
    {
        /** @var Weights<null> $all */
        $all = new Weights;
        foreach ($weights as $state => $weight) {
            $all->add($state, null, Rational::parse($weight));
        }

        return $all;
    }
}
