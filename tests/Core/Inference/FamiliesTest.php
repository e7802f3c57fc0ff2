<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Documents\PedigreeReader;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Inference\Conclusions\Kindred;
use Destino\Inference\Evidence\Brood;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Faults\Explanation;
use Destino\Inference\Faults\Unrecorded;
use Destino\Inference\Graph\Doubles;
use Destino\Inference\Graph\Elimination;
use Destino\Inference\Graph\Exact;
use Destino\Inference\Graph\Factor;
use Destino\Inference\Graph\Order;
use Destino\Probability\Probability;
use Destino\Probability\Rational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** Families: what touches what, who tells nothing of others, and more ways in which records are wrong. */
final class FamiliesTest extends TestCase
{
    public function testANewClutchTouchesItsOwnFamilyAndTheGenesThatItNames(): void
    {
        $animals = self::animals([
            ['S', 'male', 'het Clown het Piebald'], ['D', 'female', 'Clown'], ['T', 'male', 'Piebald'],
            ['E', 'female', 'het Piebald'],
        ]);
        $before = self::contents(
            new Kindred(
                Shelf::catalogue(), $animals,
                [
                    new Brood('b0', ['T'], 'E', Shelf::facts()->targets()->read('Piebald'), 1),
                    new Brood('b1', ['S'], 'D', Shelf::facts()->targets()->read('Clown'), 1),
                ],
            ),
        );
        $after = self::contents(
            new Kindred(
                Shelf::catalogue(), $animals,
                [
                    new Brood('b0', ['T'], 'E', Shelf::facts()->targets()->read('Piebald'), 1),
                    new Brood('b1', ['S'], 'D', Shelf::facts()->targets()->read('Clown'), 2),
                ],
            ),
        );
        self::assertSame(array_keys($before), array_keys($after));
        self::assertSame(['S clown'], array_keys(array_diff_assoc($after, $before)));
    }

    public function testAnimalsThatShareNothingAreFamiliesOfTheirOwn(): void
    {
        $animals = self::animals([
            ['S', 'male', 'Clown'], ['D', 'female', 'Clown'], ['T', 'male', 'Clown'],
        ]) + ['K' => new Individual('K', null, 'S', 'D', [])];
        $kindred = new Kindred(Shelf::catalogue(), $animals);
        self::assertCount(2, $kindred->families());
        self::assertSame($kindred->familyOf('S'), $kindred->familyOf('K'));
        self::assertNotSame($kindred->familyOf('S'), $kindred->familyOf('T'));
        $line = $kindred->families()[$kindred->familyOf('K') ?? 0];
        self::assertGreaterThan(
            max(array_search('S', $line, true), array_search('D', $line, true)), array_search('K', $line, true),
            'parents before their young',
        );
    }

    public function testAnotherMaleIsWeighedByWhatTheMalesOfTheCollectionGive(): void
    {
        // The dam shows it, the recorded sire cannot give it. Another male is one of two here, one of them visual, or one from
        // outside, who gives it with f + (1 − f)/40, f being the four copies of four founders among fifty-four animals.
        $outside = 4 / 108 + 104 / 108 / 40;
        $kindred = self::kindred(
            [['S', 'male', 'Normal'], ['O', 'male', 'Clown'], ['N', 'male', 'Normal'], ['D', 'female', 'Clown']],
            [['K', 'female', 'S', 'D', 'Clown']],
        );
        $contradiction = $kindred->posterior(
            (int) $kindred->familyOf('animal K'), [Shelf::catalogue()->groupOf('clown')],
        )->contradictions[0];
        $weights = [
            'unrecorded animal S' => 1 / 20 * 1 / 2, 'other-sire animal K' => 1 / 100 * (1 + $outside) / 3,
            'misidentified animal K' => 1 / 1000, 'misnamed animal K' => 1 / 1000,
        ];
        $odds = [];
        foreach ($contradiction->explanations as $one) {
            $odds["{$one->fault->kind()->value} {$one->fault->subject}"] = $one->odds;
        }
        foreach ($weights as $key => $weight) {
            // Beside these only a mutation, two in a million, and a dam that is another line.
            self::assertEqualsWithDelta($weight / $weights['unrecorded animal S'], $odds[$key] / $odds['unrecorded animal S'], 1e-9, $key);
        }
        self::assertSame(array_values($odds), (static function (array $sorted): array {
            rsort($sorted);

            return $sorted;
        })(array_values($odds)), 'the likeliest first');
    }

    public function testTwoYoungThatCannotBeAreEachExplained(): void
    {
        $kindred = self::kindred(
            [['S', 'male', 'Clown'], ['D', 'female', 'Normal'], ['T', 'male', 'Normal']],
            [['K', 'female', 'S', 'D', 'Clown'], ['L', 'male', 'T', 'K', 'Clown']],
        );
        $posterior = $kindred->posterior((int) $kindred->familyOf('animal K'), [Shelf::catalogue()->groupOf('clown')]);
        self::assertSame(['animal K', 'animal L'], (static function (array $subjects): array {
            sort($subjects);

            return $subjects;
        })(array_map(static fn (\Destino\Inference\Faults\Contradiction $one): string => $one->subject, $posterior->contradictions)));
        foreach ($posterior->contradictions as $one) {
            self::assertEqualsWithDelta(
                1.0, array_sum(array_map(static fn (Explanation $why): float => $why->odds, $one->explanations)), 1e-9,
            );
        }
        foreach ($posterior->of as $states) {
            self::assertGreaterThan(0, $states->count(), 'everybody is still believed to be something');
        }
    }

    public function testMoreThanCanBeExplainedIsStillTold(): void
    {
        // Nine visuals of one sire, each of another dam: more than are looked for.
        $founders = [['S', 'male', 'Normal']];
        $young = [];
        for ($i = 0; $i < 9; $i++) {
            $founders[] = ["D{$i}", 'female', 'Normal'];
            $young[] = ["K{$i}", 'male', 'S', "D{$i}", 'Clown'];
        }
        $kindred = self::kindred($founders, $young);
        $posterior = $kindred->posterior((int) $kindred->familyOf('animal S'), [Shelf::catalogue()->groupOf('clown')]);
        self::assertNotSame([], $posterior->contradictions);
        foreach ($posterior->contradictions as $one) {
            self::assertMatchesRegularExpression('/^animal K\d$/', $one->subject);
            self::assertEqualsWithDelta(
                1.0, array_sum(array_map(static fn (Explanation $why): float => $why->odds, $one->explanations)) ?: 1.0, 1e-9,
            );
        }
        foreach ($posterior->of as $states) {
            self::assertGreaterThan(0, $states->count());
        }
    }

    /**
     * @return iterable<string, array{string, list<array{string, string, string}>, list<array{string, string, string, string, string}>}>
     *     gene, founders, young
     */
    public static function impossibleFamilies(): iterable
    {
        yield 'a recessive out of nowhere' => [
            'clown', [['S', 'male', 'het Clown'], ['D', 'female', 'Normal'], ['O', 'male', 'Clown']],
            [['K', 'female', 'S', 'D', 'Clown']],
        ];
        yield 'a plain one of two visuals' => [
            'clown', [['S', 'male', 'Clown'], ['D', 'female', 'Clown'], ['O', 'male', 'Normal']],
            [['K', 'female', 'S', 'D', 'Pastel']],
        ];
        yield 'an allele that neither has' => [
            'mojave', [['S', 'male', 'Mystic'], ['D', 'female', 'Normal'], ['O', 'male', 'Mojave']],
            [['K', 'male', 'S', 'D', 'Mojave']],
        ];
        yield 'two copies of one parent' => [
            'pastel', [['S', 'male', 'Pastel'], ['D', 'female', 'Enchi']], [['K', 'male', 'S', 'D', 'Super Pastel']],
        ];
        yield 'a grandchild' => [
            'clown', [['S', 'male', 'Normal'], ['D', 'female', 'Normal'], ['E', 'female', 'het Clown']],
            [['P', 'male', 'S', 'D', 'Pinstripe'], ['K', 'female', 'P', 'E', 'Clown']],
        ];
        yield 'a son with what only daughters can have had' => [
            'banana', [['S', 'male', 'Normal'], ['D', 'female', 'Normal']], [['K', 'male', 'S', 'D', 'Banana']],
        ];
    }

    /**
     * @param list<array{string, string, string}> $founders
     * @param list<array{string, string, string, string, string}> $young
     */
    #[DataProvider('impossibleFamilies')]
    public function testEveryExplanationThatIsDecidedSettlesTheMatter(string $gene, array $founders, array $young): void
    {
        $group = Shelf::catalogue()->groupOf(Shelf::catalogue()->allele($gene)->locus);
        $individuals = self::animals($founders);
        foreach ($young as [$id, $sex, $sire, $dam, $genes]) {
            $said = new \Destino\Inference\Evidence\Testimony(
                "{$id} said", Shelf::facts()->reader()->read($genes, Sex::from($sex))->beliefOrFail(),
                \Destino\Inference\Evidence\Source::Own, Probability::one(), true,
            );
            $individuals[$id] = new Individual($id, Sex::from($sex), $sire, $dam, [$said]);
        }
        $kindred = new Kindred(Shelf::catalogue(), $individuals);
        $family = (int) $kindred->familyOf('K');
        $contradictions = array_merge(
            ...array_map(
                static fn (array $groups): array => $kindred->posterior($family, $groups)->contradictions,
                $kindred->groupSetsOf($family),
            ),
        );
        $contradictions = array_values(
            array_filter(
                $contradictions,
                static fn (\Destino\Inference\Faults\Contradiction $one): bool => array_intersect($one->loci, $group->loci) !== [],
            ),
        );
        self::assertCount(1, $contradictions, 'told once, whatever loci it is about');
        self::assertGreaterThan(1, count($contradictions[0]->explanations));
        foreach ($contradictions[0]->explanations as $explanation) {
            $settled = (new Kindred(Shelf::catalogue(), $individuals, [], null, $explanation->faults))->posterior($family, [$group]);
            self::assertSame([], $settled->contradictions, $explanation->key());
            self::assertGreaterThan(-INF, $settled->logEvidence);
        }
        // Undecided, everybody is believed to be what the explanations make of them, in proportion.
        $mixed = $kindred->posterior($family, [$group])->of['K'];
        $expected = [];
        foreach ($contradictions[0]->explanations as $explanation) {
            foreach (
                (new Kindred(Shelf::catalogue(), $individuals, [], null, $explanation->faults))->posterior($family, [$group])->of['K']
                    ->entries() as $key => [, $chance]
            ) {
                $expected[$key] = ($expected[$key] ?? 0.0) + $explanation->odds * $chance->toFloat();
            }
        }
        foreach ($expected as $key => $chance) {
            self::assertEqualsWithDelta($chance, $mixed->probabilityOf((string) $key)->toFloat(), .003, (string) $key);
        }
    }

    public function testADecisionIsTakenForGrantedOnlyWhereItIsAboutTheGroup(): void
    {
        $document = [['S', 'male', 'het Piebald'], ['D', 'female', 'Pinstripe']];
        $fault = new Unrecorded('D', ['piebald']);
        $animals = self::animals($document) + [
            'Z' => new Individual('Z', Sex::Female, 'S', 'D', self::animals([['Z', 'female', 'Pinstripe Piebald']])['Z']->testimonies),
        ];
        $kindred = new Kindred(Shelf::catalogue(), $animals, [], null, [$fault]);
        $piebald = $kindred->posterior(0, [Shelf::catalogue()->groupOf('piebald')]);
        self::assertSame(
            [[], ['+~piebald'], ['piebald~piebald']],
            [$piebald->contradictions, array_keys($piebald->of['D']->entries()), array_keys($piebald->of['Z']->entries())],
        );
        $pinstripe = $kindred->posterior(0, [Shelf::catalogue()->groupOf('pinstripe')]);
        self::assertSame(['+~pinstripe'], array_keys($pinstripe->of['D']->entries()));
    }

    public function testAnOrderOfAChainNeverBuildsALargeTable(): void
    {
        // A chain of a hundred, and the same closed to a ring: two or three at a time, not a hundred.
        $scopes = array_map(static fn (int $i): array => [$i, $i + 1], range(0, 98));
        self::assertSame(9.0, round(Order::of(array_fill(0, 100, 3), $scopes)->largest));
        self::assertSame(27.0, round(Order::of(array_fill(0, 100, 3), [...$scopes, [99, 0]])->largest));
    }

    public function testJointOddsOfTwoThatDependAreNotTheProduct(): void
    {
        // Equal or unequal with 3/4 and 1/4.
        $factors = [
            Factor::dense([0], [Rational::of(1, 2), Rational::of(1, 2)]),
            new Factor([0, 1], [Rational::of(3, 4), Rational::of(1, 4), Rational::of(1, 4), Rational::of(3, 4)]),
        ];
        foreach ([new Exact, new Doubles] as $arithmetic) {
            $elimination = new Elimination([2, 2], $factors, Order::of([2, 2], [[0], [0, 1]]), $arithmetic);
            $elimination->run();
            self::assertSame(['3/8', '1/8', '1/8', '3/8'], self::told($elimination->jointOf(0, 1)));
        }
    }

    /** @return array<string, string> content by the first animal of the family and the groups */
    private static function contents(Kindred $kindred): array
    {
        $contents = [];
        foreach ($kindred->families() as $family => $ids) {
            foreach ($kindred->groupSetsOf($family) as $groups) {
                $contents[
                    $ids[0].' '.implode('+', array_map(static fn (LinkageGroup $group): string => $group->key, $groups))
                ] = $kindred->contentOf($family, $groups);
            }
        }

        return array_filter($contents);
    }

    /**
     * @param list<Rational> $shares
     * @return list<string>
     */
    private static function told(array $shares): array
    {
        return array_map(static fn (Rational $share): string => $share->toString(), $shares);
    }

    /**
     * @param list<array{string, string, string}> $said id, sex, genes
     * @return array<string, Individual>
     */
    private static function animals(array $said): array
    {
        $animals = [];
        foreach ($said as [$id, $sex, $genes]) {
            $animals[$id] = new Individual(
                $id, Sex::from($sex), null, null,
                [
                    new \Destino\Inference\Evidence\Testimony(
                        $id, Shelf::facts()->reader()->read($genes, Sex::from($sex))->beliefOrFail(),
                        \Destino\Inference\Evidence\Source::Own, Probability::one(), false,
                    ),
                ],
            );
        }

        return $animals;
    }

    /**
     * @param list<array{string, string, string}> $founders id, sex, genes
     * @param list<array{string, string, string, string, string}> $young id, sex, sire, dam, genes
     */
    private static function kindred(array $founders, array $young): Kindred
    {
        return (new PedigreeReader(Shelf::facts()))->read(['format' => PedigreeReader::FORMAT, 'animals' => [
            ...array_map(static fn (array $one): array => ['id' => $one[0], 'sex' => $one[1], 'stated' => $one[2]], $founders),
            ...array_map(
                static fn (array $one): array => [
                    'id' => $one[0], 'sex' => $one[1], 'sire' => $one[2], 'dam' => $one[3], 'stated' => $one[4],
                ],
                $young,
            ),
        ]]);
    }
}
