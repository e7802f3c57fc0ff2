<?php

declare(strict_types=1);

namespace Tests\Core\Husbandry;

use Destino\Husbandry\Pedigree;
use Destino\Husbandry\PedigreeError;
use Destino\Probability\Rational;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PedigreeTest extends TestCase
{
    use TestTrait;

    /** A family in which every textbook relation occurs: numbers as in any primer on inbreeding. */
    private const FAMILY = [
        'grandsire' => [null, null], 'granddam' => [null, null], 'other' => [null, null], 'stranger' => [null, null],
        'son' => ['grandsire', 'granddam'], 'daughter' => ['grandsire', 'granddam'], 'half' => ['grandsire', 'other'],
        'cousin' => ['son', 'stranger'], 'niece' => ['son', 'other'], 'inbred' => ['son', 'daughter'], 'back' => ['grandsire', 'inbred'],
    ];

    /** @return iterable<string, array{string, string, string}> */
    public static function relations(): iterable
    {
        yield 'strangers' => ['grandsire', 'granddam', '0'];
        yield 'an animal with itself' => ['grandsire', 'grandsire', '1/2'];
        yield 'parent and offspring' => ['grandsire', 'son', '1/4'];
        yield 'full siblings' => ['son', 'daughter', '1/4'];
        yield 'half siblings' => ['son', 'half', '1/8'];
        yield 'grandparent' => ['grandsire', 'cousin', '1/8'];
        yield 'uncle and niece' => ['daughter', 'niece', '1/8'];
        yield 'half siblings through one parent of both' => ['cousin', 'niece', '1/8'];
        yield 'an inbred animal with itself' => ['inbred', 'inbred', '5/8'];
        yield 'an inbred animal with its own grandsire' => ['inbred', 'grandsire', '1/4'];
        yield 'a backcross to the grandsire, with itself' => ['back', 'back', '5/8'];
    }

    #[DataProvider('relations')]
    public function testKinship(string $a, string $b, string $kinship): void
    {
        $pedigree = new Pedigree(self::FAMILY);
        self::assertSame($kinship, $pedigree->kinship($a, $b)->toString());
        self::assertSame($kinship, $pedigree->kinship($b, $a)->toString(), 'either way round');
    }

    public function testInbreedingIsTheKinshipOfTheParents(): void
    {
        $pedigree = new Pedigree(self::FAMILY);
        self::assertSame(
            ['1/4', '1/4', '0', '0'],
            array_map(
                static fn (string $animal): string => $pedigree->inbreeding($animal)->toString(),
                ['inbred', 'back', 'cousin', 'stranger'],
            ),
        );
    }

    public function testTheOrderOfTheRecordsDoesNotMatter(): void
    {
        $backwards = new Pedigree(array_reverse(self::FAMILY, true));
        self::assertSame('5/8', $backwards->kinship('back', 'back')->toString());
        self::assertSame(['granddam', 'grandsire'], self::sorted($backwards->ancestors('inbred'), ['son', 'daughter']));
        self::assertSame(
            ['grandsire', 'inbred'], self::sorted($backwards->commonAncestors('back', 'inbred'), ['son', 'daughter', 'granddam']),
        );
    }

    public function testTheNearestCommonAncestorsAreNamed(): void
    {
        $pedigree = new Pedigree(self::FAMILY);
        self::assertSame(['granddam', 'grandsire'], self::sorted($pedigree->nearestCommonAncestors('son', 'daughter'), []));
        self::assertSame(['son'], $pedigree->nearestCommonAncestors('cousin', 'son'));
        self::assertSame([], $pedigree->nearestCommonAncestors('stranger', 'niece'));
    }

    public function testAnAnimalIsNotItsOwnAncestor(): void
    {
        $this->expectException(PedigreeError::class);
        new Pedigree(['a' => ['b', null], 'b' => ['c', null], 'c' => [null, 'a']]);
    }

    public function testAnUnknownAnimalIsNamed(): void
    {
        $this->expectExceptionMessage('does not hold the animal nobody');
        (new Pedigree(self::FAMILY))->kinship('son', 'nobody');
    }

    /** Drop two different alleles into each founder and let chance run: the share of pairs that are copies, counted over all ways. */
    public function testAgreesWithCountingEveryWayOfPassingAlleles(): void
    {
        $shape = Generators::tuple(...array_fill(0, 8, Generators::choose(0, 5)));
        $this->limitTo(25)->forAll($shape)->then(static function (array $picks): void {
            $parents = ['f0' => [null, null], 'f1' => [null, null]];
            foreach (array_chunk($picks, 2) as $i => [$sire, $dam]) {
                $names = array_keys($parents);
                $parents["n{$i}"] = [$names[$sire % count($names)], $names[$dam % count($names)]];
            }
            $pedigree = new Pedigree($parents);
            self::assertSame(self::byCounting($parents, 'n2', 'n3')->toString(), $pedigree->kinship('n2', 'n3')->toString());
            self::assertSame(self::byCounting($parents, 'n3', 'n3')->toString(), $pedigree->kinship('n3', 'n3')->toString());
        });
    }

    /** @param array<string, array{string|null, string|null}> $parents parents listed before their young */
    private static function byCounting(array $parents, string $a, string $b): Rational
    {
        $young = array_keys(array_filter($parents, static fn (array $pair): bool => $pair[0] !== null));
        $same = $all = 0;
        for ($way = 0; $way < 4 ** count($young); $way++) {
            $alleles = [];
            foreach ($parents as $animal => [$sire, $dam]) {
                $toss = intdiv($way, 4 ** (int) array_search($animal, $young, true)) % 4;
                $alleles[$animal] = $sire === null || $dam === null
                    ? ["{$animal}·1", "{$animal}·2"]
                    : [$alleles[$sire][$toss % 2], $alleles[$dam][intdiv($toss, 2)]];
            }
            foreach ($alleles[$a] as $left) {
                foreach ($alleles[$b] as $right) {
                    $same += $left === $right ? 1 : 0;
                    $all++;
                }
            }
        }

        return Rational::of($same, $all);
    }

    /**
     * @param list<string> $animals
     * @param list<string> $without
     * @return list<string>
     */
    private static function sorted(array $animals, array $without): array
    {
        $rest = array_values(array_diff($animals, $without));
        sort($rest);

        return $rest;
    }
}
