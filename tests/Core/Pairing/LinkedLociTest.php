<?php

declare(strict_types=1);

namespace Tests\Core\Pairing;

use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\CatalogueBuilder;
use Destino\Genome\Diplotype;
use Destino\Genome\JointBelief;
use Destino\Genome\Sex;
use Destino\Notation\GenotypeReader;
use Destino\Notation\TargetReader;
use Destino\Pairing\Cross;
use Destino\Pairing\Genotypes;
use Destino\Pairing\TargetOdds;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** Linkage away from sex: the shipped catalogue has none, so Pastel and Enchi are put on one chromosome here. */
final class LinkedLociTest extends TestCase
{
    public function testCouplingKeepsThemTogetherAndRepulsionApart(): void
    {
        $catalogue = self::catalogue('1/10');
        self::assertSame('9/20', self::odds($catalogue, ['pastel', 'enchi'], ['+', '+'], 'Pastel + Enchi'));
        self::assertSame('1/20', self::odds($catalogue, ['pastel', '+'], ['+', 'enchi'], 'Pastel + Enchi'));
        self::assertSame('1/20', self::odds($catalogue, ['pastel', 'enchi'], ['+', '+'], 'Pastel, not Enchi'));
    }

    public function testAnUnknownPhaseIsAnEvenMixtureThatAClutchShares(): void
    {
        $catalogue = self::catalogue('1/10');
        $cross = Cross::of(
            $catalogue, (new GenotypeReader($catalogue))->read('Pastel Enchi', Sex::Male)->beliefOrFail(),
            (new GenotypeReader($catalogue))->read('Normal', Sex::Female)->beliefOrFail(),
        );
        $chance = TargetOdds::of($cross, (new TargetReader($catalogue))->read('Pastel + Enchi'))->chance;

        self::assertSame('1/4', $chance->perEgg()->toString());
        // By hand: 1/2·[1 − (11/20)⁶] + 1/2·[1 − (19/20)⁶].
        $byHand = 0.5 * (1 - 0.55 ** 6) + 0.5 * (1 - 0.95 ** 6);
        self::assertEqualsWithDelta($byHand, $chance->atLeastOne(6)->toFloat(), 1e-12);
    }

    public function testHalfRecombinationIsIndependence(): void
    {
        $catalogue = self::catalogue('1/2');
        self::assertSame('1/4', self::odds($catalogue, ['pastel', 'enchi'], ['+', '+'], 'Pastel + Enchi'));
    }

    public function testGenotypesThatDifferInPhaseAreOneOutcomeUnlessAsked(): void
    {
        $catalogue = self::catalogue('1/10');
        $parent = static fn (Sex $sex): Belief => (new GenotypeReader($catalogue))->read('Pastel Enchi', $sex)->beliefOrFail();
        $cross = Cross::of($catalogue, $parent(Sex::Male), $parent(Sex::Female));
        $both = static fn (bool $phased): array => array_filter(
            iterator_to_array(Genotypes::of($cross, phased: $phased)->walk()),
            static fn ($outcome): bool => $outcome->label === 'Pastel Enchi',
        );

        self::assertCount(1, $both(false));
        self::assertSame(['+·+/pastel·enchi', '+·enchi/pastel·+'], self::phases($both(true)));
        self::assertSame(
            '1',
            array_reduce(
                $both(true), static fn ($sum, $outcome) => $sum->plus($outcome->probability),
                \Destino\Probability\Rational::zero(),
            )->dividedBy(array_values($both(false))[0]->probability)->toString(),
        );
    }

    /**
     * @param array<int, \Destino\Pairing\Outcome> $outcomes
     * @return list<string>
     */
    private static function phases(array $outcomes): array
    {
        $phases = array_map(static fn ($outcome): string => $outcome->phase['chromosome-5'] ?? '', $outcomes);
        sort($phases);

        return $phases;
    }

    private static function catalogue(string $fraction): Catalogue
    {
        $document = Shelf::facts()->document;
        $document['linkage'][] = [
            'key' => 'chromosome-5', 'name' => 'Chromosome 5', 'loci' => ['pastel', 'enchi'], 'recombination' => [$fraction],
            'evidence' => 'reported', 'source' => 'made up for a test', 'note' => '',
        ];

        return CatalogueBuilder::build($document);
    }

    /**
     * @param list<string> $first
     * @param list<string> $second
     */
    private static function odds(Catalogue $catalogue, array $first, array $second, string $target): string
    {
        $sire = new Belief(Sex::Male, [JointBelief::certain($catalogue->groups['chromosome-5'], new Diplotype($first, $second))]);
        $cross = Cross::of($catalogue, $sire, new Belief(Sex::Female, []));

        return TargetOdds::of($cross, (new TargetReader($catalogue))->read($target))->chance->perEgg()->toString();
    }
}
