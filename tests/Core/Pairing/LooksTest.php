<?php

declare(strict_types=1);

namespace Tests\Core\Pairing;

use Destino\Pairing\Looks;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** What the eye gets, pairing by pairing: tables that a keeper can check by hand. */
final class LooksTest extends TestCase
{
    /** @return iterable<string, array{string, string, array<string, string>}> */
    public static function pairings(): iterable
    {
        yield 'a dominant gene beside a recessive' => ['Pinstripe het Clown', 'het Clown', [
            'Pinstripe 66% het Clown' => '3/8', '66% het Clown' => '3/8', 'Pinstripe Clown' => '1/8', 'Clown' => '1/8',
        ]];
        yield 'a recessive series: three looks of one locus' => ['het Albino', 'het Candy', [
            '33% het Albino 33% het Candy' => '3/4', 'Albino/Candy' => '1/4',
        ]];
        yield 'a visual with a carrier of the other allele' => ['Candy', 'het Albino', ['Albino/Candy' => '1/2', 'het Candy' => '1/2']];
        yield 'a mixed complex' => ['Cryptic', 'het Clown', ['50% het Clown' => '1/2', 'Cryptic/Clown' => '1/4', 'Cryptic' => '1/4']];
        yield 'a het that shows' => ['HRA', 'HRA', ['Het Red Axanthic' => '1/2', 'Red Axanthic' => '1/4', 'Normal' => '1/4']];
        yield 'two alleles whose compound has a name' => ['Yellow Belly', 'Gravel', [
            'Yellow Belly/Gravel' => '1/4', 'Yellow Belly' => '1/4', 'Gravel' => '1/4', 'Normal' => '1/4',
        ]];
        yield 'two doubts about one look' => ['66% het Clown', '66% het Clown', ['50% het Clown' => '8/9', 'Clown' => '1/9']];
        yield 'an ivory hides what is beside it' => ['Yellow Belly Enchi', 'Yellow Belly', [
            'Ivory possible Enchi (50%)' => '1/4', 'Enchi Yellow Belly' => '1/4', 'Yellow Belly' => '1/4', 'Enchi' => '1/8',
            'Normal' => '1/8',
        ]];
        yield 'scales show on a white snake' => ['Lesser Scaleless Head', 'Mojave', [
            'Mojave/Lesser Scaleless Head' => '1/8', 'Mojave/Lesser' => '1/8', 'Mojave Scaleless Head' => '1/8', 'Mojave' => '1/8',
            'Lesser Scaleless Head' => '1/8', 'Lesser' => '1/8', 'Scaleless Head' => '1/8', 'Normal' => '1/8',
        ]];
        yield 'a white snake hides a visual recessive and its het alike' => ['Fire Clown', 'Fire het Clown', [
            'Super Fire possible Clown (50%) 50% het Clown' => '1/4', 'Fire Clown' => '1/4', 'Fire het Clown' => '1/4',
            'Clown' => '1/8', 'het Clown' => '1/8',
        ]];
        yield 'two lethal forms: told apart, and nothing else of them' => ['Spider Champagne Pastel', 'Spider Champagne', [
            'Super Champagne †' => '3/16', 'Super Spider †' => '3/16', 'Pastel Champagne Spider' => '1/8', 'Champagne Spider' => '1/8',
            'Super Champagne Super Spider †' => '1/16', 'Pastel Champagne' => '1/16', 'Pastel Spider' => '1/16',
            'Champagne' => '1/16', 'Spider' => '1/16', 'Pastel' => '1/32', 'Normal' => '1/32',
        ]];
        yield 'a partial mask merges nothing' => ['Piebald Pastel', 'Piebald Calico', [
            'Pastel Calico Piebald' => '1/4', 'Pastel Piebald' => '1/4', 'Calico Piebald' => '1/4', 'Piebald' => '1/4',
        ]];
    }

    /** @param array<string, string> $looks */
    #[DataProvider('pairings')]
    public function testLooks(string $sire, string $dam, array $looks): void
    {
        self::assertSame($looks, Shelf::table(Looks::of(Shelf::cross($sire, $dam))));
    }

    /** @return iterable<string, array{string, string, array<string, string>}> */
    public static function alikes(): iterable
    {
        yield 'alleles of one locus' => ['Cinnamon', 'Black Pastel', [
            'Cinnamon or Black Pastel' => '1/2', 'Cinnamon/Black Pastel' => '1/4', 'Normal' => '1/4',
        ]];
        yield 'their two-copy forms' => ['Cinnamon/Black Pastel', 'Cinnamon', [
            'Super Cinnamon or Cinnamon/Black Pastel' => '1/2', 'Cinnamon or Black Pastel' => '1/2',
        ]];
        yield 'genes of two loci' => ['Woma', 'Hidden Gene Woma', ['Hidden Gene Woma or Woma' => '3/4', 'Normal' => '1/4']];
        yield 'white snakes of several pairs' => ['Mojave/Lesser', 'Butter Mojave', [
            'Super Mojave or Mojave/Lesser or Mojave/Butter or Lesser/Butter' => '1',
        ]];
        yield 'what is alike only as an adult is told apart at hatching' => ['Pastel', 'Orange Dream', [
            'Pastel Orange Dream' => '1/4', 'Pastel' => '1/4', 'Orange Dream' => '1/4', 'Normal' => '1/4',
        ]];
    }

    /** @param array<string, string> $looks */
    #[DataProvider('alikes')]
    public function testLookAlikesAtHatching(string $sire, string $dam, array $looks): void
    {
        self::assertSame($looks, Shelf::table(Looks::of(Shelf::cross($sire, $dam), alike: true)));
    }

    public function testThirtyGenesOnEachSideAreCountedWithoutBeingListed(): void
    {
        $genes = 'Pastel Orange Dream Enchi Mojave Fire Gravel Cinnamon Mahogany Chocolate GHI Gorilla Spotnose Leopard Woma Confusion Acid Bongo Cypress Blade Trick Red Stripe Microscale Calico Pinstripe het Albino het Clown het Piebald het Sunset het Puzzle het Monsoon';
        $space = Looks::of(Shelf::cross($genes, $genes));
        self::assertGreaterThan(12, strlen((string) $space->total()));
        self::assertCount(3, $space->top(3));
    }
}
