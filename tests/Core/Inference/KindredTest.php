<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Documents\PedigreeReader;
use Destino\Documents\PosteriorDocument;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Inference\Conclusions\Kindred;
use Destino\Inference\Evidence\InferenceError;
use Destino\Inference\Faults\FaultKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Shelf;

final class KindredTest extends TestCase
{
    /** What founders are said to be, and what young are seen to be, by linkage group. */
    private const KINDS = [
        'clown' => [['het Clown', '66% het Clown', '50% het Clown', 'Clown', 'Normal'], ['Clown', 'not Clown']],
        'bel' => [
            ['Mojave', 'Mystic', 'Mojave/Mystic', 'Lesser', 'possible Mojave (60%)', 'Normal'],
            ['Mojave', 'not Mojave', 'Mystic', 'no Lesser', 'Mojave/Mystic'],
        ],
        'spider' => [['Spider', 'possible Spider (50%)', 'Normal'], ['Spider', 'not Spider']],
        'sex' => [['Banana', 'Normal', 'possible Banana (50%)'], ['Banana', 'not Banana']],
    ];

    public function testAgreesWithPlainEnumerationOnRandomFamilies(): void
    {
        $seen = ['loops' => 0, 'groups' => 0, 'sexed' => 0, 'possible' => 0];
        for ($seed = 1; $seed <= 500; $seed++) {
            $this->compare(new Randomizer(new Mt19937($seed)), $seed, $seen);
        }
        self::assertGreaterThan(60, $seen['loops'], 'inbreeding loops');
        self::assertGreaterThan(150, $seen['groups']);
        self::assertGreaterThan(80, $seen['sexed'], 'families with linkage to sex');
        self::assertGreaterThan(350, $seen['possible']);
    }

    /** @param array<string, int> $seen */
    private function compare(Randomizer $chance, int $seed, array &$seen): void
    {
        $key = array_keys(self::KINDS)[$chance->getInt(0, 3)];
        [$said, $saws] = self::KINDS[$key];
        $group = $key === 'sex'
            ? Shelf::catalogue()->sexGroup()
            : Shelf::catalogue()->groupOf(Shelf::catalogue()->groups[$key]->loci[0] ?? '');
        $document = ['format' => PedigreeReader::FORMAT, 'animals' => [], 'groups' => []];
        $plain = $groups = [];
        $bySex = ['male' => [], 'female' => []];
        $parents = [];
        $count = $chance->getInt(4, 7);
        for ($i = 0; $i < $count; $i++) {
            $sex = $i < 2 ? [Sex::Male, Sex::Female][$i] : [Sex::Male, Sex::Female][$chance->getInt(0, 1)];
            $entry = ['id' => "A{$i}", 'sex' => $sex->value];
            if ($i < 2 || $chance->getInt(0, 3) === 0) {
                $entry['stated'] = $said[$chance->getInt(0, count($said) - 1)];
                $prior = self::prior($entry['stated'], $sex, $group);
                $plain[] = ['id' => "A{$i}", 'sex' => $sex, 'prior' => $prior, 'sire' => null, 'dam' => null, 'saw' => null];
            } else {
                [$sire, $dam] = [
                    $bySex['male'][$chance->getInt(0, count($bySex['male']) - 1)],
                    $bySex['female'][$chance->getInt(0, count($bySex['female']) - 1)],
                ];
                $entry += ['sire' => $sire, 'dam' => $dam];
                $saw = $chance->getInt(0, 1) === 1 ? $saws[$chance->getInt(0, count($saws) - 1)] : null;
                $saw === null || $entry['saw'] = $saw;
                $plain[] = [
                    'id' => "A{$i}", 'sex' => $sex, 'prior' => null, 'sire' => $sire, 'dam' => $dam,
                    'saw' => $saw === null ? null : Shelf::facts()->targets()->read($saw),
                ];
                $parents["A{$i}"] = [$sire, $dam];
                $seen['loops'] += isset($parents[$sire])
                    && in_array($dam, $parents[$sire], true)
                    || isset($parents[$sire], $parents[$dam])
                    && array_intersect($parents[$sire], $parents[$dam]) !== []
                    ? 1
                    : 0;
            }
            $document['animals'][] = $entry;
            $bySex[$sex->value][] = "A{$i}";
        }
        if ($chance->getInt(0, 1) === 1) {
            $eggs = [
                'sire' => $bySex['male'][$chance->getInt(0, count($bySex['male']) - 1)],
                'dam' => $bySex['female'][$chance->getInt(0, count($bySex['female']) - 1)], 'saw' => $saws[$chance->getInt(0, 1)],
                'count' => $chance->getInt(1, 4),
            ];
            $document['groups'][] = $eggs;
            $groups[] = ['saw' => Shelf::facts()->targets()->read($eggs['saw'])] + $eggs;
            $seen['groups']++;
        }
        $seen['sexed'] += $key === 'sex' ? 1 : 0;
        $plainly = new PlainEnumeration($group, $plain, $groups);
        $kindred = self::kindred($document);
        $log = 0.0;
        $found = [];
        foreach (array_keys($kindred->families()) as $family) {
            $posterior = $kindred->posterior($family, [$group]);
            if ($plainly->total > 0) {
                self::assertSame([], $posterior->contradictions, "seed {$seed}: ".json_encode($document));
            }
            $log += $posterior->logEvidence;
            foreach ($posterior->of as $id => $states) {
                $found[substr($id, 7)] = $states;
            }
        }
        if ($plainly->total <= 0) {
            self::assertSame(-INF, $log, "seed {$seed}: what cannot be is told");

            return;
        }
        $seen['possible']++;
        self::assertEqualsWithDelta(log($plainly->total), $log, 1e-9, "seed {$seed}: log evidence of ".json_encode($document));
        foreach ($plainly->weights as $id => $weights) {
            foreach ($weights as $state => $weight) {
                self::assertEqualsWithDelta(
                    $weight / $plainly->total, $found[$id]->probabilityOf($state)->toFloat(), 1e-11,
                    "seed {$seed}, {$id} {$state}: ".json_encode($document),
                );
            }
        }
    }

    /**
     * @return iterable<string, array{list<array<string, mixed>>, list<array<string, mixed>>, string, string, array<string, string>}>
     *     animals, groups, whose posterior, locus, probability by alleles
     */
    public static function textbook(): iterable
    {
        $clown = fn (string $id, string $sex, string $stated): array => ['id' => $id, 'sex' => $sex, 'stated' => $stated];
        yield 'a test cross that shows nothing' => [
            [
                $clown('S', 'male', '66% het Clown'), $clown('D', 'female', 'Clown'),
                ['id' => 'K', 'sex' => 'female', 'sire' => 'S', 'dam' => 'D', 'saw' => 'not Clown'],
            ],
            [['sire' => 'S', 'dam' => 'D', 'saw' => 'not Clown', 'count' => 4]], 'S', 'clown',
            ['clown/+' => '1/17', '+/+' => '16/17'],
        ];
        yield 'one visual proves it' => [
            [$clown('S', 'male', '50% het Clown'), $clown('D', 'female', 'Clown')],
            [
                ['sire' => 'S', 'dam' => 'D', 'saw' => 'not Clown', 'count' => 5],
                ['sire' => 'S', 'dam' => 'D', 'saw' => 'Clown', 'count' => 1],
            ],
            'S', 'clown', ['clown/+' => '1'],
        ];
        yield 'against a het each egg weighs 3/4' => [
            [$clown('S', 'male', '50% het Clown'), $clown('D', 'female', 'het Clown')],
            [['sire' => 'S', 'dam' => 'D', 'saw' => 'not Clown', 'count' => 3]], 'S', 'clown',
            ['clown/+' => '27/91', '+/+' => '64/91'],
        ];
        yield 'two carriers in three among normal siblings' => [
            [
                $clown('S', 'male', 'het Clown'), $clown('D', 'female', 'het Clown'),
                ['id' => 'K', 'sex' => 'male', 'sire' => 'S', 'dam' => 'D', 'saw' => 'not Clown'],
            ],
            [], 'K', 'clown', ['clown/+' => '2/3', '+/+' => '1/3'],
        ];
        yield 'a visual sibling makes both unknown parents carriers' => [
            [
                $clown('S', 'male', '50% het Clown'), $clown('D', 'female', '50% het Clown'),
                ['id' => 'V', 'sex' => 'male', 'sire' => 'S', 'dam' => 'D', 'saw' => 'Clown'],
                ['id' => 'K', 'sex' => 'female', 'sire' => 'S', 'dam' => 'D', 'saw' => 'not Clown'],
            ],
            [], 'K', 'clown', ['clown/+' => '2/3', '+/+' => '1/3'],
        ];
        // G het with an unrelated normal: each child 1/2; a cousin by the other child: 1/4; nothing seen changes that.
        yield 'a first cousin' => [
            [
                $clown('G', 'male', 'het Clown'), $clown('N1', 'female', 'Normal'), $clown('N2', 'female', 'Normal'),
                ['id' => 'P', 'sex' => 'male', 'sire' => 'G', 'dam' => 'N1'],
                ['id' => 'K', 'sex' => 'male', 'sire' => 'P', 'dam' => 'N2'],
            ],
            [], 'K', 'clown', ['clown/+' => '1/4', '+/+' => '3/4'],
        ];
        // A visual grandchild of the uncle's line proves the grandsire: P(his other son carries) = 1/2.
        yield 'a cousin that shows proves the grandsire' => [
            [
                $clown('G', 'male', '50% het Clown'), $clown('N', 'female', 'Normal'), $clown('V', 'female', 'Clown'),
                ['id' => 'U', 'sex' => 'male', 'sire' => 'G', 'dam' => 'N'],
                ['id' => 'C', 'sex' => 'male', 'sire' => 'U', 'dam' => 'V', 'saw' => 'Clown'],
                ['id' => 'K', 'sex' => 'male', 'sire' => 'G', 'dam' => 'N'],
            ],
            [], 'K', 'clown', ['clown/+' => '1/2', '+/+' => '1/2'],
        ];
        // 1/3 two copies: two copies give all Pinstripe, one copy half of it.
        yield 'two copies or one, all young show it' => [
            [$clown('S', 'male', 'Pinstripe (33% two copies)'), $clown('D', 'female', 'Normal')],
            [['sire' => 'S', 'dam' => 'D', 'saw' => 'Pinstripe', 'count' => 4]], 'S', 'pinstripe',
            ['pinstripe/pinstripe' => '8/9', 'pinstripe/+' => '1/9'],
        ];
        yield 'a compound gives one or the other' => [
            [
                $clown('S', 'male', 'Mojave/Mystic'), $clown('D', 'female', 'Normal'),
                ['id' => 'K', 'sex' => 'male', 'sire' => 'S', 'dam' => 'D', 'saw' => 'no Mojave'],
            ],
            [], 'K', 'bel', ['mystic/+' => '1'],
        ];
    }

    /**
     * @param list<array<string, mixed>> $animals
     * @param list<array<string, mixed>> $groups
     * @param array<string, string> $expected
     */
    #[DataProvider('textbook')]
    public function testTextbookCases(array $animals, array $groups, string $whose, string $locus, array $expected): void
    {
        $answer = PosteriorDocument::of(
            self::kindred(['format' => PedigreeReader::FORMAT, 'animals' => $animals, 'groups' => $groups]), Shelf::catalogue(),
        );
        self::assertTrue($answer['exact']);
        foreach ($answer['animals'] as $animal) {
            if ($animal['id'] === $whose) {
                $told = [];
                foreach (((array) $animal['loci'])[$locus] as $pair) {
                    $told[implode('/', $pair['alleles'])] = $pair['probability'];
                }
                ksort($told);
                ksort($expected);
                self::assertSame($expected, $told);
            }
        }
    }

    public function testWithOneParentRecordedThePercentageIsThatOfTheStatement(): void
    {
        foreach (['Normal', 'het Clown', '50% het Clown'] as $dam) {
            $answer = PosteriorDocument::of(
                self::kindred([
                    'format' => PedigreeReader::FORMAT,
                    'animals' => [
                        ['id' => 'D', 'sex' => 'female', 'stated' => $dam],
                        ['id' => 'K', 'sex' => 'male', 'dam' => 'D', 'stated' => '66% het Clown'],
                    ],
                ]),
                Shelf::catalogue(),
            );
            self::assertSame('66% het Clown', $answer['animals'][1]['text'], "out of {$dam}");
        }
        $visual = PosteriorDocument::of(
            self::kindred([
                'format' => PedigreeReader::FORMAT,
                'animals' => [
                    ['id' => 'D', 'sex' => 'female', 'stated' => '50% het Clown'],
                    ['id' => 'K', 'sex' => 'male', 'dam' => 'D', 'stated' => 'Clown'],
                ],
            ]),
            Shelf::catalogue(),
        );
        self::assertSame('het Clown', $visual['animals'][0]['text'], 'a visual son proves her, whoever the sire was');
    }

    public function testAMaleMakerIsReadFromHisYoung(): void
    {
        // Phase unknown: on X or on Y alike. Three Banana sons and two daughters without it speak for Y.
        $animals = [['id' => 'S', 'sex' => 'male', 'stated' => 'Banana'], ['id' => 'D', 'sex' => 'female', 'stated' => 'Normal']];
        foreach (['male', 'male', 'male', 'female', 'female'] as $i => $sex) {
            $animals[] = ['id' => "K{$i}", 'sex' => $sex, 'sire' => 'S', 'dam' => 'D', 'saw' => $sex === 'male' ? 'Banana' : 'not Banana'];
        }
        $kindred = self::kindred(['format' => PedigreeReader::FORMAT, 'animals' => $animals]);
        $states = $kindred->posterior(0, [Shelf::catalogue()->sexGroup()])->of['animal S'];
        $r = Shelf::catalogue()->sexGroup()->recombination[0]->toFloat();
        $maker = 0.0;
        foreach ($states->entries() as [$state, $p]) {
            $maker += Shelf::catalogue()->sexGroup()->makerOf(array_values($state->diplotypes)[0], 'banana') === Sex::Male
                ? $p->toFloat()
                : 0.0;
        }
        self::assertEqualsWithDelta((1 - $r) ** 5 / ((1 - $r) ** 5 + $r ** 5), $maker, 1e-9);
    }

    public function testWhatCannotBeIsExplainedWithOdds(): void
    {
        $kindred = self::kindred([
            'format' => PedigreeReader::FORMAT,
            'animals' => [
                ['id' => 'S', 'sex' => 'male', 'stated' => 'het Piebald'],
                ['id' => 'D', 'sex' => 'female', 'stated' => 'Pinstripe'],
                ['id' => 'Z', 'sex' => 'female', 'sire' => 'S', 'dam' => 'D', 'stated' => 'Piebald'],
            ],
            'groups' => [['sire' => 'S', 'dam' => 'D', 'saw' => 'not Piebald', 'count' => 5]],
        ]);
        $posterior = $kindred->posterior(0, [Shelf::catalogue()->groupOf('piebald')]);
        self::assertCount(1, $posterior->contradictions);
        $odds = [];
        foreach ($posterior->contradictions[0]->explanations as $one) {
            $odds["{$one->fault->kind()->value} ".substr($one->fault->subject, 7)] = $one->odds;
        }
        // Unrecorded: 1/20 · 1/4 · (3/4)⁵ against 1/1000 for each of the two mistakes about Z, which then leaves the others to chance.
        $hidden = 1 / 20 * 1 / 4 * .75 ** 5;
        self::assertEqualsWithDelta($hidden / ($hidden + 2 / 1000 + 2e-6 * .25), $odds['unrecorded D'], 1e-3);
        self::assertArrayNotHasKey('other-sire Z', $odds, 'the dam would have to carry it all the same');
        self::assertEqualsWithDelta(1.0, array_sum($odds), 1e-9);
        // The mixture: D carries it with the odds of that explanation.
        $carries = 0.0;
        foreach ($posterior->of['animal D']->entries() as [$state, $p]) {
            $carries += PlainEnumeration::isMutant($state->diplotypes['piebald']) ? $p->toFloat() : 0.0;
        }
        self::assertEqualsWithDelta($odds['unrecorded D'], $carries, 2e-3);
    }

    public function testTwoLinesThatNeverGiveAVisualAreExplained(): void
    {
        $kindred = self::kindred([
            'format' => PedigreeReader::FORMAT,
            'animals' => [['id' => 'S', 'sex' => 'male', 'stated' => 'Clown'], ['id' => 'D', 'sex' => 'female', 'stated' => 'Clown']],
            'groups' => [['sire' => 'S', 'dam' => 'D', 'saw' => 'not Clown', 'count' => 5]],
        ]);
        $contradiction = $kindred->posterior(0, [Shelf::catalogue()->groupOf('clown')])->contradictions[0];
        self::assertSame('groups[0]', $contradiction->subject);
        $kinds = array_map(
            static fn (\Destino\Inference\Faults\Explanation $one): FaultKind => $one->fault->kind(), $contradiction->explanations,
        );
        self::assertContains(FaultKind::Misnamed, $kinds);
    }

    public function testWhiteEggsThatDieSpeakForTwoCopies(): void
    {
        // Possibly Spider × Spider: a dead Spider egg is evidence that both carry it.
        $document = [
            'format' => PedigreeReader::FORMAT,
            'animals' => [
                ['id' => 'S', 'sex' => 'male', 'stated' => 'possible Spider (50%)'],
                ['id' => 'D', 'sex' => 'female', 'stated' => 'Spider'],
            ],
            'groups' => [['sire' => 'S', 'dam' => 'D', 'saw' => 'Spider', 'count' => 1, 'dead' => true]],
        ];
        $answer = self::kindred($document)->posterior(0, [Shelf::catalogue()->groupOf('spider')])->of['animal S'];
        $spider = 0.0;
        foreach ($answer->entries() as [$state, $p]) {
            $spider += PlainEnumeration::isMutant($state->diplotypes['spider']) ? $p->toFloat() : 0.0;
        }
        // Carrying: 9/10 · 1/4 + 1/10 · 3/4; not: 1/10 · 1/2.
        self::assertEqualsWithDelta(.3 / (.3 + .05), $spider, 1e-9);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrongPedigrees(): iterable
    {
        $animal = fn (string $id, string $sex, ?string $sire = null, ?string $dam = null): array => [
            'id' => $id, 'sex' => $sex, 'sire' => $sire, 'dam' => $dam,
        ];
        yield 'a circle' => [['animals' => [$animal('A', 'male', 'B'), $animal('B', 'male', 'A')]], 'The records make a circle'];
        yield 'its own grandsire' => [
            ['animals' => [$animal('A', 'male', 'C'), $animal('B', 'male', 'A'), $animal('C', 'male', 'B')]], 'a parent of',
        ];
        yield 'a male dam' => [
            ['animals' => [$animal('A', 'male'), $animal('B', 'male', null, 'A')]],
            'recorded as the dam of animal B and is not female',
        ];
        yield 'an unknown parent' => [['animals' => [$animal('A', 'male', 'Nobody')]], 'animal Nobody, which is not in it'];
        yield 'eggs of nobody' => [['animals' => [], 'groups' => [['dam' => 'X', 'saw' => 'Clown']]], 'animal X'];
    }

    /** @param array<string, mixed> $document */
    #[DataProvider('wrongPedigrees')]
    public function testAWrongPedigreeIsNamedAndTheOtherFamiliesStay(array $document, string $message): void
    {
        $document['animals'][] = ['id' => 'Fine', 'sex' => 'male', 'stated' => 'Clown'];
        $kindred = self::kindred(['format' => PedigreeReader::FORMAT] + $document);
        self::assertStringContainsString(
            $message, implode(' ', array_map(static fn (InferenceError $one): string => $one->getMessage(), $kindred->faults)),
        );
        self::assertNotNull($kindred->familyOf('animal Fine'));
    }

    /** @return array<string, array{Diplotype, float}> what a text says of a founder at a group */
    private static function prior(string $text, Sex $sex, LinkageGroup $group): array
    {
        $prior = [];
        foreach (Shelf::facts()->reader()->read($text, $sex)->beliefOrFail()->statesOver([$group]) as [$state, $p]) {
            $prior[$state->key] = [$state->at($group), ($prior[$state->key][1] ?? 0.0) + $p->toFloat()];
        }

        return $prior;
    }

    /** @param array<string, mixed> $document */
    private static function kindred(array $document): Kindred
    {
        return (new PedigreeReader(Shelf::facts()))->read($document);
    }
}
