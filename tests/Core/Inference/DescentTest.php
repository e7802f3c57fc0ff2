<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Genome\Sex;
use Destino\Inference\Descent\Derived;
use Destino\Inference\Descent\Descent;
use Destino\Inference\Descent\Reason;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\InferenceError;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\Testimony;
use Destino\Notation\Printer;
use Destino\Probability\Probability;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class DescentTest extends TestCase
{
    /** @return iterable<string, array{string, string, string, string}> sire, dam, what is stated of the young, what follows */
    public static function young(): iterable
    {
        yield 'everything from the parents' => ['Clown', 'Super Pastel', '', 'Pastel het Clown'];
        yield 'a normal-looking young of two hets' => ['het Clown', 'het Clown', 'Normal', '66% het Clown'];
        yield 'a look names the gene, the hets follow the parents' => ['Pastel het Clown', 'Clown', 'Pastel', 'Pastel het Clown'];
        yield 'percentages that follow from the parents are not counted twice' => [
            'het Clown', 'het Clown', '66% het Clown', '66% het Clown',
        ];
        yield 'better than stated' => ['het Clown', 'Clown', '66% het Clown', 'het Clown'];
        yield 'an uncertain sire' => ['66% het Clown', 'Normal', 'Normal', '33% het Clown'];
        yield 'what shows in one copy and is not named is absent' => ['Pastel', 'Enchi', 'Enchi', 'Enchi'];
        yield 'one copy or two of a dominant gene' => ['Pinstripe', 'Pinstripe', 'Pinstripe', 'Pinstripe'];
        yield 'two alleles of one complex, one from each' => ['Mojave', 'Mystic', 'Mojave/Mystic', 'Mojave/Mystic'];
        yield 'a tie between two loci passes on' => ['Pastel or Enchi', 'Normal', 'Enchi', 'Enchi'];
    }

    #[DataProvider('young')]
    public function testWhatFollowsForAYoungOfTwoRecordedParents(string $sire, string $dam, string $stated, string $follows): void
    {
        self::assertSame($follows, self::text(self::derive($sire, $dam, $stated === '' ? [] : [$stated])));
    }

    public function testAMaleMakerGivesHisGeneToSons(): void
    {
        self::assertSame('possible Banana (93%)', self::text(self::derive('Banana (male maker)', 'Normal', [], Sex::Male)));
        self::assertSame('possible Banana (7%)', self::text(self::derive('Banana (male maker)', 'Normal', [], Sex::Female)));
        // Without recombination a son has it on Y as his sire had; by the 7 % he is a male maker still or not at all.
        self::assertSame('Banana (male maker)', self::text(self::derive('Banana (male maker)', 'Normal', ['Banana'], Sex::Male)));
        self::assertSame('Banana (female maker)', self::text(self::derive('Normal', 'Banana', ['Banana'], Sex::Male)));
    }

    public function testAFounderStartsFromTheWeightiestStatement(): void
    {
        $derived = self::founder([['66% het Clown', Source::Seller, '1'], ['het Clown', Source::Laboratory, '1']]);
        self::assertSame(['het Clown', []], [self::text($derived), $derived->conflicts]);
        self::assertSame(
            '66% het Clown', self::text(self::founder([['66% het Clown', Source::Seller, '1'], ['Normal', Source::Own, '1']])),
        );
        self::assertSame('possible Enchi (80%)', self::text(self::founder([['Enchi', Source::Own, '4/5']])));
        self::assertSame('Normal', self::text(self::founder([])));
    }

    public function testOneRecordedParent(): void
    {
        $animals = [
            'S' => self::individual('S', Sex::Male, [['Clown', Source::Own, '1']]),
            'K' => new Individual('K', Sex::Female, 'S', null, [self::testimony('1', 'Pastel', Source::Own, '1', Sex::Female)]),
        ];
        self::assertSame(
            'Pastel het Clown', self::text((new Descent(Shelf::catalogue(), $animals))->of('K')),
            'the pastel must come from the unrecorded dam',
        );

        $animals = [
            'S' => self::individual('S', Sex::Male, [['het Clown', Source::Own, '1']]),
            'K' => new Individual('K', Sex::Female, 'S', null, [self::testimony('1', '66% het Clown', Source::Seller, '1', Sex::Female)]),
        ];
        self::assertSame('66% het Clown', self::text((new Descent(Shelf::catalogue(), $animals))->of('K')), 'the seller knew both parents');
    }

    public function testStatementsThatExcludeEachOtherAreAConflictWithBothSides(): void
    {
        $derived = self::founder([['Clown', Source::Seller, '1'], ['het Clown', Source::Laboratory, '1']]);
        self::assertCount(1, $derived->conflicts);
        self::assertSame([['clown'], ['1', '0']], [$derived->conflicts[0]->loci, $derived->conflicts[0]->sides]);
        // 0.99 · 0.1 against 0.01 · 0.9: the laboratory's 99 % and the seller's 90 %.
        self::assertSame('possible Clown (8%) 92% het Clown', self::text($derived));
    }

    public function testASeenAbsenceSpeaksAgainstAStatement(): void
    {
        $derived = self::founder([['Pastel Enchi', Source::Seller, '1'], ['Pastel', Source::Own, '7/10']]);
        self::assertSame([['enchi'], ['0', '1']], [$derived->conflicts[0]->loci, $derived->conflicts[0]->sides]);
        // 0.9·0.3 for Enchi against 0.1·0.7 for none.
        self::assertSame('Pastel possible Enchi (79%)', self::text($derived));
    }

    public function testAStatementThatTheParentsExclude(): void
    {
        $derived = self::derive('Normal', 'Pastel', ['Clown']);
        self::assertSame([Reason::PARENTS, '0'], $derived->conflicts[0]->sides);
        self::assertSame(['clown'], $derived->conflicts[0]->loci);
        self::assertStringContainsString('possible Clown', self::text($derived));
    }

    public function testEachLocusOpensItsReasons(): void
    {
        $reasons = self::derive('het Clown', 'het Clown', ['Normal'])->reasons['clown'];
        self::assertSame([Reason::PARENTS, '0'], array_map(static fn (Reason $reason): string => $reason->by, $reasons));
        self::assertSame(
            ['1/4', '0'],
            array_map(static fn (Reason $reason): string => $reason->after->probabilityOf('clown/clown')->toString(), $reasons),
        );
        self::assertSame(
            ['1/2', '2/3'],
            array_map(static fn (Reason $reason): string => $reason->after->probabilityOf('+/clown')->toString(), $reasons),
        );
    }

    public function testWrongPedigreesAreNamed(): void
    {
        $this->expectExceptionObject(InferenceError::ownAncestor('A'));
        (
            new Descent(
                Shelf::catalogue(),
                ['A' => new Individual('A', Sex::Male, 'B', null, []), 'B' => new Individual('B', Sex::Male, 'A', null, [])],
            )
        )->of('A');
    }

    public function testADamMustBeFemale(): void
    {
        $this->expectExceptionMessage('A is recorded as the dam of B and is not female.');
        (
            new Descent(
                Shelf::catalogue(),
                ['A' => new Individual('A', Sex::Male, null, null, []), 'B' => new Individual('B', Sex::Male, null, 'A', [])],
            )
        )->of('B');
    }

    /** @param list<string> $stated */
    private static function derive(string $sire, string $dam, array $stated, Sex $sex = Sex::Female): Derived
    {
        $animals = [
            'S' => self::individual('S', Sex::Male, [[$sire, Source::Own, '1']]),
            'D' => self::individual('D', Sex::Female, [[$dam, Source::Own, '1']]),
            'K' => new Individual(
                'K', $sex, 'S', 'D',
                array_map(
                    static fn (string $text, int $i): Testimony => self::testimony((string) $i, $text, Source::Own, '1', $sex),
                    $stated, array_keys($stated),
                ),
            ),
        ];

        return (new Descent(Shelf::catalogue(), $animals))->of('K');
    }

    /** @param list<array{string, Source, string}> $stated */
    private static function founder(array $stated): Derived
    {
        return (new Descent(Shelf::catalogue(), ['F' => self::individual('F', Sex::Female, $stated)]))->of('F');
    }

    /** @param list<array{string, Source, string}> $stated */
    private static function individual(string $id, Sex $sex, array $stated): Individual
    {
        return new Individual(
            $id, $sex, null, null,
            array_map(
                static fn (array $one, int $i): Testimony => self::testimony((string) $i, $one[0], $one[1], $one[2], $sex),
                $stated, array_keys($stated),
            ),
        );
    }

    private static function testimony(string $id, string $text, Source $source, string $certainty, Sex $sex): Testimony
    {
        return new Testimony($id, Shelf::reader()->read($text, $sex)->beliefOrFail(), $source, Probability::typed($certainty), true);
    }

    private static function text(Derived $derived): string
    {
        return (new Printer(Shelf::catalogue()))->belief($derived->belief);
    }
}
