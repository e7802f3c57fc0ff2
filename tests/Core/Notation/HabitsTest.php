<?php

declare(strict_types=1);

namespace Tests\Core\Notation;

use Destino\Genome\Sex;
use Destino\Notation\GenotypeReader;
use Destino\Notation\NotationError;
use Destino\Notation\Printer;
use Destino\Notation\Reading;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** What people really write in lists and messages: read as meant, or asked; nothing silently as something else. */
final class HabitsTest extends TestCase
{
    /** @return iterable<string, array{string, string, 2?: string}> typed, printed, a note where one is due */
    public static function meant(): iterable
    {
        yield 'het for several' => ['het for clown and pied', 'het Clown het Piebald'];
        yield 'the plural' => ['hets pied clown', 'het Clown het Piebald'];
        yield 'a list with commas' => ['het for pied, clown and ultramel', 'het Ultramel het Clown het Piebald'];
        yield 'a colon' => ['hets: clown, pied', 'het Clown het Piebald'];
        yield 'what shows ends no list' => ['hets pied, Enchi, clown', 'Enchi het Clown het Piebald'];
        yield 'a chance for the whole list' => ['66% hets clown pied', '66% het Clown 66% het Piebald'];
        yield 'only recessives are the trap' => ['het pied, Enchi', 'Enchi het Piebald'];
        yield 'possible het with its chance' => ['66% ph clown', '66% het Clown'];
        yield 'two names of one gene' => ['Calico/Sugar', 'Calico', 'two names of one gene'];
        yield 'a line and its twin' => ['Lesser/Butter', 'Lesser/Butter', 'write “Lesser or Butter”'];
        yield 'alike when seen' => ['YB/Asphalt', 'Yellow Belly/Asphalt', 'write “Yellow Belly or Asphalt”'];
        yield 'in either order' => ['Gravel/YB', 'Yellow Belly/Gravel', 'write “Gravel or Yellow Belly”'];
        yield 'two recessive lines' => ['Candy/Toffee', 'Candy/Toffee', 'write “Candy or Toffee”'];
        yield 'linked to sex' => ['Banana/Coral Glow', 'Banana/Coral Glow', 'write “Banana or Coral Glow”'];
        yield 'the chance behind' => ['het Clown 66%', '66% het Clown'];
        yield 'the chance behind, more follows' => ['het Clown 66%, Pastel', 'Pastel 66% het Clown'];
        yield 'the chance of the next' => ['het Clown 66% het Pied', 'het Clown 66% het Piebald'];
        yield 'chance and het behind' => ['Clown 66% het', '66% het Clown'];
        yield 'three by a short form' => ['trip het clown pied albino', 'het Albino het Clown het Piebald'];
        yield 'three by a number' => ['3x het clown pied albino', 'het Albino het Clown het Piebald'];
        yield 'two by two letters' => ['dh clown pied', 'het Clown het Piebald'];
        yield 'visual' => ['vis. clown', 'Clown'];
        yield 'super by a letter' => ['S. Pastel', 'Super Pastel'];
        yield 'twice behind' => ['Pastel x2', 'Super Pastel'];
        yield 'twice before' => ['2x Pastel', 'Super Pastel'];
        yield 'wild type by two letters' => ['WT', 'Normal'];
        yield 'a male maker by two letters' => ['Banana MM', 'Banana (male maker)'];
        yield 'a female maker in parentheses' => ['Banana (FM)', 'Banana (female maker)'];
        yield 'het behind' => ['Clown het', 'het Clown'];
        yield 'het behind in parentheses' => ['Clown (het)', 'het Clown'];
        yield 'all in parentheses' => ['(het clown)', 'het Clown'];
        yield 'het over a slash' => ['het clown/pied', 'het Clown het Piebald', 'read as a comma'];
        yield 'slashes between loci' => ['Pastel/Enchi/Clown', 'Pastel Enchi Clown', 'read as a comma'];
        yield 'a slash between loci, a pair at one' => ['Pastel/Mojave/Lesser', 'Pastel Mojave/Lesser', 'read as a comma'];
        yield 'its sex by a count' => ['1.0 Pastel', 'Pastel', 'is its sex, male'];
        yield 'its sex by a word' => ['male Pastel', 'Pastel', 'is its sex, male'];
        yield 'its number' => ['#12 Enchi', 'Enchi', '“#12” is its number'];
        yield 'the pair of a class in parentheses' => ['BEL (mojave/lesser)', 'Mojave/Lesser', 'is Mojave/Lesser here'];
        yield 'the pair of a class before it' => ['Mojave Lesser BEL', 'Mojave/Lesser', 'is Mojave/Lesser here'];
        yield 'a plural' => ['Pewters', 'Pastel Cinnamon'];
        yield 'a plural in y' => ['Ivories', 'Ivory'];
        yield 'written together' => ['killerbee', 'Super Pastel Spider'];
        yield 'written together with capitals' => ['BlackPastel', 'Black Pastel'];
        yield 'another language' => ['heterozygot clown', 'het Clown'];
        yield 'an accent' => ['hétérozygote clown', 'het Clown'];
        yield 'a decimal comma' => ['33,3 % het clown', '33% het Clown'];
        yield 'het carried over or' => ['het Clown or Piebald', 'het Clown or het Piebald'];
        yield 'a further name of a compound' => ['8 Ball', 'Cinnamon/Black Pastel'];
        yield 'a further name of two copies' => ['Powerball', 'Super Spotnose'];
    }

    #[DataProvider('meant')]
    public function testIsReadAsMeant(string $typed, string $printed, string $note = ''): void
    {
        $reading = self::read($typed);
        self::assertSame([], array_map(static fn (NotationError $error): string => $error->getMessage(), $reading->errors));
        self::assertSame($printed, (new Printer(Shelf::catalogue()))->belief($reading->beliefOrFail()));
        self::assertStringContainsString($note, implode(' ', $reading->notes));
    }

    /** @return iterable<string, array{string, string, int, list<string>}> typed, piece, position, what may be meant */
    public static function asked(): iterable
    {
        yield 'behind a het with &' => ['het clown & pied', 'pied', 13, ['het Piebald', 'visual Piebald']];
        yield 'behind a het with and' => ['100% het pied and clown', 'clown', 19, ['het Clown', 'visual Clown']];
        yield 'behind a het with nothing' => ['66% het clown pied', 'pied', 15, ['het Piebald', 'visual Piebald']];
        yield 'behind a het in a list' => ['het pied, clown, DG', 'clown', 11, ['het Clown', 'visual Clown']];
        yield 'a visual pair behind a het' => [
            'het pied Albino/Candy', 'Albino/Candy', 10, ['het Albino or het Candy', 'visual Albino/Candy'],
        ];
        yield 'a chance without the word' => ['het DG 66% pied', '66% pied', 8, ['66% het Piebald', 'possible Piebald (66%)']];
        yield 'a chance between two recessives' => ['Pied 50% albino', '50% albino', 6, ['50% het Albino', 'possible Albino (50%)']];
        yield 'a chance behind a recessive' => ['Clown 50%', 'Clown 50%', 1, ['50% het Clown', 'possible Clown (50%)']];
        yield 'all of a chance' => ['100% Clown', '100% Clown', 1, ['het Clown', 'visual Clown']];
        yield 'possible without a chance' => ['pos het clown', 'pos het clown', 1, ['66% het Clown', '50% het Clown']];
        yield 'possible with a full stop' => ['poss. het clown', 'poss. het clown', 1, ['66% het Clown', '50% het Clown']];
        yield 'ph without a chance' => ['ph clown', 'ph clown', 1, ['66% het Clown', '50% het Clown']];
        yield 'probable' => ['prob. Enchi', 'prob. Enchi', 1, ['50% Enchi']];
        yield 'two alleles of a series as hets' => ['het albino/candy', 'albino/candy', 5, ['het Albino or het Candy', 'Albino/Candy']];
        yield 'two chances with a slash' => ['50/66% het clown', '50/66%', 1, ['50%', '66%']];
        yield 'two chances with a hyphen' => ['50-66% het clown', '50-66%', 1, ['50%', '66%']];
        yield 'a question mark' => ['Clown?', 'Clown?', 1, ['66% het Clown', '50% het Clown']];
        yield 'a question mark in parentheses' => ['(Enchi?)', 'Enchi?', 2, ['50% Enchi']];
        yield 'a class without its pair' => ['Mojave BlkEL', 'BlkEL', 8, ['Super Fire', 'Fire/Sulfur', 'Super Sulfur']];
        yield 'not of what is carried' => ['not Clown', 'not Clown', 1, ['no Clown']];
        yield 'a dark piebald' => [
            'Panda Pied', 'Panda Pied', 1,
            ['Super Black Pastel Piebald', 'Super Cinnamon Piebald', 'Cinnamon/Black Pastel Piebald'],
        ];
        yield 'two letters for two things' => ['BP', 'BP', 1, ['Black Pastel']];
        yield 'a word that is no gene' => ['Paradox', 'Paradox', 1, []];
        yield 'exchanged letters' => ['Clwon', 'Clwon', 1, ['Clown']];
        yield 'exchanged in the middle' => ['Enhci', 'Enhci', 1, ['Enchi']];
        yield 'exchanged at the end' => ['Ivroy', 'Ivroy', 1, ['Ivory']];
        yield 'an alias with exchanged letters' => ['Pide', 'Pide', 1, ['Piebald']];
        yield 'four letters' => ['Frie', 'Frie', 1, ['Fire']];
        yield 'four others' => ['Wmoa', 'Wmoa', 1, ['Woma']];
        yield 'two words, one misspelt' => ['Dessert Ghost', 'Dessert Ghost', 1, ['Desert Ghost']];
        yield 'a word of the notation' => ['hte clown', 'hte', 1, ['het']];
        yield 'another of them' => ['supper pastel', 'supper', 1, ['super']];
        yield 'a sex' => ['femal', 'femal', 1, ['female']];
        yield 'two words in one' => ['hetclown', 'hetclown', 1, ['het Clown']];
    }

    /** @param list<string> $suggestions */
    #[DataProvider('asked')]
    public function testIsAsked(string $typed, string $piece, int $position, array $suggestions): void
    {
        $error = self::read($typed)->errors[0] ?? self::fail("“{$typed}” is read without a question");
        self::assertSame([$piece, $position, $suggestions], [$error->piece, $error->position, $error->suggestions]);
    }

    public function testWhatAQuestionOffersCanBeTyped(): void
    {
        $offered = 0;
        foreach (self::asked() as [$typed, , , $suggestions]) {
            foreach (
                in_array($typed, ['hte clown', 'supper pastel', 'femal', '50/66% het clown', '50-66% het clown'], true)
                    ? []
                    : $suggestions as $suggestion
            ) {
                self::assertSame([], self::read($suggestion)->errors, "{$suggestion}, offered for {$typed}");
                $offered++;
            }
        }
        self::assertGreaterThan(45, $offered);
    }

    public function testALinesOwnWordIsOneQuestionThatSaysWhereToKeepIt(): void
    {
        foreach (['XY axanthic' => 'XY axanthic', 'Axanthic L1' => 'Axanthic L1'] as $typed => $piece) {
            $errors = self::read($typed)->errors;
            self::assertCount(1, $errors, $typed);
            self::assertSame($piece, $errors[0]->piece);
            self::assertStringContainsString('under Genes', $errors[0]->getMessage());
        }
        self::assertStringNotContainsString('under Genes', self::read('Axanthic')->errors[0]->getMessage());
    }

    public function testWhatIsNotCarriedIsKeptApart(): void
    {
        foreach (['no Clown', 'without Clown', 'does not carry Clown', 'tested negative for Clown', 'free of Clown'] as $typed) {
            $reading = self::read("Pastel, {$typed}");
            self::assertSame([[], ['clown']], [$reading->errors, $reading->absent], $typed);
        }
        self::assertSame(['clown', 'piebald'], self::read('no Clown or Piebald')->absent);
        self::assertSame(
            ['axanthic-1', 'axanthic-2', 'axanthic-3', 'axanthic-4'], self::read('no Axanthic')->absent, 'of none of its lines',
        );
    }

    public function testSexAndNumberAreOffered(): void
    {
        $reading = Shelf::reader()->read('#B-7 0.1 Banana', null);
        self::assertSame(
            [Sex::Female, 'B-7', []], [$reading->sex, $reading->number, Shelf::reader()->read('0.1 Banana', Sex::Female)->errors],
        );
        self::assertStringContainsString('the text says female, and this is the male', self::read('0.1 Banana')->errors[0]->getMessage());
        self::assertStringContainsString(
            'not both male and female', Shelf::reader()->read('male female Banana', null)->errors[0]->getMessage(),
        );
        self::assertNull(Shelf::reader()->read('0.0.1 Banana', null)->sex);
    }

    public function testTheHouseMayReadASlashAsOneOfTheTwo(): void
    {
        $reading = (new GenotypeReader(Shelf::catalogue(), Shelf::facts()->names(), [], true))->read('Lesser/Butter', Sex::Male);
        self::assertSame('Lesser or Butter', (new Printer(Shelf::catalogue()))->belief($reading->beliefOrFail()));
        self::assertSame(['“Lesser/Butter” is read as “Lesser or Butter”, as the house rules say.'], $reading->notes);
        self::assertSame(
            'Mojave/Mystic',
            (new Printer(Shelf::catalogue()))->belief(
                (
                    new GenotypeReader(Shelf::catalogue(), Shelf::facts()->names(), [], true)
                )->read('Mojave/Mystic', Sex::Male)->beliefOrFail(),
            ),
            'nobody takes these for each other',
        );
    }

    public function testEveryFaultOfATargetIsTold(): void
    {
        [$target, $errors] = Shelf::facts()->targets()->readAll('Clwon + not Enhci, Pastel');
        self::assertNull($target);
        self::assertSame(
            [['Clwon', 1], ['Enhci', 13]],
            array_map(static fn (NotationError $error): array => [$error->piece, $error->position], $errors),
        );
    }

    private static function read(string $typed): Reading
    {
        return Shelf::reader()->read($typed, Sex::Male);
    }
}
