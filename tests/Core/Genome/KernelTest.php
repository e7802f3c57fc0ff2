<?php

declare(strict_types=1);

namespace Tests\Core\Genome;

use Closure;
use Destino\Genome\Belief;
use Destino\Genome\Components;
use Destino\Genome\Diplotype;
use Destino\Genome\Expressions;
use Destino\Genome\Gamete;
use Destino\Genome\GenomeError;
use Destino\Genome\JointBelief;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Meiosis;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class KernelTest extends TestCase
{
    /** @return iterable<string, array{Closure(): mixed, array<string, mixed>}> what no genome can be, and the facts of its error */
    public static function impossible(): iterable
    {
        $group = static fn (Rational ...$r): LinkageGroup => new LinkageGroup('g', ['a', 'b'], array_values($r));
        $clown = static fn (): JointBelief => JointBelief::certain(Shelf::catalogue()->groupOf('clown'), new Diplotype(['clown'], ['+']));
        yield 'haplotypes of unequal length' => [
            static fn () => new Diplotype(['x', 'y'], ['x']), ['first' => ['x', 'y'], 'second' => ['x']],
        ];
        yield 'haplotypes of nothing' => [static fn () => new Diplotype([], []), ['first' => [], 'second' => []]];
        yield 'more than a half recombines' => [static fn () => $group(Rational::of(9)), ['group' => 'g', 'fraction' => '9']];
        yield 'less than nothing recombines' => [static fn () => $group(Rational::of(-1, 9)), ['group' => 'g', 'fraction' => '-1/9']];
        yield 'no fraction between two loci' => [static fn () => $group(), ['group' => 'g', 'loci' => 2, 'fractions' => 0]];
        yield 'two fractions between two loci' => [
            static fn () => $group(Rational::zero(), Rational::zero()), ['group' => 'g', 'loci' => 2, 'fractions' => 2],
        ];
        yield 'a locus of another group' => [
            static fn () => $group(Rational::zero())->indexOf('c'), ['locus' => 'c', 'group' => 'g', 'held' => ['a', 'b']],
        ];
        yield 'a group that the genotype does not have' => [
            static fn () => State::none()->at($group(Rational::zero())), ['group' => 'g', 'held' => []],
        ];
        yield 'a group believed twice' => [static fn () => new Belief(Sex::Male, [$clown(), $clown()]), ['group' => 'clown']];
        yield 'a belief over other groups than it says' => [
            static fn () => new JointBelief(['piebald'], $clown()->states),
            ['named' => ['piebald'], 'held' => ['clown']],
        ];
    }

    /**
     * @param Closure(): mixed $made
     * @param array<string, mixed> $facts
     */
    #[DataProvider('impossible')]
    public function testWhatNoGenomeCanBeIsRefusedWithItsFacts(Closure $made, array $facts): void
    {
        try {
            $made();
            self::fail('it was taken');
        } catch (GenomeError $error) {
            self::assertSame($facts, $error->facts);
            self::assertMatchesRegularExpression('/^[A-Z].*\.$/', $error->getMessage());
        }
    }

    public function testAGenotypeIsTheSameInWhateverOrderItIsTold(): void
    {
        [$clown, $piebald] = [new Diplotype(['clown'], ['+']), new Diplotype(['piebald'], ['piebald'])];
        $one = State::of(['piebald' => $piebald, 'clown' => $clown]);
        $other = State::of(['clown' => new Diplotype(['+'], ['clown']), 'piebald' => $piebald]);
        self::assertSame($one->key, $other->key);
        self::assertSame($one->key, State::of(['piebald' => $piebald])->and(State::of(['clown' => $clown]))->key);
        self::assertSame($clown->key, $one->only(['clown'])->key);
        self::assertSame([1, 2, 0], [$one->copiesOf('clown'), $one->copiesOf('piebald'), $one->copiesOf('pastel')]);
        self::assertNotSame($one->key, $one->with(Shelf::catalogue()->groupOf('clown'), $piebald)->key);
    }

    public function testAGameteCarriesWhatIsPutInItsPlace(): void
    {
        $gamete = new Gamete(['clown' => ['+'], 'piebald' => ['piebald']]);
        $catalogue = Shelf::catalogue();
        $mutant = $gamete->with($catalogue->allele('clown'), $catalogue->groupOf('clown'));
        self::assertSame([true, true], [$mutant->carries('clown'), $mutant->carries('piebald')]);
        self::assertFalse($gamete->carries('clown'), 'the first is as it was');
        self::assertSame($gamete->key, $gamete->with($catalogue->allele('pastel'), $catalogue->groupOf('pastel'))->key);
    }

    public function testTiesGoThroughOthers(): void
    {
        $components = new Components(['a', 'b', 'c', 'd']);
        $components->tie(['d', 'b']);
        $components->tie(['e', 'f']);
        $components->tie(['f', 'd']);
        self::assertSame([['a'], ['b', 'd', 'e', 'f'], ['c']], $components->all());
        self::assertSame([], (new Components)->all());
    }

    public function testTiesAgreeWithWalkingTheGraph(): void
    {
        $compared = 0;
        mt_srand(7);
        for ($round = 0; $round < 200; $round++) {
            $members = range('a', 'j');
            $ties = [];
            for ($i = mt_rand(0, 8); $i > 0; $i--) {
                $ties[] = [$members[mt_rand(0, 9)], $members[mt_rand(0, 9)], $members[mt_rand(0, 9)]];
            }
            $components = new Components($members);
            array_map($components->tie(...), $ties);
            self::assertEqualsCanonicalizing(self::walked($members, $ties), array_map(static function (array $one): array {
                sort($one);

                return $one;
            }, $components->all()));
            $compared++;
        }
        self::assertSame(200, $compared);
    }

    /** @return iterable<string, array{string, string, list<string>}> */
    public static function parents(): iterable
    {
        yield 'one locus' => ['het Clown', 'Clown', ['clown']];
        yield 'two loci' => ['het Clown het Piebald', 'het Clown Pastel', ['clown', 'piebald', 'pastel']];
        yield 'a complex' => ['Mojave/Mystic', 'Mojave', ['mojave']];
        yield 'linked to sex' => ['Banana (male maker)', 'Banana', ['banana']];
    }

    /** @param list<string> $loci alleles of the loci that are looked at */
    #[DataProvider('parents')]
    public function testEggsAreEverySpermWithEveryEggCell(string $sire, string $dam, array $loci): void
    {
        $groups = array_map(
            static fn (string $allele): LinkageGroup => Shelf::catalogue()->groupOf(Shelf::catalogue()->allele($allele)->locus),
            $loci,
        );
        [[$male]] = Shelf::belief($sire, Sex::Male)->statesOver($groups);
        [[$female]] = Shelf::belief($dam, Sex::Female)->statesOver($groups);
        $expected = [];
        foreach ($groups as $group) { // by hand: each strand of one with each strand of the other, no crossing over
            $crosses = [];
            foreach ($male->at($group)->haplotypes as $left) {
                foreach ($female->at($group)->haplotypes as $right) {
                    $crosses[] = (new Diplotype($left, $right))->key;
                }
            }
            $expected[$group->key] = $crosses;
        }
        $eggs = (new Meiosis)->eggs($groups, $male, $female)->normalised();
        foreach ($groups as $group) {
            $share = [];
            foreach ($eggs->entries() as [$egg, $p]) {
                $share[$egg->at($group)->key] = ($share[$egg->at($group)->key] ?? 0.0) + $p->toFloat();
            }
            self::assertEqualsWithDelta(1.0, array_sum($share), 1e-12);
            foreach ($group->holdsSex() ? [] : array_count_values($expected[$group->key]) as $key => $count) {
                self::assertEqualsWithDelta($count / 4, $share[$key], 1e-12);
            }
        }
    }

    public function testAPoolIsTheMeanOfItsAnimals(): void
    {
        $group = Shelf::catalogue()->groupOf('clown');
        $pool = (new Meiosis)->pool([$group], Shelf::belief('66% het Clown')->statesOver([$group]));
        self::assertSame(
            ['+' => '2/3', 'clown' => '1/3'],
            self::sorted(array_map(static fn (Rational $p): string => $p->toString(), $pool->sums())),
        );
    }

    public function testWhatAGenotypeExpresses(): void
    {
        $expressions = new Expressions(Shelf::catalogue());
        $state = static fn (string $genes, Sex $sex, string ...$alleles): State => Shelf::belief($genes, $sex)->statesOver(
            array_map(
                static fn (string $allele): LinkageGroup => Shelf::catalogue()->groupOf(Shelf::catalogue()->allele($allele)->locus),
                array_values($alleles),
            ),
        )[0][0];
        self::assertSame(Sex::Male, $expressions->sexOf($state('Banana (male maker)', Sex::Male, 'banana', 'clown')));
        self::assertNull($expressions->sexOf($state('Clown', Sex::Male, 'clown')));
        self::assertFalse($expressions->isLethal($state('Spider', Sex::Male, 'spider')));
        self::assertTrue($expressions->isLethal(State::of(['spider' => new Diplotype(['spider'], ['spider'])])));
        $target = Shelf::facts()->targets()->read('Clown, Pastel, female');
        self::assertTrue($expressions->meets($state('Clown Super Pastel', Sex::Female, 'clown', 'pastel'), $target));
        self::assertFalse($expressions->meets($state('het Clown Pastel', Sex::Female, 'clown', 'pastel'), $target));
        self::assertFalse(
            $expressions->meets($state('Banana (male maker)', Sex::Male, 'banana'), $target),
            'a male, where a female is asked for',
        );
    }

    public function testWhatIsBelievedOfSomeGroupsSaysNothingOfOthers(): void
    {
        $belief = Shelf::belief('Pastel or Enchi');
        $pastel = Shelf::catalogue()->groupOf('pastel');
        $states = $belief->statesOver([$pastel]);
        self::assertCount(2, $states, 'the genotypes at Pastel, and no others');
        foreach ($states as [$state, $chance]) {
            self::assertSame(['pastel'], array_keys($state->diplotypes));
            self::assertSame('1/2', $chance->toString());
        }
        self::assertCount(2, $belief->statesOver([$pastel, Shelf::catalogue()->groupOf('enchi')]), 'tied: one or the other');
    }

    public function testADistributionSumsToOne(): void
    {
        $this->expectExceptionMessage('these come to 5/6');
        Distribution::ofWeighted([['a', 'a', Rational::of(1, 2)], ['b', 'b', Rational::of(1, 3)]]);
    }

    /**
     * @param list<string> $members
     * @param list<list<string>> $ties
     * @return list<list<string>>
     */
    private static function walked(array $members, array $ties): array
    {
        $found = [];
        while ($members !== []) {
            $reached = [$members[0]];
            do {
                $before = count($reached);
                foreach ($ties as $tie) {
                    $reached = array_intersect($reached, $tie) === [] ? $reached : array_values(array_unique([...$reached, ...$tie]));
                }
            } while (count($reached) > $before);
            sort($reached);
            $found[] = $reached;
            $members = array_values(array_diff($members, $reached));
        }

        return $found;
    }

    /**
     * @param array<array-key, string> $texts
     * @return array<array-key, string>
     */
    private static function sorted(array $texts): array
    {
        ksort($texts);

        return $texts;
    }
}
