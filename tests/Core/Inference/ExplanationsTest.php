<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Documents\PedigreeReader;
use Destino\Documents\PosteriorDocument;
use Destino\Genome\Sex;
use Destino\Inference\Conclusions\Kindred;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\Testimony;
use Destino\Inference\Faults\Explanation;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Faults\Misidentified;
use Destino\Inference\Faults\Misnamed;
use Destino\Inference\Faults\OtherSire;
use Destino\Inference\Faults\Unrecorded;
use Destino\Probability\Probability;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** What explains what cannot be: P(faults) · P(evidence | faults), over all loci and all young of a clutch. */
final class ExplanationsTest extends TestCase
{
    /** What one from outside gives of an allele: f + (1 − f)/40, f = copies / 2(founders + 50). */
    private static function outside(float $copies, int $founders): float
    {
        $f = $copies / (2 * ($founders + 50));

        return $f + (1 - $f) / 40;
    }

    public function testAPlainYoungOfTwoVisuals(): void
    {
        $odds = self::odds([
            self::animal('S', 'male', 'Clown'), self::animal('D', 'female', 'Clown'),
            ['id' => 'K', 'sire' => 'S', 'dam' => 'D', 'saw' => 'not Clown'],
        ]);
        $other = .01 * (1 - self::outside(4, 2));
        // Beside another sire: K is mistaken, or what is called Clown in S or in D is another gene.
        self::assertEqualsWithDelta($other / ($other + .003), $odds['other-sire K'], 1e-3);
        self::assertEqualsWithDelta(.76, $odds['other-sire K'], .01);
        self::assertEqualsWithDelta($odds['misidentified K'], $odds['misnamed S'], 1e-9);
    }

    public function testThreeVisualsOfTwelveOfTwoNormals(): void
    {
        $groups = [
            ['sire' => 'S', 'dam' => 'D', 'saw' => 'Clown', 'count' => 3],
            ['sire' => 'S', 'dam' => 'D', 'saw' => 'not Clown', 'count' => 9],
        ];
        $odds = self::odds([self::animal('S', 'male', 'Normal'), self::animal('D', 'female', 'Normal')], $groups);
        self::assertEqualsWithDelta(.99, $odds['unrecorded D + unrecorded S'], .005);
        // Three eggs mistaken, each by itself: 1e-9 against 1/400 · (1/4)³ · (3/4)⁹.
        self::assertEqualsWithDelta(
            1e-9 / (.0025 * .25 ** 3 * .75 ** 9), $odds['misidentified groups[0]'] / $odds['unrecorded D + unrecorded S'], 1e-6,
        );
    }

    public function testAHetThatNobodyRecordedBesideOneThatSomebodyDid(): void
    {
        $groups = [
            ['sire' => 'S', 'dam' => 'D', 'saw' => 'Clown', 'count' => 3],
            ['sire' => 'S', 'dam' => 'D', 'saw' => 'not Clown', 'count' => 3],
        ];
        $odds = self::odds([self::animal('S', 'male', 'het Clown'), self::animal('D', 'female', 'Normal')], $groups);
        self::assertGreaterThan(.99, $odds['unrecorded D']);
    }

    public function testOneWrongSireAtTwoLociIsOneExplanation(): void
    {
        $answer = self::infer([
            self::animal('S', 'male', 'Normal'), self::animal('D', 'female', 'Normal'),
            self::animal('O', 'male', 'Super Pastel Super Enchi'),
            ['id' => 'K', 'sire' => 'S', 'dam' => 'D', 'saw' => 'Pastel Enchi'],
        ]);
        self::assertCount(1, $answer['contradictions']);
        self::assertSame(['pastel', 'enchi'], $answer['contradictions'][0]['loci']);
        $first = $answer['contradictions'][0]['explanations'][0];
        self::assertSame(
            ['other-sire', [['kind' => 'other-sire', 'subject' => 'K', 'alleles' => []]]], [$first['kind'], $first['faults']],
            'the male here gives both for sure',
        );
        // He is one of two that it may be: 1/100 · 1/2, against one mistaken young: 1/1000.
        self::assertEqualsWithDelta(5.0, $first['decimal'] / self::byKey($answer)['misidentified K'], .05);
    }

    public function testTheRecordedSireAndTheYoungsOwnLineAreNotTheOtherMale(): void
    {
        // The only other males are K's own son and the recorded sire: nobody here can be it but one from outside.
        $animals = [
            self::animal('S', 'male', 'Normal'), self::animal('D', 'female', 'Clown'),
            ['id' => 'K', 'sire' => 'S', 'dam' => 'D', 'saw' => 'Clown', 'sex' => 'female'], self::animal('T', 'male', 'Clown'),
            ['id' => 'L', 'sex' => 'male', 'sire' => 'T', 'dam' => 'K', 'saw' => 'Clown'],
        ];
        $without = self::odds(
            array_values(array_filter($animals, static fn (array $one): bool => ! in_array($one['id'], ['T', 'L'], true))),
        );
        $with = self::odds($animals);
        self::assertEqualsWithDelta(
            .01 * (1 + self::outside(4, 3)) / 2 / (.05 * .5), $with['other-sire K'] / $with['unrecorded S'], .01,
            'T is one of two, and L is none',
        );
        self::assertEqualsWithDelta(.01 * self::outside(2, 2) / (.05 * .5), $without['other-sire K'] / $without['unrecorded S'], .01);
    }

    public function testAnotherLineIsTriedAndNotOnlyTakenAway(): void
    {
        $odds = self::odds([
            self::animal('S', 'male', 'Axanthic 1'), self::animal('D', 'female', 'Axanthic 1'),
            ['id' => 'K', 'sire' => 'S', 'dam' => 'D', 'saw' => 'not Axanthic 1'],
        ]);
        self::assertArrayHasKey('misnamed S axanthic-2', $odds);
        self::assertLessThan($odds['misnamed S'], $odds['misnamed S axanthic-2'], 'all lines together share the rate');
    }

    public function testWhatAWhiteParentHides(): void
    {
        $odds = self::odds([
            self::animal('S', 'male', 'Ivory'), self::animal('D', 'female', 'Normal'),
            ['id' => 'K', 'sire' => 'S', 'dam' => 'D', 'saw' => 'Pastel'],
        ]);
        self::assertEqualsWithDelta(
            2.0, $odds['masked S'] / $odds['unrecorded D'], 1e-6, 'one in ten of what cannot be seen, one in twenty of what can',
        );
    }

    public function testWhatIsPossibleAndHardlySoIsFlaggedWithTheSameExplanations(): void
    {
        $answer = self::infer(
            [self::animal('S', 'male', 'het Clown'), self::animal('D', 'female', 'Clown')],
            [['sire' => 'S', 'dam' => 'D', 'saw' => 'not Clown', 'count' => 14]],
        );
        self::assertFalse($answer['contradiction']);
        self::assertCount(1, $answer['unlikely']);
        self::assertEqualsWithDelta(.5 ** 14, $answer['unlikely'][0]['decimal'], 1e-12);
        self::assertEqualsWithDelta(1.0, array_sum(array_column($answer['unlikely'][0]['explanations'], 'decimal')), 1e-5);
        self::assertSame('het Clown', $answer['animals'][0]['text'], 'flagged, and not overruled');
        foreach ([[5, 15], [2, 1]] as [$clown, $plain]) {
            $usual = self::infer(
                [self::animal('S', 'male', 'het Clown'), self::animal('D', 'female', 'het Clown')],
                [
                    ['sire' => 'S', 'dam' => 'D', 'saw' => 'Clown', 'count' => $clown],
                    ['sire' => 'S', 'dam' => 'D', 'saw' => 'not Clown', 'count' => $plain],
                ],
            );
            self::assertSame(
                [], $usual['unlikely'],
                "{$clown} of ".($clown + $plain).' is nothing to wonder at, however unlikely this very count',
            );
        }
        self::assertSame(
            [],
            self::infer(
                [self::animal('S', 'male', '66% het Clown'), self::animal('D', 'female', 'Clown')],
                [['sire' => 'S', 'dam' => 'D', 'saw' => 'not Clown', 'count' => 70]],
            )['unlikely'],
            'he simply does not carry it',
        );
    }

    public function testFiveYoungAreEnoughToWonderAtAndFourAreNot(): void
    {
        $parents = [self::animal('S', 'male', 'Banana (male maker)'), self::animal('D', 'female', 'Normal')];
        foreach ([4 => 0, 5 => 1] as $count => $matters) {
            $young = array_map(
                static fn (int $i): array => ['id' => "K{$i}", 'sire' => 'S', 'dam' => 'D', 'sex' => 'female', 'saw' => 'Banana'],
                range(1, $count),
            );
            $answer = self::infer([...$parents, ...$young]);
            self::assertCount($matters, $answer['unlikely'], "{$count} Banana daughters of a male maker");
        }
        self::assertEqualsWithDelta(.07 ** 5, $answer['unlikely'][0]['decimal'], 1e-10);
    }

    public function testAGeneMayHaveComeUnseenOverThreeGenerations(): void
    {
        $animals = [self::animal('S', 'male', 'Clown'), self::animal('D1', 'female', 'Normal')];
        foreach ([1, 2] as $i) {
            $animals[] = self::animal("N{$i}", 'male', 'Normal');
            $animals[] = ['id' => 'D'.($i + 1), 'sex' => 'female', 'sire' => "N{$i}", 'dam' => "D{$i}", 'saw' => 'not Clown'];
        }
        $odds = self::odds([...$animals, ['id' => 'K', 'sire' => 'S', 'dam' => 'D3', 'saw' => 'Clown']]);
        self::assertArrayHasKey('unrecorded D1', $odds);
        self::assertEqualsWithDelta($odds['unrecorded N1'], $odds['unrecorded D1'], 1e-9, 'both are as far away');
        self::assertEqualsWithDelta(2.0, $odds['unrecorded N2'] / $odds['unrecorded D1'], 1e-6, 'one passing on fewer');
    }

    public function testAWholeClutchMayBeMistaken(): void
    {
        $odds = self::odds([
            self::animal('S', 'male', 'Normal'), self::animal('D', 'female', 'Normal'),
            ...array_map(static fn (int $i): array => ['id' => "K{$i}", 'sire' => 'S', 'dam' => 'D', 'saw' => 'Clown'], [1, 2, 3]),
        ]);
        // Each by itself, 1 in 1,000 a young, against a gene in both parents that nobody recorded and that all three have twice.
        self::assertEqualsWithDelta(
            1e-9 / (.0025 * .25 ** 3),
            $odds['misidentified K1 + misidentified K2 + misidentified K3'] / $odds['unrecorded D + unrecorded S'], 1e-6,
        );
    }

    public function testSeveralMattersAreWeighedTogether(): void
    {
        // One hidden het of the sire explains the visuals of three dams at once; each dam needs its own.
        $animals = [self::animal('S', 'male', 'Normal')];
        foreach (['A', 'B', 'C'] as $dam) {
            $animals[] = self::animal($dam, 'female', 'het Clown');
            $animals[] = ['id' => "K{$dam}", 'sire' => 'S', 'dam' => $dam, 'saw' => 'Clown'];
        }
        $answer = self::infer($animals);
        self::assertCount(3, $answer['contradictions']);
        foreach ($answer['contradictions'] as $one) {
            self::assertSame(['unrecorded', 'S'], [$one['explanations'][0]['kind'], $one['explanations'][0]['subject']]);
            self::assertGreaterThan(.99, $one['explanations'][0]['decimal'], 'it is paid for once');
            self::assertEqualsWithDelta(1.0, array_sum(array_column($one['explanations'], 'decimal')), 1e-5);
        }
        self::assertSame('het Clown', $answer['animals'][0]['text']);
    }

    /** @return iterable<string, array{Fault, string, string}> what is decided, whose belief, what it becomes */
    public static function decisions(): iterable
    {
        yield 'a hidden gene' => [new Unrecorded('animal D', ['clown']), 'animal D', 'clown'];
        yield 'another sire' => [new OtherSire('animal K'), 'animal K', 'clown'];
        yield 'a mistake' => [new Misidentified('animal K', ['clown', 'cryptic']), 'animal S', 'clown'];
        yield 'another line' => [new Misnamed('animal K', ['clown'], 'cryptic'), 'animal K', 'clown'];
    }

    #[DataProvider('decisions')]
    public function testADecisionEndsTheMatterOrLeavesWhatItDoesNotExplain(Fault $fault, string $whose, string $locus): void
    {
        $kindred = self::read(
            [
                self::animal('S', 'male', 'het Clown'), self::animal('D', 'female', 'Normal'),
                ['id' => 'K', 'sire' => 'S', 'dam' => 'D', 'saw' => 'Clown'],
            ],
            [],
        );
        $family = (int) $kindred->familyOf('animal K');
        $individuals = [];
        foreach ($kindred->families()[$family] as $id) {
            $individuals[$id] = $kindred->animal($id);
        }
        $decided = new Kindred(Shelf::catalogue(), $individuals, [], null, [$fault]);
        $posterior = $decided->posterior((int) $decided->familyOf('animal K'), [Shelf::catalogue()->groupOf($locus)]);
        $isSettled = ! $fault instanceof Misnamed && ! $fault instanceof OtherSire;
        self::assertSame($isSettled, $posterior->contradictions === [], 'another sire or another allele still needs a dam that carries it');
        self::assertGreaterThan(0, $posterior->of[$whose]->count());
    }

    public function testANormalYoungOfTwoVisualsCallsItsParentsNamesInQuestion(): void
    {
        $said = static fn (string $id, string $text): Testimony => new Testimony($id, Shelf::belief($text), Source::Own, Probability::one(), true);
        $kindred = new Kindred(Shelf::catalogue(), [
            'S' => new Individual('S', Sex::Male, null, null, [$said('1', 'Clown')]), 'D' => new Individual('D', Sex::Female, null, null, [$said('2', 'Clown')]),
            'K' => new Individual('K', Sex::Female, 'S', 'D', [$said('3', 'Normal')]),
        ]);
        $family = (int) $kindred->familyOf('K');
        $found = $kindred->posterior($family, [Shelf::catalogue()->groupOf('clown')])->contradictions[0]->explanations;
        $odds = array_combine(array_map(static fn (Explanation $one): string => $one->key(), $found), array_map(static fn (Explanation $one): float => $one->odds, $found));
        // Another sire 1 in 100; misread, and each parent's Clown some other gene, 1 in 1,000.
        foreach (['other-sire K' => 10, 'misidentified K' => 1, 'misnamed S' => 1, 'misnamed D' => 1] as $start => $weight) {
            $one = array_sum(array_filter($odds, static fn (string $key): bool => str_starts_with($key, $start), ARRAY_FILTER_USE_KEY));
            self::assertEqualsWithDelta($weight / 13, $one, .02, $start.' in '.implode('; ', array_keys($odds)));
        }
    }

    public function testAParentThatIsCalledAnotherLineIsWeighed(): void
    {
        $odds = self::odds([
            self::animal('S', 'male', 'het Axanthic 1'), self::animal('D', 'female', 'het Axanthic 2'),
            ['id' => 'K', 'sire' => 'S', 'dam' => 'D', 'saw' => 'Axanthic 1'],
        ]);
        // Half of 1/20 for an unnamed het, against half of a thousandth over the three other lines of that name.
        self::assertEqualsWithDelta(150.0, $odds['unrecorded D'] / $odds['misnamed D axanthic-1'], 1.0);
    }

    public function testTwoCopiesThatDoNotLiveAreMostLikelyOne(): void
    {
        $odds = self::odds([self::animal('K', 'female', 'Super Spider')]);
        arsort($odds);
        self::assertSame('one-copy K', array_key_first($odds));
        self::assertEqualsWithDelta(20.0, $odds['one-copy K'] / $odds['misidentified K'], 1e-3, '1 in 50 against 1 in 1,000');
        $answer = self::infer([self::animal('S', 'male', 'Spider'), self::animal('D', 'female', 'Spider'), ['id' => 'K', 'sire' => 'S', 'dam' => 'D', 'saw' => 'Super Spider']]);
        self::assertSame('one-copy', $answer['contradictions'][0]['explanations'][0]['kind']);
    }

    public function testTheRatesThatWereUsedStandInTheAnswer(): void
    {
        self::assertSame(
            [
                'unrecorded' => '1/20', 'misidentified' => '1/1000', 'other-sire' => '1/100', 'misnamed' => '1/1000',
                'one-copy' => '1/50', 'masked' => '1/10', 'mutation' => '1/1000000', 'lethal-dead' => '9/10', 'mixed-paternity' => '0',
            ],
            self::infer([])['rates'],
        );
    }

    /**
     * @param list<array<string, mixed>> $animals
     * @param list<array<string, mixed>> $groups
     * @return array<string, float> odds by faults
     */
    private static function odds(array $animals, array $groups = []): array
    {
        return self::byKey(self::infer($animals, $groups));
    }

    /**
     * @param array<string, mixed> $answer
     * @return array<string, float>
     */
    private static function byKey(array $answer): array
    {
        $odds = [];
        foreach ($answer['contradictions'][0]['explanations'] as $one) {
            $words = array_map(
                static fn (array $fault): string => "{$fault['kind']} {$fault['subject']}".(
                    isset($fault['instead']) ? " {$fault['instead']}" : ''
                ),
                $one['faults'],
            );
            sort($words);
            $odds[implode(' + ', $words)] = $one['decimal'];
        }

        return $odds;
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
    private static function read(array $animals, array $groups): Kindred
    {
        return (new PedigreeReader(Shelf::facts()))->read(['format' => PedigreeReader::FORMAT, 'animals' => $animals, 'groups' => $groups]);
    }
}
