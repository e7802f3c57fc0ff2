<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use App\Prove\PedigreeReader;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Inference\Brood;
use Destino\Inference\ErrorRates;
use Destino\Inference\Explanation;
use Destino\Inference\FamilyModel;
use Destino\Inference\Fault;
use Destino\Inference\FaultKind;
use Destino\Inference\Graph\Doubles;
use Destino\Inference\Graph\Elimination;
use Destino\Inference\Graph\Exact;
use Destino\Inference\Graph\Factor;
use Destino\Inference\Graph\Order;
use Destino\Inference\Hearing;
use Destino\Inference\Individual;
use Destino\Inference\Kindred;
use Destino\Inference\YoungLaw;
use Destino\Probability\Rational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** Families: what touches what, who tells nothing of others, and more ways in which records are wrong. */
final class FamiliesTest extends TestCase
{
    public function testANewClutchTouchesItsOwnFamilyAndTheGenesThatItNames(): void
    {
        $animals = self::animals([['S', 'male', 'het Clown het Piebald'], ['D', 'female', 'Clown'], ['T', 'male', 'Piebald'], ['E', 'female', 'het Piebald']]);
        $before = self::contents(new Kindred(Shelf::catalogue(), $animals, [new Brood('b0', ['T'], 'E', Shelf::shelf()->targets()->read('Piebald'), 1), new Brood('b1', ['S'], 'D', Shelf::shelf()->targets()->read('Clown'), 1)]));
        $after = self::contents(new Kindred(Shelf::catalogue(), $animals, [new Brood('b0', ['T'], 'E', Shelf::shelf()->targets()->read('Piebald'), 1), new Brood('b1', ['S'], 'D', Shelf::shelf()->targets()->read('Clown'), 2)]));
        self::assertSame(array_keys($before), array_keys($after));
        self::assertSame(['S clown'], array_keys(array_diff_assoc($after, $before)));
    }

    public function testAnimalsThatShareNothingAreFamiliesOfTheirOwn(): void
    {
        $animals = self::animals([['S', 'male', 'Clown'], ['D', 'female', 'Clown'], ['T', 'male', 'Clown']]) + ['K' => new Individual('K', null, 'S', 'D', [])];
        $kindred = new Kindred(Shelf::catalogue(), $animals);
        self::assertCount(2, $kindred->families());
        self::assertSame($kindred->familyOf('S'), $kindred->familyOf('K'));
        self::assertNotSame($kindred->familyOf('S'), $kindred->familyOf('T'));
        $line = $kindred->families()[$kindred->familyOf('K') ?? 0];
        self::assertGreaterThan(max(array_search('S', $line, true), array_search('D', $line, true)), array_search('K', $line, true), 'parents before their young');
    }

    public function testWhoTellsNothingFollowsFromThePartsThatDo(): void
    {
        // K saw nothing and has no young: in a family without loops his odds are those of his parents, multiplied.
        $group = Shelf::catalogue()->groupOf('clown');
        $animals = array_values(self::animals([['S', 'male', '66% het Clown'], ['D', 'female', '50% het Clown'], ['U', 'female', 'het Clown']])
            + ['V' => new Individual('V', Sex::Male, 'S', 'U', [], Shelf::shelf()->targets()->read('not Clown')), 'K' => new Individual('K', Sex::Male, 'S', 'D', []), 'L' => new Individual('L', Sex::Female, 'K', 'U', [])]);
        $model = self::model($animals, $group);
        self::assertSame(['K', 'L'], $model->silent(), 'V was seen, so he speaks for his sire');
        $all = self::marginals($model, []);
        $core = self::marginals($model, $model->silent());
        $of = $core + ['U' => [Rational::one()]];
        foreach ($model->silent() as $id) {
            $of[$id] = $model->fromParents($id, $of);
        }
        foreach (['S', 'D', 'V', 'K'] as $id) {
            self::assertSame(self::told($all[$id]), self::told($of[$id]), $id);
        }
    }

    public function testAnotherMaleIsWeighedByWhatTheMalesOfTheCollectionGive(): void
    {
        // The dam shows it, the recorded sire cannot give it. Of three males one is visual: a third of other sires give it.
        $kindred = self::kindred([['S', 'male', 'Normal'], ['O', 'male', 'Clown'], ['N', 'male', 'Normal'], ['D', 'female', 'Clown']], [['K', 'female', 'S', 'D', 'Clown']]);
        $contradiction = $kindred->posterior((int) $kindred->familyOf('animal K'), [Shelf::catalogue()->groupOf('clown')])->contradictions[0];
        $weights = ['unrecorded animal S' => 1 / 20 * 1 / 2, 'other-sire animal K' => 1 / 100 * 1 / 3, 'misidentified animal K' => 1 / 1000, 'misnamed animal K' => 1 / 1000];
        $odds = [];
        foreach ($contradiction->explanations as $one) {
            $odds["{$one->fault->kind->value} {$one->fault->subject}"] = $one->odds;
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
        $kindred = self::kindred([['S', 'male', 'Clown'], ['D', 'female', 'Normal'], ['T', 'male', 'Normal']], [['K', 'female', 'S', 'D', 'Clown'], ['L', 'male', 'T', 'K', 'Clown']]);
        $posterior = $kindred->posterior((int) $kindred->familyOf('animal K'), [Shelf::catalogue()->groupOf('clown')]);
        self::assertSame(['animal K', 'animal L'], (static function (array $subjects): array {
            sort($subjects);

            return $subjects;
        })(array_map(static fn (\Destino\Inference\Contradiction $one): string => $one->subject, $posterior->contradictions)));
        foreach ($posterior->contradictions as $one) {
            self::assertEqualsWithDelta(1.0, array_sum(array_map(static fn (Explanation $why): float => $why->odds, $one->explanations)), 1e-9);
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
            self::assertEqualsWithDelta(1.0, array_sum(array_map(static fn (Explanation $why): float => $why->odds, $one->explanations)) ?: 1.0, 1e-9);
        }
        foreach ($posterior->of as $states) {
            self::assertGreaterThan(0, $states->count());
        }
    }

    /** @return iterable<string, array{string, list<array{string, string, string}>, list<array{string, string, string, string, string}>}> gene, founders, young */
    public static function impossibleFamilies(): iterable
    {
        yield 'a recessive out of nowhere' => ['clown', [['S', 'male', 'het Clown'], ['D', 'female', 'Normal'], ['O', 'male', 'Clown']], [['K', 'female', 'S', 'D', 'Clown']]];
        yield 'a plain one of two visuals' => ['clown', [['S', 'male', 'Clown'], ['D', 'female', 'Clown'], ['O', 'male', 'Normal']], [['K', 'female', 'S', 'D', 'Pastel']]];
        yield 'an allele that neither has' => ['mojave', [['S', 'male', 'Mystic'], ['D', 'female', 'Normal'], ['O', 'male', 'Mojave']], [['K', 'male', 'S', 'D', 'Mojave']]];
        yield 'two copies of one parent' => ['pastel', [['S', 'male', 'Pastel'], ['D', 'female', 'Enchi']], [['K', 'male', 'S', 'D', 'Super Pastel']]];
        yield 'a grandchild' => ['clown', [['S', 'male', 'Normal'], ['D', 'female', 'Normal'], ['E', 'female', 'het Clown']], [['P', 'male', 'S', 'D', 'Pinstripe'], ['K', 'female', 'P', 'E', 'Clown']]];
        yield 'a son with what only daughters can have had' => ['banana', [['S', 'male', 'Normal'], ['D', 'female', 'Normal']], [['K', 'male', 'S', 'D', 'Banana']]];
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
            $said = new \Destino\Inference\Testimony("{$id} said", Shelf::shelf()->reader()->read($genes, Sex::from($sex))->beliefOrFail(), \Destino\Inference\Source::Own, Rational::one(), true);
            $individuals[$id] = new Individual($id, Sex::from($sex), $sire, $dam, [$said]);
        }
        $kindred = new Kindred(Shelf::catalogue(), $individuals);
        $family = (int) $kindred->familyOf('K');
        $contradictions = $kindred->posterior($family, [$group])->contradictions;
        self::assertCount(1, $contradictions);
        self::assertGreaterThan(1, count($contradictions[0]->explanations));
        foreach ($contradictions[0]->explanations as $explanation) {
            $settled = (new Kindred(Shelf::catalogue(), $individuals, [], null, [$explanation->fault]))->posterior($family, [$group]);
            self::assertSame([], $settled->contradictions, $explanation->fault->key());
            self::assertGreaterThan(-INF, $settled->logEvidence);
        }
        // Undecided, everybody is believed to be what the explanations make of them, in proportion.
        $mixed = $kindred->posterior($family, [$group])->of['K'];
        $expected = [];
        foreach ($contradictions[0]->explanations as $explanation) {
            foreach ((new Kindred(Shelf::catalogue(), $individuals, [], null, [$explanation->fault]))->posterior($family, [$group])->of['K']->entries() as $key => [, $chance]) {
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
        $fault = new Fault(FaultKind::Unrecorded, 'D', ['piebald']);
        $animals = self::animals($document) + ['Z' => new Individual('Z', Sex::Female, 'S', 'D', self::animals([['Z', 'female', 'Pinstripe Piebald']])['Z']->testimonies)];
        $kindred = new Kindred(Shelf::catalogue(), $animals, [], null, [$fault]);
        $piebald = $kindred->posterior(0, [Shelf::catalogue()->groupOf('piebald')]);
        self::assertSame([[], ['+~piebald'], ['piebald~piebald']], [$piebald->contradictions, array_keys($piebald->of['D']->entries()), array_keys($piebald->of['Z']->entries())]);
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
        $factors = [new Factor([0], [Rational::of(1, 2), Rational::of(1, 2)]), new Factor([0, 1], [Rational::of(3, 4), Rational::of(1, 4), Rational::of(1, 4), Rational::of(3, 4)])];
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
            foreach ($kindred->groupSets() as $groups) {
                $contents[$ids[0].' '.implode('+', array_map(static fn (LinkageGroup $group): string => $group->key, $groups))] = $kindred->contentOf($family, $groups);
            }
        }

        return array_filter($contents);
    }

    /**
     * @param list<Individual> $animals
     */
    private static function model(array $animals, LinkageGroup $group): FamilyModel
    {
        $priors = [];
        foreach ($animals as $animal) {
            foreach ($animal->testimonies as $testimony) {
                $priors[$animal->id] = array_map(static fn (array $entry): array => [$entry[0], $entry[1]], $testimony->says->statesOver([$group]));
            }
        }

        return new FamilyModel(Shelf::catalogue(), new Hearing(Shelf::catalogue()), new YoungLaw(Shelf::catalogue(), [$group]), [$group], $animals, [], $priors, [], ErrorRates::assumed());
    }

    /**
     * @param list<string> $without
     * @return array<string, list<Rational>>
     */
    private static function marginals(FamilyModel $model, array $without): array
    {
        $variables = $model->variables($without);
        $domains = $model->domains();
        $sizes = array_map(static fn (string $id): int => count($domains[$id]), $variables);
        $factors = $model->factors($without);
        $of = (new Elimination($sizes, $factors, Order::of($sizes, array_map(static fn (Factor $factor): array => $factor->scope, $factors)), new Exact))->run()->of;

        return array_combine($variables, array_map(static fn (int $i): array => $of[$i], array_keys($variables)));
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
            $animals[$id] = new Individual($id, Sex::from($sex), null, null, [new \Destino\Inference\Testimony($id, Shelf::shelf()->reader()->read($genes, Sex::from($sex))->beliefOrFail(), \Destino\Inference\Source::Own, Rational::one(), false)]);
        }

        return $animals;
    }

    /**
     * @param list<array{string, string, string}> $founders id, sex, genes
     * @param list<array{string, string, string, string, string}> $young id, sex, sire, dam, genes
     */
    private static function kindred(array $founders, array $young): Kindred
    {
        return (new PedigreeReader(Shelf::shelf()))->read(['format' => PedigreeReader::FORMAT, 'animals' => [
            ...array_map(static fn (array $one): array => ['id' => $one[0], 'sex' => $one[1], 'stated' => $one[2]], $founders),
            ...array_map(static fn (array $one): array => ['id' => $one[0], 'sex' => $one[1], 'sire' => $one[2], 'dam' => $one[3], 'stated' => $one[4]], $young),
        ]]);
    }
}
