<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Destino\Documents\ProjectReader;
use Destino\Planning\Given\Project;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Planner;
use Destino\Planning\Play\Outcome;
use Destino\Planning\Policy\BuildUp;
use Destino\Planning\Policy\Holding;
use Destino\Planning\Policy\Keeper;
use Destino\Planning\Policy\Law;
use Destino\Planning\Policy\LookAhead;
use Destino\Planning\Policy\Mating;
use Destino\Planning\Policy\Play;
use Destino\Planning\Policy\Policy;
use Destino\Planning\Policy\Proof;
use Destino\Planning\Policy\Situation;
use Destino\Planning\Policy\Streams;
use Destino\Planning\Policy\Young;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class PolicyTest extends TestCase
{
    private const RUNS = 3000;

    /**
     * @param list<int> $wanted
     * @param list<array{bool, list<int>, int}> $animals
     * @param array<string, mixed> $rules
     */
    #[DataProviderExternal(SmallProjects::class, 'small')]
    public function testThePolicyIsAsGoodAsTheBestPlayAndNeverBetter(array $wanted, array $animals, array $rules): void
    {
        $best = ExactPlay::of($wanted, $animals, $rules);
        $law = new Law(new Space(Shelf::catalogue(), SmallProjects::of($wanted, $animals, $rules)));
        $reached = max(array_map(
            static fn (Keeper $keeper): float => (new Play($law, $keeper))->run(self::RUNS, 1)->by($rules['horizon']),
            [new LookAhead($law), new BuildUp($law)], // whoever does better is asked
        ));
        $error = sqrt($best * (1 - $best) / self::RUNS);
        self::assertLessThanOrEqual($best + 3.5 * $error, $reached, 'above it means that it peeks');
        self::assertGreaterThanOrEqual($best - .03 - 3.5 * $error, $reached, "the best play reaches {$best}");
    }

    public function testTheSameSeedGivesTheSameRunsHoweverTheyAreSharedOut(): void
    {
        $law = static fn (): Law => new Law(
            new Space(Shelf::catalogue(), self::read('Clown + Piebald', [['male', 'Clown'], ['female', 'Piebald']])),
        );
        $play = static fn (Law $law): Play => new Play($law, new LookAhead($law));
        $whole = $play($law())->run(60, 5);
        [$first, $rest] = [$play($law())->run(20, 5), $play($law())->run(40, 5, 20)];
        for ($season = 1; $season <= 8; $season++) {
            self::assertEqualsWithDelta($whole->by($season) * 60, $first->by($season) * 20 + $rest->by($season) * 40, 1e-9);
        }
        self::assertNotSame($whole->reachedIn, $play($law())->run(60, 6)->reachedIn);
    }

    public function testAChangeElsewhereMovesNothingHere(): void
    {
        // A female that no way to the target needs: every run is as it was.
        $animals = [['male', 'het Clown'], ['female', 'het Clown']];
        $outcome = static fn (array $with): array => (
            new Policy(Shelf::catalogue(), self::read('Clown', $with, 1))
        )->outcome([], 300, 3)->reachedIn;
        self::assertSame($outcome($animals), $outcome([...$animals, ['female', 'Pastel']]));
    }

    public function testMalformedYoungOfAPairDoNotCountAndAreNotKept(): void
    {
        $assumptions = ['lay_rate' => .8, 'clutch_mean' => 4, 'clutch_sd' => 0, 'infertile' => 0, 'hatch' => 1];
        $chance = static function (float $share, int $horizon, array $animals) use ($assumptions): float {
            $sound = array_map(static fn (string $dam): array => ['sire' => 'A0', 'dam' => $dam, 'share' => $share], ['A1']);

            return (new Policy(Shelf::catalogue(), self::read(
                'Clown', $animals, $horizon, ['assumptions' => $assumptions, 'rules' => ['sound' => $share < 1 ? $sound : []]],
            )))->outcome([], 6000, 5)->by($horizon);
        };
        $hets = [['male', 'het Clown'], ['female', 'het Clown']];
        $shares = [1.0, .5, .2];
        foreach ($shares as $share) { // by hand: four eggs, each 1/4 and sound
            self::assertEqualsWithDelta(.8 * (1 - (1 - $share / 4) ** 4), $chance($share, 1, $hets), .02, "share {$share}");
        }
        // Young that are kept are fewer too: daughters who carry it go back to their sire.
        $far = [['male', 'het Clown'], ['female', 'Normal']];
        self::assertGreaterThan($chance(.05, 5, $far) + .2, $chance(1.0, 5, $far));
        // A way that is played out knows it too.
        $planner = new Planner(Shelf::catalogue(), self::read('Clown', $hets, 1, [
            'assumptions' => $assumptions, 'rules' => ['sound' => [['sire' => 'A0', 'dam' => 'A1', 'share' => .5]]],
        ]));
        self::assertEqualsWithDelta(
            .8 * (1 - (1 - .5 / 4) ** 4), $planner->play($planner->routes()[0], 6000, 5)->by(1), .02, 'the way',
        );
        // Another male of the same genes is taken instead of one whose young with her were malformed.
        $project = self::read('Clown', [['male', 'het Clown'], ['female', 'het Clown'], ['male', 'het Clown']], 2, [
            'assumptions' => $assumptions, 'rules' => ['sound' => [['sire' => 'A0', 'dam' => 'A1', 'share' => .5]]],
        ]);
        $law = new Law(new Space(Shelf::catalogue(), $project));
        $start = (new Play($law, $keeper = new LookAhead($law)))->start();
        self::assertSame('A2', $keeper->mate(new Situation(1, $start, ['male' => 0, 'female' => 0]))[0][0]->id);
    }

    public function testSoManyAreKeptAsTheProjectSays(): void
    {
        $project = self::read('Clown', [['male', 'het Clown'], ['female', 'Normal']], 5);
        $kept = static function (array $keep, ?int $tubs = null) use ($project): array {
            $own = new Project($project->target, $project->founders, $project->assumptions, 5, tubs: $tubs, keep: $keep);
            $law = new Law($space = new Space(Shelf::catalogue(), $own));
            $looks = $space->groups[0]->cross(...array_map(static fn ($one): int => $space->looksOf($one)[0], $own->founders));
            $type = $law->types->young([$looks[0][0]], false);
            $young = array_map(static fn (int $i): Holding => new Holding("young {$i}", $type, false, 4, true), range(1, 9));
            $start = (new Play($law, $keeper = new LookAhead($law)))->start();
            $one = $keeper->keep(new Situation(1, $start, ['male' => 0, 'female' => 0]), array_slice($young, 0, 5));
            $both = $keeper->keep(new Situation(2, [...$start, ...$one], ['male' => 0, 'female' => 0]), array_slice($young, 5));

            return [count($one), count($both)];
        };
        self::assertSame([2, 2], $kept(['female 50% het Clown' => 2]), 'two, and none of the next clutch');
        self::assertSame([5, 7], $kept(['50% het Clown' => 7]), 'as they hatch');
        self::assertSame([5, 6], $kept(['female 50% het Clown' => 7], 6), 'no more than there are tubs');
        self::assertSame($kept([]), $kept(['male 50% het Clown' => 1]), 'of others nothing is said');
        // What is kept moves the chance.
        $chance = static fn (array $keep): float => (new Policy(Shelf::catalogue(), new Project(
            $project->target, $project->founders, $project->assumptions, 5, keep: $keep,
        )))->outcome([], 1500, 3)->by(5);
        self::assertGreaterThan($chance(['female 50% het Clown' => 1]) + .1, $chance([]));
    }

    public function testAnEventHasAStreamOfItsOwn(): void
    {
        $one = new Streams(1, 7);
        self::assertSame($one->number('clutch 1 A'), (new Streams(1, 7))->number('clutch 1 A'));
        $numbers = [];
        foreach (range(1, 4000) as $i) {
            $numbers[] = $one->number("event {$i}");
        }
        self::assertCount(4000, array_unique($numbers));
        self::assertGreaterThanOrEqual(0.0, min($numbers));
        self::assertLessThan(1.0, max($numbers));
        self::assertEqualsWithDelta(.5, array_sum($numbers) / 4000, .03);
    }

    public function testYoungAreNamedAfterTheirParents(): void
    {
        $name = Young::name('A', Young::name('B', 'C', 2, 5), 4, 1);
        self::assertSame(['A', '(B×C:2.5)'], Young::parentsOf($name));
        self::assertSame(['B', 'C'], Young::parentsOf('(B×C:2.5)'));
        self::assertSame([null, null], Young::parentsOf('A'));
    }

    public function testYoungSpeakOfTheirParents(): void
    {
        // 66 % het × Clown: five normal-looking young leave 2/3·1/32 against 1/3, one in seventeen; one visual proves him.
        $law = new Law(new Space(Shelf::catalogue(), self::read('Clown', [['male', '66% het Clown'], ['female', 'Clown']])));
        $space = $law->space;
        [$sire, $dam] = array_map($space->looksOf(...), $space->project->founders);
        $table = $space->groups[0];
        [$normal, $visual] = [$table->seenOfLook($sire[0]), $table->seenOfLook($dam[0])];
        $proof = new Proof($space);
        $carries = static fn (array $looks): float => 1 - (
            $table->book->looks[$looks[0]][self::wild($space)] ?? \Destino\Probability\Rational::zero()
        )->toFloat();
        self::assertEqualsWithDelta(1 / 17, $carries($proof->after($sire, $dam, array_fill(0, 5, [$normal]))[0]), 1 / 48);
        self::assertEqualsWithDelta(1.0, $carries($proof->after($sire, $dam, [[$normal], [$visual]])[0]), 1e-9);
        self::assertSame([$sire, $dam], $proof->after($sire, $dam, [[null]]), 'what is hidden says nothing');
    }

    public function testAnAnimalThatDisappointedIsPassedOver(): void
    {
        // Two sons, one after a large clutch without a visual: the other is used.
        $law = new Law(new Space(Shelf::catalogue(), self::read('Clown', [['male', '66% het Clown'], ['female', 'Clown']], 5)));
        $space = $law->space;
        $looks = array_map($space->looksOf(...), $space->project->founders);
        $normal = [$space->groups[0]->seenOfLook($looks[0][0])];
        $after = (new Proof($space))->after($looks[0], $looks[1], array_fill(0, 7, $normal))[0];
        $males = [
            new Holding('tried', $law->types->of($after, true), true, 1, false),
            new Holding('fresh', $law->types->of($looks[0], true), true, 1, false),
        ];
        $female = new Holding('dam', $law->types->of($looks[1], false), false, 1, false);
        $mated = (new LookAhead($law))->mate(new Situation(1, [...$males, $female], ['male' => 0, 'female' => 0]));
        self::assertSame([['fresh', 'dam']], array_map(static fn (array $pair): array => [$pair[0]->id, $pair[1]->id], $mated));
    }

    public function testMalesAlikeShareTheFemalesAndServeNoMoreThanTheyCan(): void
    {
        $law = new Law(
            new Space(
                Shelf::catalogue(),
                self::read(
                    'Clown', [['male', '66% het Clown'], ['male', '66% het Clown'], ['female', 'Clown']], 4,
                    ['assumptions' => ['females_per_male' => 2]],
                ),
            ),
        );
        $looks = array_map($law->space->looksOf(...), $law->space->project->founders);
        $animals = [];
        foreach (['a', 'b'] as $name) {
            $animals[] = new Holding($name, $law->types->of($looks[0], true), true, 1, false);
        }
        foreach (range(1, 5) as $i) {
            $animals[] = new Holding("dam {$i}", $law->types->of($looks[2], false), false, 1, false);
        }
        $mated = (new LookAhead($law))->mate(new Situation(1, $animals, ['male' => 0, 'female' => 0]));
        self::assertSame(['a' => 2, 'b' => 2], array_count_values(array_map(static fn (array $pair): string => $pair[0]->id, $mated)));
        self::assertCount(4, array_unique(array_map(static fn (array $pair): string => $pair[1]->id, $mated)));
    }

    public function testWhatAKeeperHasNeverMakesItWorse(): void
    {
        $chance = static fn (array $animals, array $extra = []): float => (
            new Policy(Shelf::catalogue(), self::read('Clown + Pastel', $animals, 5, $extra))
        )->outcome([], 500, 2)->by(5);
        $few = [['male', 'Pastel het Clown'], ['female', 'het Clown']];
        $base = $chance($few);
        $error = 3 * sqrt(.25 / 500);
        self::assertGreaterThan($base - $error, $chance([...$few, ['female', 'Clown']]), 'one more female');
        self::assertGreaterThan($base - $error, $chance($few, ['assumptions' => ['clutch_mean' => 8]]), 'more eggs');
        self::assertGreaterThan($base - $error, $chance($few, ['assumptions' => ['female_months' => 18]]), 'earlier maturity');
        self::assertLessThan($base + $error, $chance($few, ['rules' => ['tubs' => 1]]), 'fewer tubs');
    }

    public function testItBuysWhatBringsTheTargetAndNothingElse(): void
    {
        $market = static fn (int $price): array => ['market' => [
            ['genes' => 'Clown', 'sex' => 'female', 'age' => 40, 'price' => $price],
            ['genes' => 'Enchi', 'sex' => 'female', 'age' => 40, 'price' => 50],
        ], 'rules' => ['budget' => 500]];
        $answer = (
            new Policy(Shelf::catalogue(), self::read('Clown', [['male', 'het Clown'], ['female', 'Normal']], 3, $market(400)))
        )->answer(300, 1);
        self::assertSame(['Clown'], array_map(static fn ($founder): string => $founder->genes, $answer->bought));
        self::assertContains(
            'female Clown',
            array_map(
                static fn (Mating $one): string => str_contains($one->dam, 'market[0]') ? 'female Clown' : $one->dam, $answer->matings,
            ),
        );
        self::assertSame(
            [],
            (
                new Policy(Shelf::catalogue(), self::read('Clown', [['male', 'het Clown'], ['female', 'het Clown']], 6, $market(900)))
            )->answer(300, 1)->bought,
            'beyond the budget, or of no use',
        );
    }

    public function testWhatIsLackingIsBoughtInALaterSeason(): void
    {
        $offer = ['genes' => 'Clown', 'sex' => 'female', 'age' => 40, 'price' => 100];
        $policy = static fn (array $animals, int $budget): Policy => new Policy(
            Shelf::catalogue(), self::read('Clown + Pastel', $animals, 4, [
                'market' => [$offer], 'rules' => ['budget' => $budget], 'assumptions' => ['yearly_keep' => 0],
            ]),
        );
        $played = static fn (Policy $of, array $later): Outcome => $of->playing([], new BuildUp($of->law), $later)->run(60, 1);
        $lacking = $policy([['male', 'Pastel het Clown'], ['female', 'Normal']], 100);
        $waited = $played($lacking, ['offer market[0]']);
        self::assertSame($played($lacking, [])->by(1), $waited->by(1), 'not before the first pairing');
        self::assertGreaterThan($played($lacking, [])->by(2) + .5, $waited->by(2), 'a season later she is there');
        self::assertEqualsWithDelta(100 * (1 - $waited->by(1)), $waited->money(), 1e-9, 'paid once');
        $has = $policy([['male', 'Pastel het Clown'], ['female', 'Clown']], 100);
        self::assertEquals($played($has, []), $played($has, ['offer market[0]']), 'as near is there already');
        $poor = $policy([['male', 'Pastel het Clown'], ['female', 'Normal']], 99);
        self::assertEquals($played($poor, []), $played($poor, ['offer market[0]']), 'beyond the budget');
    }

    /** The same runs: what comes later helps later, and never more. */
    public function testAnOfferHelpsFromTheSeasonInWhichItIsToBeHad(): void
    {
        $outcome = static function (?int $from): array {
            $market = $from === null ? [] : ['market' => [['genes' => 'Clown', 'sex' => 'female', 'age' => 40, 'price' => 10, 'from_season' => $from]]];
            $policy = new Policy(Shelf::catalogue(), self::read('Clown', [['male', 'het Clown'], ['female', 'Normal']], 5, $market));
            $answer = $policy->answer(400, 3);

            return array_map(static fn (int $season): float => $answer->outcome->by($season), range(1, 5));
        };
        [$never, $late, $early] = [$outcome(null), $outcome(3), $outcome(1)];
        self::assertSame(0.0, $never[0] + $late[0]);
        self::assertGreaterThan(.5, $early[0]);
        self::assertGreaterThan($never[2] + .4, $late[2], 'from the third season on she is there');
        self::assertGreaterThanOrEqual($late[4], $early[4] + .02);
    }

    public function testTheWorthOfAMatingIsWhatIsLostWithoutIt(): void
    {
        $answer = (
            new Policy(Shelf::catalogue(), self::read('Clown', [['male', 'het Clown'], ['female', 'het Clown'], ['female', 'Normal']], 1))
        )->answer(2000, 1);
        self::assertCount(1, $answer->matings, 'the normal female can give nothing in time');
        self::assertEqualsWithDelta($answer->outcome->by(1), $answer->matings[0]->worth, 1e-9, 'without it there is nothing');
    }

    public function testSomethingIsUnreachableOnlyWhereNoSeasonIsLateEnough(): void
    {
        $plan = static fn (int $horizon): \Destino\Planning\Plan => (
            new Planner(Shelf::catalogue(), self::read('Clown + Piebald', [['male', 'Clown'], ['female', 'Piebald']], $horizon))
        )->plan(60, 1);
        self::assertStringContainsString('4 are the fewest', (string) $plan(3)->unreachable);
        self::assertNull($plan(3)->policy);
        $possible = $plan(4);
        self::assertNull($possible->unreachable, 'a small chance is a small chance');
        self::assertNotNull($possible->policy);
    }

    public function testAnotherKeeperDoesWorse(): void
    {
        $law = new Law(new Space(Shelf::catalogue(), self::read('Clown + Piebald', [['male', 'Clown'], ['female', 'Piebald']])));
        $good = new LookAhead($law);
        $careless = new class ($good) implements Keeper {
            public function __construct(private readonly Keeper $keeper) {}

            public function mate(Situation $situation): array
            {
                return $this->keeper->mate($situation);
            }

            public function keep(Situation $situation, array $young): array
            {
                return []; // lets every young go
            }
        };
        self::assertSame(0.0, (new Play($law, $careless))->run(100, 1)->by(8));
        self::assertGreaterThan(.9, (new Play($law, $good))->run(100, 1)->by(8));
    }

    private static function wild(Space $space): int
    {
        return $space->groups[0]->book->number(new \Destino\Genome\Diplotype(['+'], ['+']));
    }

    /**
     * @param list<array{string, string}> $animals sex, genes
     * @param array<string, mixed> $extra
     */
    private static function read(string $target, array $animals, int $horizon = 8, array $extra = []): Project
    {
        return (new ProjectReader(Shelf::facts()))->read(['format' => 'destino-project/1', 'target' => $target, 'horizon' => $horizon, 'animals' => array_map(
            static fn (int $i, array $animal): array => [
                'id' => "A{$i}", 'sex' => $animal[0], 'genes' => $animal[1], 'age' => 48,
            ], array_keys($animals), $animals,
        )] + $extra);
    }
}
