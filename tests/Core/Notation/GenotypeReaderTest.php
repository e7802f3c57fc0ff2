<?php

declare(strict_types=1);

namespace Tests\Core\Notation;

use Destino\Genome\Sex;
use Destino\Notation\GenotypeReader;
use Destino\Notation\NotationError;
use Destino\Notation\Printer;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class GenotypeReaderTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function readings(): iterable
    {
        yield 'one copy, one copy, het' => ['pastel ENCHI het clown', 'Pastel Enchi het Clown'];
        yield 'commas and plus signs' => ['Pastel, Enchi + het Clown', 'Pastel Enchi het Clown'];
        yield 'two copies by the word' => ['super pastel', 'Super Pastel'];
        yield 'two copies by name' => ['Super Yellow Belly', 'Ivory'];
        yield 'two thirds' => ['66% het Piebald', '66% het Piebald'];
        yield 'a fraction' => ['2/3 het pied', '66% het Piebald'];
        yield 'double het' => ['double het Clown Ultramel', 'het Ultramel het Clown'];
        yield 'triple het with words between' => ['triple het Clown, Pied and Albino', 'het Albino het Clown het Piebald'];
        yield 'a compound' => ['Mystic/Mojave', 'Mojave/Mystic'];
        yield 'a compound by name' => ['Mystic Potion', 'Mojave/Mystic'];
        yield 'two alleles of a complex side by side' => ['Mojave Mystic', 'Mojave/Mystic'];
        yield 'two hets of one series are the visual compound' => ['het Albino het Candy', 'Albino/Candy'];
        yield 'uncertain which' => ['yellow belly or gravel', 'Yellow Belly or Gravel'];
        yield 'a male maker' => ['Banana (male maker)', 'Banana (male maker)'];
        yield 'hets by certainty' => ['50% het Clown het Piebald 66% het Albino', 'het Piebald 66% het Albino 50% het Clown'];
        yield 'nothing' => ['Normal', 'Normal'];
        yield 'normal with a het' => ['normal het clown', 'het Clown'];
        yield 'a visible het by name' => ['HRA', 'Het Red Axanthic'];
        yield 'its two-copy form' => ['red axanthic', 'Red Axanthic'];
        yield 'a nickname' => ['Bumblebee het Clown', 'Pastel Spider het Clown'];
        yield 'a line without parentheses' => ['het axanthic line 2', 'het Axanthic (line 2)'];
        yield 'the longest name wins' => ['Desert Ghost', 'Desert Ghost'];
        yield 'a possible gene' => ['possible Orange Dream (60%)', 'possible Orange Dream (60%)'];
        yield 'a dominant of unknown copies' => ['Pinstripe (33% two copies)', 'Pinstripe (33% two copies)'];
        yield 'one or the other, at two loci' => ['Woma or Hidden Gene Woma', 'Hidden Gene Woma or Woma'];
        yield 'alternatives at one locus' => [
            'Pastel 25% Super Mojave 50% Mojave', 'Pastel possible Super Mojave (25%) possible Mojave (50%)',
        ];
        yield 'one copy by a slash' => ['Clown/+', 'het Clown'];
    }

    #[DataProvider('readings')]
    public function testReads(string $typed, string $printed): void
    {
        $printer = new Printer(Shelf::catalogue());
        $text = $printer->belief(Shelf::belief($typed, Sex::Male));
        self::assertSame($printed, $text);
        self::assertSame($printed, $printer->belief(Shelf::belief($text, Sex::Male)), 'what is printed reads back');
    }

    /** @return iterable<string, array{string, string, int, list<string>}> */
    public static function faults(): iterable
    {
        yield 'misspelt' => ['Mojave Pastle', 'Pastle', 8, ['Pastel', 'Pastave']];
        yield 'positions count characters' => ['Mojave… Pastle', '…', 7, []];
        yield 'three alleles' => ['Mojave Mystic Lesser', 'Lesser', 15, []];
        yield 'a visual and a het at one locus' => ['Clown het Clown', 'het Clown', 7, []];
        yield 'two visuals of one series' => ['Albino Candy', 'Candy', 8, ['Albino/Candy']];
        yield 'named twice' => ['Pastel Pastel', 'Pastel', 8, ['Super Pastel']];
        yield 'a shared word is a question' => [
            'het Axanthic', 'Axanthic', 5,
            ['het Axanthic (line 1)', 'het Axanthic (line 2)', 'het Axanthic (line 3)', 'het Axanthic (line 4)'],
        ];
        yield 'a nickname with a shared word in it' => [
            'Snow', 'Snow', 1,
            ['Albino Axanthic (line 1)', 'Albino Axanthic (line 2)', 'Albino Axanthic (line 3)', 'Albino Axanthic (line 4)'],
        ];
        yield 'a class of whites' => ['BlkEL', 'BlkEL', 1, ['Super Fire', 'Fire/Sulfur', 'Super Sulfur']];
        yield 'poss het without odds' => ['poss het Clown', 'poss het Clown', 1, ['66% het Clown', '50% het Clown']];
        yield 'more than everything' => ['120% het Clown', '120%', 1, []];
        yield 'nothing at all' => ['0% het Clown', '0%', 1, []];
        yield 'chances above one' => ['66% Mojave 66% Super Mojave', '66% Super Mojave', 12, []];
        yield 'a bare number' => ['66 Clown', '66', 1, ['66%']];
        yield 'super of a recessive' => ['Super Clown', 'Clown', 7, ['Clown']];
        yield 'an end in the middle' => ['Pastel het', 'het', 8, []];
        yield 'fewer than announced' => ['double het Clown', 'Clown', 12, []];
        yield 'markup' => ['<b>Pastel</b>', '<', 1, []];
        yield 'normal beside a gene that shows' => ['Normal Pastel', 'Normal', 1, []];
        yield 'a maker that is not linked to sex' => ['Pastel (male maker)', '(… maker)', 8, ['Pastel']];
        yield 'an open parenthesis' => ['Banana (male maker', '(', 8, []];
        yield 'nothing typed' => ['   ', '', 1, []];
        yield 'far too long' => [str_repeat('Pastel ', 1500), '', GenotypeReader::MOST_CHARACTERS + 1, []];
    }

    /** @param list<string> $suggestions */
    #[DataProvider('faults')]
    public function testFaultsHaveAPlace(string $typed, string $piece, int $position, array $suggestions): void
    {
        $reading = Shelf::reader()->read($typed, Sex::Male);
        self::assertNull($reading->belief);
        self::assertSame(
            [$piece, $position, $suggestions],
            [$reading->errors[0]->piece, $reading->errors[0]->position, $reading->errors[0]->suggestions],
        );
    }

    public function testEveryFaultIsToldAtOnceAndTheRestIsStillRead(): void
    {
        $reading = Shelf::reader()->read('Pastle Enchi 200% het Clown Mojvae', Sex::Male);
        self::assertSame([1, 14, 29], array_map(static fn (NotationError $error): int => $error->position, $reading->errors));
        self::assertSame(
            ['Enchi', 'het Clown'],
            array_map(
                static fn ($piece): string => $piece->text,
                array_values(
                    array_filter($reading->pieces, static fn ($piece): bool => in_array($piece->text, ['Enchi', 'het Clown'], true)),
                ),
            ),
        );
    }

    public function testAFemaleIsNoMaker(): void
    {
        $this->expectException(NotationError::class);
        $this->expectExceptionMessage('only a male can be a male maker');
        Shelf::belief('Banana (male maker)', Sex::Female);
    }

    public function testHouseRulesNameALineAndTheReadingSaysSo(): void
    {
        $reading = (new GenotypeReader(Shelf::catalogue(), null, ['Axanthic' => 'axanthic-2']))->read('het Axanthic', Sex::Male);
        self::assertNotNull($reading->belief);
        self::assertSame('het Axanthic (line 2)', (new Printer(Shelf::catalogue()))->belief($reading->belief));
        self::assertSame(['“Axanthic” is read as Axanthic (line 2), as the house rules say.'], $reading->notes);
    }

    public function testAssumptionsOfReadingAreTold(): void
    {
        self::assertStringContainsString('one copy is assumed', Shelf::reader()->read('Pinstripe', Sex::Male)->notes[0]);
        self::assertStringContainsString('equally likely', Shelf::reader()->read('Banana', Sex::Male)->notes[0]);
        self::assertSame([], Shelf::reader()->read('Banana', Sex::Female)->notes);
    }
}
