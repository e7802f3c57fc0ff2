<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Documents\DocumentError;
use Destino\Documents\PedigreeReader;
use Destino\Documents\PosteriorDocument;
use Destino\Genome\Sex;
use Destino\Inference\Descent\Descent;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\InferenceError;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\Tally;
use Destino\Inference\Evidence\Testimony;
use Destino\Notation\Printer;
use Destino\Probability\Probability;
use Destino\Probability\Rational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** What is recorded is never dropped, misread or counted twice. */
final class RecordsTest extends TestCase
{
    public function testALookOnAGeneThatNoStatementNamesCounts(): void
    {
        $young = self::infer([
            self::animal('S', 'male', 'Normal'), self::animal('D', 'female', 'Normal'),
            ['id' => 'K', 'sire' => 'S', 'dam' => 'D', 'saw' => 'Pastel'],
        ]);
        self::assertTrue($young['contradiction']);
        self::assertSame([['K'], ['pastel']], [array_column($young['contradictions'], 'subject'), $young['contradictions'][0]['loci']]);
        $founder = self::infer([self::animal('F', 'male', 'Clown') + ['saw' => 'Pastel']]);
        self::assertSame(
            ['F', 'unrecorded'],
            [$founder['contradictions'][0]['subject'], $founder['contradictions'][0]['explanations'][0]['kind']],
        );
        $unstated = self::infer([['id' => 'F', 'sex' => 'male', 'saw' => 'Pastel']]);
        self::assertFalse($unstated['contradiction'], 'nothing else is said of it');
        self::assertStringContainsString('possible Pastel (99%)', $unstated['animals'][0]['text']);
    }

    public function testARoleImpliesASex(): void
    {
        $answer = self::infer([
            ['id' => 'S', 'stated' => 'Banana'], self::animal('D', 'female', 'Normal'),
            ['id' => 'K', 'sex' => 'male', 'sire' => 'S', 'dam' => 'D', 'saw' => 'Banana'],
        ]);
        self::assertFalse($answer['contradiction']);
        self::assertSame(
            'Banana (male maker)', $answer['animals'][2]['text'], 'his son has it on Y, of a sire on whom it stood there or not',
        );
    }

    /** @return iterable<string, array{list<array<string, mixed>>, list<array<string, mixed>>, string}> */
    public static function rolesThatCannotBe(): iterable
    {
        yield 'sire here and dam there' => [
            [['id' => 'T'], ['id' => 'S'], ['id' => 'K', 'sire' => 'S', 'dam' => 'T'], ['id' => 'L', 'sire' => 'T']], [],
            'animal T is recorded as the sire of animal L and as the dam of animal K.',
        ];
        yield 'both parents in one' => [
            [['id' => 'T'], ['id' => 'K', 'sire' => 'T', 'dam' => 'T']], [],
            'animal T is recorded as the sire and as the dam of animal K.',
        ];
        yield 'eggs of two males' => [
            [['id' => 'T', 'sex' => 'male'], ['id' => 'U', 'sex' => 'male']], [['sire' => 'T', 'dam' => 'U', 'saw' => 'Clown']],
            'animal U is recorded as the dam of eggs of animal U and is not female.',
        ];
        yield 'one clutch of two dams' => [
            [['id' => 'A'], ['id' => 'B'], ['id' => 'K', 'dam' => 'A', 'clutch' => 'c'], ['id' => 'L', 'dam' => 'B', 'clutch' => 'c']],
            [], 'The young of the clutch c are recorded with different parents.',
        ];
    }

    /**
     * @param list<array<string, mixed>> $animals
     * @param list<array<string, mixed>> $groups
     */
    #[DataProvider('rolesThatCannotBe')]
    public function testRolesThatCannotBeAreRefusedWithNames(array $animals, array $groups, string $message): void
    {
        $faults = self::read($animals, $groups)->faults;
        self::assertSame(
            [$message],
            array_values(array_unique(array_map(static fn (InferenceError $fault): string => $fault->getMessage(), $faults))),
        );
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>}> */
    public static function wrongDocuments(): iterable
    {
        yield 'an unknown field' => [['animals' => [['id' => 'A', 'sxe' => 'male']]], ['animals[0] has a field “sxe”']];
        yield 'an unknown field of a group' => [
            ['animals' => [], 'groups' => [['dam' => 'A', 'saw' => 'Clown', 'cuont' => 2]]], ['groups[0] has a field “cuont”'],
        ];
        yield 'a list where a text is meant' => [
            ['animals' => [['id' => 'A', 'stated' => ['Clown']]]],
            ['animals[0].stated is a list, where a text or null is wanted.'],
        ];
        yield 'a text where a number is meant' => [
            ['animals' => [['id' => 'A']], 'groups' => [['dam' => 'A', 'saw' => 'Clown', 'count' => 'two']]],
            ['groups[0].count is a text, where a whole number is wanted.'],
        ];
        yield 'two faults at once' => [
            ['animals' => [['sex' => 'boy']]],
            ['animals[0] wants “id”.', 'animals[0].sex is not one of those that are known: "male", "female", null.'],
        ];
        yield 'sire and sires' => [
            ['animals' => [['id' => 'A', 'sire' => 'B', 'sires' => ['B', 'C']]]], ['An entry has “sire” or “sires”, not both.'],
        ];
        yield 'certain of nothing' => [
            ['animals' => [['id' => 'A', 'certainty' => 80]]], ['animals[0].certainty goes with “stated”, which is missing.'],
        ];
        yield 'too sure' => [
            ['animals' => [['id' => 'A', 'stated' => 'Clown', 'certainty' => 101]]],
            ['animals[0].certainty is too large: at most 100.'],
        ];
    }

    /**
     * @param array<string, mixed> $document
     * @param list<string> $messages
     */
    #[DataProvider('wrongDocuments')]
    public function testADocumentIsHeldAgainstItsSchema(array $document, array $messages): void
    {
        try {
            (new PedigreeReader(Shelf::facts()))->read($document + ['format' => PedigreeReader::FORMAT]);
            self::fail('it was taken');
        } catch (DocumentError $error) {
            foreach ($messages as $message) {
                self::assertStringContainsString($message, $error->getMessage());
            }
        }
    }

    public function testWhatAFormHidesSaysNothing(): void
    {
        $white = self::infer(
            [self::animal('S', 'male', 'Mojave 66% het Clown'), self::animal('D', 'female', 'Mojave Clown')],
            [['sire' => 'S', 'dam' => 'D', 'saw' => 'Super Mojave, not Clown', 'count' => 6]],
        );
        self::assertSame('Mojave 66% het Clown', $white['animals'][0]['text']);
        // Not known whether white: an egg that may be (1/4) hides it; 5/8 for a het against 1.
        $perhaps = self::infer(
            [self::animal('S', 'male', 'Mojave 50% het Clown'), self::animal('D', 'female', 'Mojave Clown')],
            [['sire' => 'S', 'dam' => 'D', 'saw' => 'not Clown', 'count' => 2]],
        );
        self::assertSame('25/89', self::of($perhaps, 'S', 'clown')['clown/+']);
        $pastel = self::infer([
            self::animal('S', 'male', 'Mojave Pastel'), self::animal('D', 'female', 'Mojave'),
            ['id' => 'K', 'sire' => 'S', 'dam' => 'D', 'saw' => 'only Super Mojave'],
        ]);
        self::assertSame('Super Mojave possible Pastel (50%)', $pastel['animals'][2]['text']);
        $seen = new Individual(
            'K', Sex::Male, 'S', 'D',
            [new Testimony('1', Shelf::belief('Super Mojave', Sex::Male), Source::Own, Probability::one(), true)],
        );
        $founder = static fn (string $id, Sex $sex, string $text): Individual => new Individual(
            $id, $sex, null, null, [new Testimony($id, Shelf::belief($text, $sex), Source::Own, Probability::one(), true)],
        );
        $derived = (
            new Descent(
                Shelf::catalogue(),
                ['S' => $founder('S', Sex::Male, 'Mojave Pastel'), 'D' => $founder('D', Sex::Female, 'Mojave'), 'K' => $seen],
            )
        )->of('K');
        self::assertSame(
            'Super Mojave possible Pastel (50%)', (new Printer(Shelf::catalogue()))->belief($derived->belief),
            'as a statement that names all that shows',
        );
    }

    public function testAParentThatIsNotRecordedIsOneFromOutside(): void
    {
        $dam = self::animal('D', 'female', '50% het Clown');
        foreach (
            [
                [[['id' => 'K', 'dam' => 'D', 'saw' => 'Clown']], []], [[], [['dam' => 'D', 'saw' => 'Clown', 'count' => 1]]],
                [[['id' => 'K', 'dam' => 'D', 'stated' => 'Clown']], []],
            ] as [$animals, $groups]
        ) {
            self::assertSame(
                'het Clown', self::infer([$dam, ...$animals], $groups)['animals'][0]['text'],
                'a visual young proves her, whoever the sire was',
            );
        }
        // Plain eggs say a little: he gives clown with f + (1 − f)/40, f = half a copy of one founder among 51 animals.
        $q = 1 / 204 + 203 / 204 / 40;
        $plain = self::infer([$dam], [['dam' => 'D', 'saw' => 'not Clown', 'count' => 1]]);
        self::assertEqualsWithDelta(
            (1 - $q / 2) / (2 - $q / 2), Rational::parse(self::of($plain, 'D', 'clown')['clown/+'])->toFloat(), 1e-6,
        );
        // One of two from outside: counted, and not left out. Clown of a plain sire cannot be: it was the other.
        $two = self::infer(
            [self::animal('S', 'male', 'Normal'), self::animal('D', 'female', '50% het Clown')],
            [['sires' => ['S', null], 'dam' => 'D', 'saw' => 'Clown', 'count' => 2]],
        );
        self::assertFalse($two['contradiction']);
        self::assertSame('het Clown', $two['animals'][1]['text']);
    }

    public function testAClutchHasOneSire(): void
    {
        $animals = [
            self::animal('A', 'male', 'Clown'), self::animal('B', 'male', 'het Clown'), self::animal('D', 'female', 'Clown'),
            ['id' => 'K', 'sires' => ['A', 'B'], 'dam' => 'D', 'clutch' => 'c'],
        ];
        $answer = self::infer($animals, [['sires' => ['A', 'B'], 'dam' => 'D', 'clutch' => 'c', 'saw' => 'Clown', 'count' => 6]]);
        self::assertSame('129/130', self::of($answer, 'K', 'clown')['clown/clown'], '64 to 1 for A, and half of the rest');
        $weighed = self::infer([
            ...array_slice($animals, 0, 3),
            ['id' => 'K', 'sires' => [['id' => 'A', 'weight' => 3], ['id' => 'B', 'weight' => 1]], 'dam' => 'D'],
        ]);
        self::assertSame('7/8', self::of($weighed, 'K', 'clown')['clown/clown'], '3/4 of A, half of a quarter of B');
    }

    public function testACertaintyWeighsAgainstItsOwnRest(): void
    {
        $pair = [self::animal('S', 'male', 'het Clown'), self::animal('D', 'female', 'het Clown')];
        $said = static fn (int $certainty): array => self::of(
            self::infer([...$pair, self::animal('K', 'female', 'Clown') + ['sire' => 'S', 'dam' => 'D', 'certainty' => $certainty]]),
            'K', 'clown',
        );
        self::assertSame('1/4', $said(50)['clown/clown'], 'half sure moves nothing');
        self::assertSame('4/7', $said(80)['clown/clown'], '1/4 · 0.8 against 3/4 · 0.2');
        self::assertSame('1/13', $said(20)['clown/clown'], 'less than half sure speaks against it');
        $excluded = self::infer([
            self::animal('S', 'male', 'Normal'), self::animal('D', 'female', 'Normal'),
            self::animal('K', 'female', 'Clown') + ['sire' => 'S', 'dam' => 'D', 'certainty' => 80],
        ]);
        self::assertTrue($excluded['contradiction'], 'a statement that is not sure and cannot be is a conflict too');
        self::assertSame(
            'misidentified', $excluded['contradictions'][0]['explanations'][0]['kind'],
            'that it is wrong has its own 20 %, beside which two hidden hets are rare',
        );
    }

    public function testWhatIsSaidTwiceCountsOnce(): void
    {
        $say = static fn (string $id, Source $source): Testimony => new Testimony(
            $id, Shelf::belief('Clown', Sex::Female), $source, Probability::ratio(4, 5), false,
        );
        $with = static fn (Testimony ...$all): string => (new Printer(Shelf::catalogue()))->belief((new Descent(Shelf::catalogue(), [
            'S' => new Individual(
                'S', Sex::Male, null, null,
                [new Testimony('s', Shelf::belief('het Clown', Sex::Male), Source::Own, Probability::one(), false)],
            ),
            'D' => new Individual(
                'D', Sex::Female, null, null,
                [new Testimony('d', Shelf::belief('het Clown'), Source::Own, Probability::one(), false)],
            ),
            'K' => new Individual('K', Sex::Female, 'S', 'D', array_values($all)),
        ]))->of('K')->belief);
        self::assertSame($with($say('1', Source::Own)), $with($say('1', Source::Own), $say('2', Source::Own), $say('3', Source::Own)));
        self::assertNotSame(
            $with($say('1', Source::Own)), $with($say('1', Source::Own), $say('2', Source::Seller)),
            'two who say the same are two',
        );
    }

    public function testAHatchlingThatWasKeptAndCountedCountsOnce(): void
    {
        $saw = static fn (string $text, int $count): array => [Shelf::facts()->targets()->read($text), $count];
        $kept = [Shelf::belief('Clown'), Shelf::belief('Pastel'), Shelf::belief('Pastel')];
        $tally = Tally::of(6, $kept, [$saw('Clown', 2), $saw('not Clown', 4)], Shelf::catalogue());
        self::assertSame([[1, 2], 3, 0], [$tally->counts, $tally->shared, $tally->excess]);
        self::assertSame(
            [[1, 4], 1, 0], [Tally::of(8, $kept, [$saw('Clown', 2), $saw('not Clown', 4)], Shelf::catalogue())->counts, 1, 0],
            'only as many as are too many',
        );
        self::assertSame([2, 4], Tally::of(9, $kept, [$saw('Clown', 2), $saw('not Clown', 4)], Shelf::catalogue())->counts);
        self::assertSame(
            [2, 4], Tally::of(null, $kept, [$saw('Clown', 2), $saw('not Clown', 4)], Shelf::catalogue())->counts,
            'how many hatched is not known',
        );
        self::assertSame(
            2, Tally::of(6, [], [$saw('Clown', 4), $saw('not Clown', 4)], Shelf::catalogue())->excess,
            'counts alone that are too many are a wrong figure',
        );
    }

    public function testWhatALaboratoryDoesNotFindIsBelievedToItsCertainty(): void
    {
        $lab = static fn (string $certainty): string => (new Printer(Shelf::catalogue()))->belief((new Descent(Shelf::catalogue(), ['F' => new Individual('F', Sex::Female, null, null, [
            new Testimony('1', Shelf::belief('66% het Clown'), Source::Seller, Probability::one(), false),
            new Testimony('2', Shelf::belief('Normal'), Source::Laboratory, Probability::typed($certainty), false, ['clown']),
        ])]))->of('F')->belief);
        self::assertSame('Normal', $lab('1'));
        self::assertSame('2% het Clown', $lab('99/100'), '2/3 · 0.01 against 1/3 · 0.99');
        $young = self::infer([
            self::animal('S', 'male', 'het Clown'), self::animal('D', 'female', 'Normal'),
            self::animal('K', 'male', 'no Clown') + ['sire' => 'S', 'dam' => 'D', 'certainty' => 90],
        ]);
        self::assertSame('1/10', self::of($young, 'K', 'clown')['clown/+']);
        self::assertTrue(
            self::infer([
                self::animal('S', 'male', 'Clown'), self::animal('D', 'female', 'Normal'),
                self::animal('K', 'male', 'no Clown') + ['sire' => 'S', 'dam' => 'D'],
            ])['contradiction'],
        );
    }

    public function testWhatCannotLiveOrIsOfTheOtherSexIsNeverTakenForNormal(): void
    {
        foreach ([self::animal('F', 'male', 'Super Spider'), self::animal('F', 'male', 'Normal') + ['saw' => 'female']] as $animal) {
            $answer = self::infer([$animal]);
            self::assertTrue($answer['contradiction']);
            self::assertSame('F', $answer['contradictions'][0]['subject']);
            self::assertNotSame([], $answer['contradictions'][0]['explanations']);
        }
    }

    /**
     * @param array<string, mixed> $answer
     * @return array<string, string> probability by alleles
     */
    private static function of(array $answer, string $id, string $locus): array
    {
        $told = [];
        foreach ($answer['animals'] as $animal) {
            foreach ($animal['id'] === $id ? ((array) $animal['loci'])[$locus] : [] as $pair) {
                $told[implode('/', $pair['alleles'])] = $pair['probability'];
            }
        }

        return $told;
    }

    /** @return array<string, mixed> */
    private static function animal(string $id, string $sex, string $stated): array
    {
        return ['id' => $id, 'sex' => $sex, 'stated' => $stated];
    }

    /**
     * @param list<array<string, mixed>> $animals
     * @param list<array<string, mixed>> $groups
     * @return array<string, mixed>
     */
    private static function infer(array $animals, array $groups = []): array
    {
        return PosteriorDocument::of(self::read($animals, $groups), Shelf::catalogue());
    }

    /**
     * @param list<array<string, mixed>> $animals
     * @param list<array<string, mixed>> $groups
     */
    private static function read(array $animals, array $groups): \Destino\Inference\Conclusions\Kindred
    {
        return (new PedigreeReader(Shelf::facts()))->read(['format' => PedigreeReader::FORMAT, 'animals' => $animals, 'groups' => $groups]);
    }
}
