<?php

declare(strict_types=1);

namespace Tests\Core\Genome;

use Destino\Genome\Allele;
use Destino\Genome\GenotypePattern;
use Destino\Genome\Sex;
use Destino\Notation\TargetReader;
use Destino\Pairing\Transmission;
use Destino\Probability\Rational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class BeliefTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>, string}> */
    public static function patterns(): iterable
    {
        yield 'one copy, sure' => ['Pastel', ['pastel'], '1'];
        yield 'two copies of one' => ['Pastel', ['pastel', 'pastel'], '0'];
        yield 'a 66 % het' => ['66% het Clown', ['clown'], '2/3'];
        yield 'either of two alleles' => ['Yellow Belly or Gravel', ['gravel'], '1/2'];
        yield 'never both of them' => ['Yellow Belly or Gravel', ['gravel', 'yellow-belly'], '0'];
        yield 'either of two loci' => ['Pastel or Enchi', ['enchi'], '1/2'];
        yield 'and never both: the loci are believed together' => ['Pastel or Enchi', ['enchi', 'pastel'], '0'];
        yield 'independent doubts multiply' => ['66% het Clown 50% het Piebald', ['clown', 'piebald'], '1/3'];
        yield 'a compound' => ['Mojave/Lesser', ['lesser', 'mojave'], '1'];
        yield 'possible two copies' => ['Pinstripe (33% two copies)', ['pinstripe', 'pinstripe'], '1/3'];
        yield 'a second allele that is uncertain' => ['Mojave 50% Mystic', ['mojave', 'mystic'], '1/2'];
        yield 'three ways at one locus' => ['25% Super Mojave 50% Mojave', ['mojave'], '3/4'];
    }

    /** @param list<string> $alleles */
    #[DataProvider('patterns')]
    public function testChanceOfAPattern(string $text, array $alleles, string $chance): void
    {
        self::assertSame($chance, Shelf::belief($text)->chanceOf(GenotypePattern::ofList($alleles), Shelf::catalogue())->toString());
    }

    /** @return iterable<string, array{string, Sex, array<string, string>}> */
    public static function transmissions(): iterable
    {
        yield 'one copy' => ['Pastel', Sex::Male, ['pastel' => '1/2']];
        yield 'two copies' => ['Super Pastel Clown', Sex::Male, ['pastel' => '1', 'clown' => '1']];
        yield 'a compound gives one or the other' => ['Mojave/Mystic', Sex::Female, ['mojave' => '1/2', 'mystic' => '1/2']];
        yield 'a 66 % het' => ['66% het Clown', Sex::Female, ['clown' => '1/3']];
        yield 'linked to sex, sons and daughters together' => ['Banana (male maker)', Sex::Male, ['banana' => '1/2']];
        yield 'nothing' => ['Normal', Sex::Male, []];
    }

    /** @param array<string, string> $passed */
    #[DataProvider('transmissions')]
    public function testWhatAnAnimalPassesOn(string $text, Sex $sex, array $passed): void
    {
        $found = [];
        foreach (Transmission::of(Shelf::belief($text, $sex), Shelf::catalogue()) as [$allele, $chance]) {
            self::assertInstanceOf(Allele::class, $allele);
            self::assertInstanceOf(Rational::class, $chance);
            $found[$allele->key] = $chance->toString();
        }
        self::assertSame($passed, $found);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function targets(): iterable
    {
        yield 'sure' => ['Pastel het Clown', 'carries Clown', '1'];
        yield 'not there' => ['Pastel', 'carries Clown', '0'];
        yield 'free of it' => ['Pastel', 'no Clown', '1'];
        yield 'a 66 % het' => ['66% het Clown', 'het Clown', '2/3'];
        yield 'one of two alleles' => ['Yellow Belly or Gravel', 'Gravel', '1/2'];
        yield 'one of two loci, the other excluded with it' => ['Pastel or Enchi', 'Pastel, not Enchi', '1/2'];
        yield 'independent doubts' => ['66% het Clown 50% het Piebald', 'carries Clown, carries Piebald', '1/3'];
        yield 'only what is named' => ['Pastel Mojave', 'only Pastel', '0'];
        yield 'only, hidden hets allowed' => ['Pastel het Clown', 'only Pastel', '1'];
        yield 'the wrong sex' => ['Clown', 'Clown, male', '0'];
        yield 'the right sex' => ['Clown', 'Clown, female', '1'];
        yield 'linked to sex' => ['Banana', 'Banana', '1'];
    }

    #[DataProvider('targets')]
    public function testATargetAskedOfAnAnimal(string $text, string $target, string $chance): void
    {
        $wanted = (new TargetReader(Shelf::catalogue(), Shelf::facts()->names()))->read($target);
        self::assertSame($chance, $wanted->chanceFor(Shelf::belief($text, Sex::Female), Shelf::catalogue())->toString());
    }

    public function testCertaintyLooksThroughThePhase(): void
    {
        self::assertTrue(Shelf::belief('Banana', Sex::Male)->isCertain());
        self::assertCount(2, Shelf::belief('Banana', Sex::Male)->factorOf(Shelf::catalogue()->sexGroup())->states->entries());
        self::assertFalse(Shelf::belief('50% Banana', Sex::Male)->isCertain());
    }
}
