<?php

declare(strict_types=1);

namespace Tests\Core\Pairing;

use Destino\Genome\Sex;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class OddsPerEggTest extends TestCase
{
    /** @return iterable<string, array{string, string, string, string}> */
    public static function workedExamples(): iterable
    {
        yield 'a dominant gene in both parents shows in three quarters' => ['Pinstripe', 'Pinstripe', 'Pinstripe', '3/4'];
        yield 'and a quarter has two copies' => ['Pinstripe', 'Pinstripe', 'Homozygous Pinstripe', '1/4'];
        yield 'het × het gives a quarter' => ['het Clown', 'het Clown', 'Clown', '1/4'];
        yield 'het × normal gives none' => ['het Clown', 'Normal', 'Clown', '0'];
        yield 'and half carry it' => ['het Clown', 'Normal', 'carries Clown', '1/2'];
        yield 'a compound from two alleles' => ['Mojave', 'Mystic', 'Mojave/Mystic', '1/4'];
        yield 'at least one copy counts the compound' => ['Mojave', 'Mystic', 'Mojave', '1/2'];
        yield 'a compound parent never passes both' => ['Mojave/Mystic', 'Normal', 'Mojave + Mystic', '0'];
        yield 'nor neither' => ['Mojave/Mystic', 'Normal', 'Normal', '0'];
        yield 'double het × double het, both' => ['double het Clown Piebald', 'double het Clown Piebald', 'Clown Piebald', '1/16'];
        yield 'double het × double het, neither visual' => [
            'double het Clown Piebald', 'double het Clown Piebald', 'not Clown, not Piebald', '9/16',
        ];
        yield 'a 66% het keeps two thirds of a het’s promise' => ['66% het Clown', 'Clown', 'Clown', '1/3'];
        yield 'two 66% hets' => ['66% het Clown', '66% het Clown', 'Clown', '1/9'];
        // by hand: 1/2 · 1/4 · 1/3; 1/4 · 1/2 · 1/2; 1/4 · 1/4
        yield 'two uncertain hets: 2/3 · 1/2 · 1/4' => ['66% het Clown', '50% het Clown', 'Clown', '1/12'];
        yield 'a daughter by the 7 %, two uncertain hets' => [
            'Banana (male maker) 50% het Clown', '66% het Clown', 'Banana + Clown, female', '7/2400',
        ];
        yield 'two copies and an uncertain het' => ['Super Pastel 66% het Piebald', 'Pastel het Piebald', 'Super Pastel + Piebald', '1/12'];
        yield 'two uncertain hets, one sex' => ['Banana (male maker) 50% het Piebald', 'Pastel 66% het Piebald', 'Piebald, male', '1/24'];
        yield 'a sure morph, one that may come, an uncertain het' => [
            'Super Pastel het Clown', 'Enchi 50% het Clown', 'Clown + Pastel + Enchi', '1/16',
        ];
        yield 'a compound and a recessive' => ['Mojave het Ultramel', 'Mystic het Ultramel', 'Mojave/Mystic + Ultramel', '1/16'];
        yield 'two uncertain hets and a morph' => ['Pastel 66% het Clown', 'Enchi 50% het Clown', 'Clown + Pastel', '1/24'];
        yield 'a compound and an uncertain het' => [
            'Mojave het Piebald', 'Lesser 66% het Piebald', 'Mojave/Lesser + Piebald', '1/24',
        ];
        yield 'two copies, a recessive and a sex' => [
            'Super Pastel het Ultramel', 'Pastel het Ultramel', 'Super Pastel + Ultramel, female', '1/16',
        ];
        // 1/4 · 2/3 · 1/2 with Enchi in every egg; 1/4 · 1/3 · 1/2; 1/4 · 1/4
        yield 'two copies that pass in every egg' => [
            'Super Enchi het Piebald', '66% het Piebald Pastel', 'Piebald + Enchi + Pastel', '1/12',
        ];
        yield 'two uncertain hets and another morph' => ['66% het Clown Mojave', '50% het Clown Enchi', 'Clown + Mojave', '1/24'];
        // 1/2 · 2/3 that both carry it, 1/4 of their young show it, all have a copy of Pastel, half are female
        yield 'two uncertain hets, a super and a sex' => ['50% het Clown', '66% het Clown Super Pastel', 'Clown + Pastel, female', '1/24'];
        yield 'an uncertain het to a visual' => ['Enchi 66% het Piebald', 'Piebald', 'Piebald + Enchi', '1/6'];
        // 2/3 · 1/2 that both carry it, 1/4 show it, half each of two morphs
        yield 'two uncertain hets and a morph of each' => ['66% het Clown Pastel', '50% het Clown Enchi', 'Clown + Pastel + Enchi', '1/48'];
        // a quarter gets one allele of the complex from each, 2/3 that the dam carries Piebald, 1/4 show it
        yield 'a compound and a recessive that one may carry' => ['Mojave het Piebald', 'Mystic 66% het Piebald', 'Mojave/Mystic + Piebald', '1/24'];
        // half of the sire's gametes, all of the dam's; every egg has a copy of Pastel
        yield 'alleles of one locus that meet' => ['Super Pastel het Albino', 'Candy', 'Albino/Candy + Pastel', '1/2'];
        yield 'a super, a morph and a recessive' => ['Super Enchi het Ultramel', 'Mystic het Ultramel', 'Ultramel + Enchi + Mystic', '1/8'];
        yield 'another compound and a recessive' => ['Lesser het Ultramel', 'Mystic het Ultramel', 'Ultramel + Lesser/Mystic', '1/16'];
        yield 'uncertain which of two alleles' => ['Yellow Belly or Gravel', 'Normal', 'Gravel', '1/4'];
        yield 'uncertain which of two loci: never both' => ['Pastel or Enchi', 'Normal', 'Pastel + Enchi', '0'];
        yield 'nor neither twice as often' => ['Pastel or Enchi', 'Normal', 'Normal', '1/2'];
        yield 'two loci that are sure give both in a quarter' => ['Pastel Enchi', 'Normal', 'Pastel + Enchi', '1/4'];
        yield 'a recessive name is not the compound' => ['Albino', 'Candy', 'Albino', '0'];
        yield 'the compound is asked for by name' => ['Albino', 'Candy', 'Candino', '1'];
        yield 'the compound shows albino' => ['Albino', 'Candy', 'not Albino', '0'];
        yield 'a mixed complex: clown with cryptic' => ['het Clown', 'Cryptic', 'Cryptic/Clown', '1/4'];
        yield 'a het that does not show' => ['het Clown', 'Cryptic', 'het Clown', '1/4'];
        yield 'only these' => ['Pastel het Clown', 'Mojave het Clown', 'only Pastel + Clown', '1/16'];
        yield 'only these allows hidden hets' => ['Pastel het Clown', 'Mojave', 'only Pastel', '1/4'];
        yield 'no copy at all' => ['Pastel', 'Super Pastel', 'no Pastel', '0'];
        yield 'a lethal egg is no hit' => ['Spider', 'Spider', 'Spider', '1/2'];
        yield 'any of two at one locus' => ['Mojave', 'Mystic', 'Mojave or Mystic', '3/4'];
        yield 'a male maker’s daughters' => ['Banana (male maker)', 'Normal', 'Banana, female', '7/200'];
        yield 'a male maker’s sons' => ['Banana (male maker)', 'Normal', 'Banana, male', '93/200'];
        yield 'a female maker’s daughters' => ['Banana (female maker)', 'Normal', 'Banana, female', '93/200'];
        yield 'an unknown maker' => ['Banana', 'Normal', 'Banana, female', '1/4'];
        yield 'a dam gives it to both sexes alike' => ['Normal', 'Banana', 'Banana, male', '1/4'];
        yield 'one sex of anything is half of it' => ['het Clown', 'Clown', 'Clown, female', '1/4'];
        yield 'a nickname as a target' => ['Pastel', 'Spider', 'Bumblebee', '1/4'];
        yield 'exactly one copy of what shows' => ['Pastel', 'Pastel', 'het Pastel', '1/2'];
        // By hand: 1/2 Pastel from the sire; Clown 2/3·1/4; Piebald 1/2·1/2 with a 50 % het dam and a visual sire.
        yield 'three doubts at once' => ['Pastel Piebald het Clown', '66% het Clown 50% het Piebald', 'Pastel Clown Piebald', '1/48'];
        yield 'extracting one gene' => ['Pastel Mojave Enchi', 'Normal', 'only Enchi', '1/8'];
    }

    #[DataProvider('workedExamples')]
    public function testOddsPerEgg(string $sire, string $dam, string $target, string $odds): void
    {
        self::assertSame($odds, Shelf::odds($sire, $dam, $target)->chance->perEgg()->toString());
    }

    public function testPerLivingHatchling(): void
    {
        $odds = Shelf::odds('Spider het Clown', 'Spider het Clown', 'Spider', hatched: true);
        self::assertSame('2/3', $odds->chance->perEgg()->toString());
        self::assertSame('3/4', Shelf::cross('Spider', 'Spider')->survival()->toString());
    }

    public function testTheSexesShareTheOddsOut(): void
    {
        $odds = Shelf::odds('Banana (male maker) het Clown', '66% het Clown', 'Banana Clown');
        self::assertSame(
            $odds->chance->perEgg()->toString(),
            $odds->bySex(Sex::Male)->perEgg()->plus($odds->bySex(Sex::Female)->perEgg())->toString(),
        );
    }

    /** @return iterable<string, array{string, string, string, string}> */
    public static function impossibleTargets(): iterable
    {
        yield 'nobody carries it' => ['Pastel', 'Mojave', 'Clown', 'neither parent carries Clown.'];
        yield 'one side only' => [
            'het Clown', 'Pastel', 'Clown', 'only the sire carries Clown, and “Clown” needs a copy from each parent.',
        ];
        yield 'two copies from one side' => [
            'Pastel', 'Normal', 'Super Pastel', 'only the sire carries Pastel, and “Super Pastel” needs a copy from each parent.',
        ];
        yield 'one locus' => [
            'Mojave/Mystic', 'Normal', 'Mojave, Mystic',
            'Each part of the target can happen, but not together in one egg: Mojave and Mystic stand at one locus (Blue-eyed '
                .'white complex).',
        ];
        yield 'it always shows' => ['Super Pastel', 'Normal', 'not Pastel', 'every egg that lives goes against “not Pastel”.'];
    }

    #[DataProvider('impossibleTargets')]
    public function testAnImpossibleTargetSaysWhy(string $sire, string $dam, string $target, string $why): void
    {
        self::assertSame($why, Shelf::odds($sire, $dam, $target)->whyImpossible());
    }
}
