<?php

declare(strict_types=1);

namespace Tests\Core\Pairing;

use Destino\Genome\Sex;
use Destino\Pairing\Cross;
use Destino\Pairing\Genotypes;
use Destino\Pairing\Looks;
use Destino\Pairing\PairingError;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class OutcomesTest extends TestCase
{
    public function testGenotypesMostLikelyFirstTiesInPrintersOrder(): void
    {
        self::assertSame([
            'Pastel Mojave het Clown' => '1/8', 'Pastel Mystic het Clown' => '1/8', 'Mojave het Clown' => '1/8',
            'Mystic het Clown' => '1/8',
            'Pastel Mojave Clown' => '1/16', 'Pastel Mojave' => '1/16', 'Pastel Mystic Clown' => '1/16', 'Pastel Mystic' => '1/16',
            'Mojave Clown' => '1/16', 'Mojave' => '1/16', 'Mystic Clown' => '1/16', 'Mystic' => '1/16',
        ], Shelf::table(Genotypes::of(Shelf::cross('Pastel het Clown', 'Mojave/Mystic het Clown'))));
    }

    public function testHiddenHetsCollapseAndComeBackAsPercentages(): void
    {
        self::assertSame(['66% het Clown' => '3/4', 'Clown' => '1/4'], Shelf::table(Looks::of(Shelf::cross('het Clown', 'het Clown'))));
        self::assertSame(['50% het Clown' => '1'], Shelf::table(Looks::of(Shelf::cross('het Clown', 'Normal'))));
        self::assertSame(['het Clown' => '1'], Shelf::table(Looks::of(Shelf::cross('Clown', 'Normal'))));
        // By hand: 2/3·(1/2 het, 1/4 Clown, 1/4 none) + 1/3·(1/2 het, 1/2 none): of 5/6 normal-looking, 1/2 are het: 60 %.
        self::assertSame(['60% het Clown' => '5/6', 'Clown' => '1/6'], Shelf::table(Looks::of(Shelf::cross('66% het Clown', 'het Clown'))));
    }

    public function testCopiesOfADominantGeneCannotBeSeen(): void
    {
        self::assertSame(
            ['Pinstripe (33% two copies)' => '3/4', 'Normal' => '1/4'],
            Shelf::table(Looks::of(Shelf::cross('Pinstripe', 'Pinstripe'))),
        );
    }

    public function testAWhiteFormHidesOtherGenes(): void
    {
        self::assertSame([
            'Mojave/Lesser possible Pastel (50%)' => '1/4', 'Pastel Mojave' => '1/8', 'Pastel Lesser' => '1/8', 'Pastel' => '1/8',
            'Mojave' => '1/8', 'Lesser' => '1/8', 'Normal' => '1/8',
        ], Shelf::table(Looks::of(Shelf::cross('Mojave Pastel', 'Lesser'))));
    }

    public function testADarkFormHidesPatternAndShowsColour(): void
    {
        $table = Shelf::table(Looks::of(Shelf::cross('Cinnamon Spotnose Pastel', 'Cinnamon')));
        self::assertSame('1/8', $table['Pastel Super Cinnamon possible Spotnose (50%)']);
        self::assertSame('1/8', $table['Super Cinnamon possible Spotnose (50%)']);
        self::assertSame('1/8', $table['Pastel Cinnamon Spotnose']);
    }

    public function testLookAlikesCanBeMergedFurther(): void
    {
        self::assertSame(
            ['Yellow Belly or Gravel' => '1/2', 'Normal' => '1/2'],
            Shelf::table(Looks::of(Shelf::cross('Yellow Belly or Gravel', 'Normal'), alike: true)),
        );
        // Two lines at different loci: visual for either, or for both at once, and nobody can tell by eye.
        $table = Shelf::table(
            Looks::of(
                Shelf::cross('double het Axanthic (line 1) Axanthic (line 2)', 'double het Axanthic (line 1) Axanthic (line 2)'),
                alike: true,
            ),
        );
        self::assertSame(['9/16', '7/16'], array_values($table));
        self::assertStringStartsWith('Axanthic (line 1) or Axanthic (line 2)', array_keys($table)[1]);
    }

    public function testALethalFormIsListedAndLeftOutOfTheLiving(): void
    {
        $cross = Shelf::cross('Spider', 'Spider Pastel');
        self::assertSame('1/8', Shelf::table(Genotypes::of($cross))['Pastel Super Spider †']);
        self::assertSame('1/4', Shelf::table(Looks::of($cross))['Super Spider †']);
        self::assertSame(
            ['Pastel Spider' => '1/3', 'Spider' => '1/3', 'Pastel' => '1/6', 'Normal' => '1/6'],
            Shelf::table(Genotypes::of($cross, hatched: true)),
        );
    }

    public function testWhereNothingHatchesItSaysSo(): void
    {
        $this->expectException(PairingError::class);
        $this->expectExceptionMessage('Every egg of this pairing dies');
        Genotypes::of(Shelf::cross('Super Champagne', 'Super Champagne'), hatched: true);
    }

    public function testASonsPhaseIsWrittenWhereItIsSure(): void
    {
        self::assertSame([
            'Banana (male maker), male' => '93/200', 'Normal, female' => '93/200', 'Banana, female' => '7/200', 'Normal, male' => '7/200',
        ], Shelf::table(Genotypes::of(Shelf::cross('Banana (male maker)', 'Normal'))));
        self::assertArrayHasKey('Banana (female maker), male', Shelf::table(Genotypes::of(Shelf::cross('Normal', 'Banana'))));
        // A son of two banana parents with one copy may have it on either chromosome.
        self::assertArrayHasKey('Banana, male', Shelf::table(Genotypes::of(Shelf::cross('Banana (male maker)', 'Banana'))));
    }

    public function testPhasesAreToldApartOnRequest(): void
    {
        $phases = [];
        foreach (Genotypes::of(Shelf::cross('Banana (male maker)', 'Banana'), phased: true)->walk() as $outcome) {
            $phases[$outcome->sex?->value.' '.($outcome->phase['banana'] ?? '')][] = $outcome->probability->toString();
        }
        ksort($phases);
        // A daughter's two X chromosomes have no order, so hers from the dam and from the sire are one outcome.
        self::assertSame(
            [
                'female ' => ['93/400'], 'female X' => ['1/4'], 'female X and X' => ['7/400'], 'male ' => ['7/400'],
                'male X' => ['7/400'], 'male X and Y' => ['93/400'], 'male Y' => ['93/400'],
            ],
            $phases,
        );
    }

    public function testFourGenesOnEachSideAtEightLoci(): void
    {
        $space = Genotypes::of(Shelf::cross('Pastel Mojave Spotnose Leopard', 'Enchi Yellow Belly Fire Mahogany'));
        self::assertSame('256', (string) $space->total());
        self::assertSame(['1/256'], array_values(array_unique(Shelf::table($space))));
        // Two of one parent's four at one locus: 128, never both, always one.
        $cross = Shelf::cross('Pastel Mojave/Mystic Spotnose', 'Enchi Yellow Belly Fire Mahogany');
        self::assertSame('128', (string) Genotypes::of($cross)->total());
        self::assertSame(
            '0',
            Shelf::odds('Pastel Mojave/Mystic Spotnose', 'Enchi Yellow Belly Fire Mahogany', 'Mojave Mystic')->chance->perEgg()->toString(),
        );
        self::assertSame(
            '1',
            Shelf::odds(
                'Pastel Mojave/Mystic Spotnose', 'Enchi Yellow Belly Fire Mahogany', 'Mojave or Mystic',
            )->chance->perEgg()->toString(),
        );
    }

    public function testManyLociAreCountedAndNeverMultipliedOut(): void
    {
        $catalogue = Shelf::catalogue();
        $genes = [];
        foreach ($catalogue->loci as $locus) {
            if ($locus->key !== Sex::LOCUS && $catalogue->groupOf($locus->key)->key === $locus->key && count($genes) < 40) {
                $genes[] = $catalogue->oneCopy($catalogue->allele($locus->alleles[0]))->text;
            }
        }
        $text = implode(' ', $genes);
        $space = Genotypes::of(Shelf::cross($text, $text));
        self::assertSame('12157665459056928801', (string) $space->total(), '3 to the power of 40, beyond a native integer');
        self::assertCount(25, $space->top(25));
        self::assertSame('1/'.(2 ** 40), $space->top(1)[0]->probability->toString());
    }

    public function testTwoFemalesAreNoPairing(): void
    {
        $this->expectException(PairingError::class);
        Cross::of(Shelf::catalogue(), Shelf::belief('Pastel', Sex::Female), Shelf::belief('Pastel', Sex::Female));
    }
}
