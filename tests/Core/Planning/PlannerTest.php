<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Destino\DestinoError;
use Destino\Documents\ProjectReader;
use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\Project;
use Destino\Planning\Plan;
use Destino\Planning\Planner;
use Destino\Planning\Play\Outcome;
use Destino\Planning\Policy\Policy;
use Destino\Planning\Policy\RouteKeeper;
use Destino\Planning\Search\PairFinder;
use Destino\Planning\Search\Route;
use Destino\Planning\Search\RouteStep;
use Destino\Planning\Weigh\Dilemma;
use Destino\Planning\Weigh\Influence;
use Destino\Planning\Weigh\KeepBack;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class PlannerTest extends TestCase
{
    /** P(a fertile egg hatches) with the default rates. */
    private const S = .92 * .92;

    /** @return iterable<string, array{array<string, mixed>, array<int, float>}> project, P by season */
    public static function closedForms(): iterable
    {
        $clutch = fn (float $p, float $lay = .7, int $eggs = 6): float => $lay * (1 - (1 - $p * self::S) ** $eggs);
        $waits = fn (float $h): array => [1 => $h, 2 => 1 - (1 - $h) ** 2, 3 => 1 - (1 - $h) ** 3];
        yield 'one cross, parents ready' => [
            self::document('Clown', [['male', 'het Clown'], ['female', 'het Clown']]), $waits($clutch(1 / 4)),
        ];
        yield 'a female that grows up first' => [
            self::document('Clown', [['male', 'het Clown'], ['female', 'het Clown', 18]]),
            [1 => 0.0, 2 => $clutch(1 / 4), 3 => 1 - (1 - $clutch(1 / 4)) ** 2],
        ];
        yield 'a light female waits a season' => [
            self::document('Clown', [['male', 'het Clown'], ['female', 'het Clown', 40, 1200]]), [1 => 0.0, 2 => $clutch(1 / 4)],
        ];
        yield 'an uncertain parent is one animal all along' => [
            self::document('Clown, male', [['male', '66% het Clown'], ['female', 'Clown']]),
            [1 => 2 / 3 * $clutch(1 / 4), 2 => 2 / 3 * (1 - (1 - $clutch(1 / 4)) ** 2), 3 => 2 / 3 * (1 - (1 - $clutch(1 / 4)) ** 3)],
        ];
        yield 'two females, one male' => [
            self::document('Clown', [['male', 'het Clown'], ['female', 'het Clown'], ['female', 'het Clown']]),
            [1 => 1 - (1 - $clutch(1 / 4)) ** 2],
        ];
        // A male maker's sons have it but for the 7 %; a daughter is wanted.
        yield 'a daughter of a male maker' => [
            self::document('Banana, female', [['male', 'Banana (male maker)'], ['female', 'Normal']]), $waits($clutch(.5 * .07)),
        ];
        yield 'five whole eggs, every season' => [
            self::document('Clown', [['male', 'het Clown'], ['female', 'het Clown']], ['lay_rate' => 1, 'clutch_mean' => 5]),
            $waits($clutch(1 / 4, 1, 5)),
        ];
        yield 'a hit that white hides counts as it hatches' => [
            self::document('Mojave/Lesser + Clown', [['male', 'Mojave het Clown'], ['female', 'Lesser Clown']]),
            $waits($clutch(1 / 8)),
        ];
        yield 'an egg of a form that dies is no hit' => [
            self::document('Spider + Clown, male', [['male', 'Spider het Clown'], ['female', 'Spider Clown']]),
            [1 => $clutch(1 / 8)],
        ];
        yield 'a dam of an allele at each place' => [
            self::document('Mojave, no Mystic', [['male', 'Normal'], ['female', 'Mojave/Mystic']]), $waits($clutch(1 / 2)),
        ];
        yield 'what is there already' => [self::document('Clown', [['male', 'Clown'], ['female', 'Normal']]), []];
    }

    /**
     * @param array<string, mixed> $document
     * @param array<int, float> $expected
     */
    #[DataProvider('closedForms')]
    public function testPlayedRoutesAgreeWithClosedForms(array $document, array $expected): void
    {
        if ($expected === []) {
            self::assertNotNull(self::plan($document, 50)->already);

            return;
        }
        $outcome = self::firstWay($document, 4000);
        foreach ($expected as $season => $chance) {
            // Five standard errors of 4,000 runs.
            self::assertEqualsWithDelta(
                $chance, $outcome->by($season), 5 * sqrt($chance * (1 - $chance) / 4000) + 1e-9, "season {$season}",
            );
        }
    }

    public function testTwoStepsAgreeWithTheExactChain(): void
    {
        // Clown × normal-looking unrelated: het sons breed from the second season after, back to the visual dam.
        $document = self::document('Clown, male', [['male', 'Normal'], ['female', 'Clown']], ['lay_rate' => 1]);
        $none = (1 - .5 * self::S) ** 6; // no son in the first clutch
        $hit = 1 - (1 - .25 * self::S) ** 6; // a visual son from het × visual
        $son = [1 => 1 - $none, 2 => $none * (1 - $none), 3 => $none ** 2 * (1 - $none)]; // season of the first son
        $by = fn (int $season): float => array_sum(
            array_map(
                fn (int $at, float $p): float => $season - $at < 2 ? 0.0 : $p * (1 - (1 - $hit) ** ($season - $at - 1)),
                array_keys($son), $son,
            ),
        );
        $outcome = self::firstWay($document, 4000);
        foreach ([1, 2, 3, 4, 5] as $season) {
            self::assertEqualsWithDelta(
                $by($season), $outcome->by($season), 5 * sqrt(max(1e-9, $by($season) * (1 - $by($season))) / 4000) + .002,
                "season {$season}",
            );
        }
        self::assertSame('1/4', self::plan($document, 50)->routes[0][0]->inbreeding->toString(), 'a son back to his dam');
    }

    public function testAHatchlingDoesNotBreedInTheSeasonAfter(): void
    {
        $outcome = self::firstWay(self::document('Clown, male', [['male', 'Normal'], ['female', 'Clown']], ['lay_rate' => 1]), 500);
        self::assertSame([0.0, 0.0], [$outcome->by(1), $outcome->by(2)]);
        self::assertGreaterThan(0.0, $outcome->by(3));
    }

    public function testTheSameSeedGivesTheSameAnswerAndRunsAddUp(): void
    {
        $planner = self::planner(self::document('Clown + Piebald', [['male', 'Clown het Piebald'], ['female', 'Piebald']]));
        $route = $planner->routes()[0];
        self::assertEquals($planner->play($route, 300, 7), $planner->play($route, 300, 7));
        $play = $planner->policy()->playing($route->purchases, new RouteKeeper($planner->policy()->law, $route));
        $whole = $planner->play($route, 300, 7);
        $parts = [$play->run(100, 7, 0), $play->run(200, 7, 100)];
        foreach ([3, 5, 8] as $season) {
            self::assertEqualsWithDelta($whole->by($season), ($parts[0]->by($season) * 100 + $parts[1]->by($season) * 200) / 300, 1e-12);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>}> */
    public static function helps(): iterable
    {
        yield 'more eggs' => [['clutch_mean' => 5], ['clutch_mean' => 8]];
        yield 'earlier maturity' => [['female_months' => 42], ['female_months' => 18]];
        yield 'females that lay more often' => [['lay_rate' => .5], ['lay_rate' => .9]];
        yield 'fewer infertile eggs' => [['infertile' => .3], ['infertile' => 0]];
    }

    /**
     * @param array<string, mixed> $less
     * @param array<string, mixed> $more
     */
    #[DataProvider('helps')]
    public function testWhatHelpsNeverHurts(array $less, array $more): void
    {
        $animals = [['male', 'Clown het Piebald'], ['female', 'Piebald'], ['female', 'het Clown']];
        [$worse, $better] = [
            self::firstWay(self::document('Clown + Piebald', $animals, $less), 1500),
            self::firstWay(self::document('Clown + Piebald', $animals, $more), 1500),
        ];
        foreach (range(1, 8) as $season) {
            self::assertGreaterThanOrEqual($worse->by($season) - .04, $better->by($season));
        }
        self::assertGreaterThan($worse->by(8), $better->by(8));
    }

    public function testAHiddenHetIsKeptByChanceAndNeverByGenotype(): void
    {
        // het × het without the visual: daughters are 66 % het to the keeper, who keeps several of them.
        $routes = self::planner(self::document('Clown + Pastel', [['male', 'het Clown'], ['female', 'Pastel het Clown']]))->routes();
        $route = $routes[0];
        $steps = array_merge(...array_map(static fn (Route $one): array => $one->steps, $routes));
        $hidden = array_values(array_filter($steps, static fn (RouteStep $step): bool => str_contains($step->genes, '66%')));
        self::assertNotSame([], $hidden);
        foreach ($hidden as $step) {
            self::assertGreaterThanOrEqual($step->sex === Sex::Female ? 3 : 2, $step->keep);
        }
        foreach ($steps as $step) {
            self::assertStringNotContainsString('100%', $step->genes);
        }
        self::assertSame('1/8', $route->steps[count($route->steps) - 1]->odds->toString());
    }

    /** @return iterable<string, array{string, list<string>}> target, genes of two males and two females */
    public static function twoLoci(): iterable
    {
        yield 'two recessives from hets' => ['Clown + Piebald', ['het Clown', 'Piebald', 'het Clown het Piebald', 'Piebald']];
        yield 'two recessives from visuals' => ['Clown + Piebald', ['Clown', 'het Clown het Piebald', 'Piebald', 'het Clown het Piebald']];
        yield 'a visual that is late' => ['Clown + Piebald', ['het Clown het Piebald', 'het Piebald', 'Clown', 'het Piebald']];
        yield 'carriers of one another' => ['Clown + Piebald', ['Clown het Piebald', 'Normal', 'Piebald het Clown', 'Normal']];
        yield 'two copies and a recessive' => ['Super Pastel + Clown', ['Pastel', 'het Clown', 'Pastel het Clown', 'Clown']];
        yield 'a compound of a complex' => ['Mojave/Mystic + Clown', ['Mojave', 'het Clown', 'Mystic het Clown', 'Normal']];
        yield 'two copies in a complex' => ['Super Mojave + Enchi', ['Mojave', 'Enchi', 'Mojave Enchi', 'Mystic']];
        yield 'a recessive series' => ['Albino/Candy + Pastel', ['het Albino', 'Pastel', 'Candy', 'het Candy Pastel']];
        yield 'uncertain hets' => ['Clown + Pastel', ['66% het Clown', 'Pastel', 'Clown', '50% het Clown Pastel']];
        yield 'a gene to be cleared' => ['Pastel, no Clown', ['Pastel Clown', 'het Clown', 'Normal', 'Clown']];
        yield 'linked to sex' => ['Banana + Clown, female', ['Banana (male maker)', 'het Clown', 'Clown', 'Banana']];
        yield 'forms that die' => ['Spider + Super Pastel', ['Spider Pastel', 'Pastel', 'Spider', 'Pastel']];
    }

    /** @param list<string> $genes */
    #[DataProvider('twoLoci')]
    public function testTheSearchFindsTheLeastOfAllTwoLocusWays(string $target, array $genes): void
    {
        // Against plain enumeration: every way of at most three generations, expected as the search counts.
        $planner = self::planner(
            self::document($target, [['male', $genes[0]], ['male', $genes[1]], ['female', $genes[2]], ['female', $genes[3], 18]]),
        );
        $routes = $planner->routes();
        self::assertNotSame([], $routes);
        self::assertEqualsWithDelta((new PlainSearch($planner->space()))->least(), $routes[0]->expected, 1e-9);
    }

    public function testRoutesDifferAndBuyingIsCompared(): void
    {
        $plan = self::plan(
            [
                'market' => [['genes' => 'Clown Piebald', 'sex' => 'female', 'age' => 40, 'price' => 2500]],
            ] + self::document('Clown + Piebald', [['male', 'het Clown het Piebald'], ['female', 'Piebald']]),
            400,
        );
        $shapes = array_map(static fn (array $pair): string => $pair[0]->shape(), $plan->routes);
        self::assertSame($shapes, array_unique($shapes));
        self::assertContains(0.0, array_map(static fn (array $pair): float => $pair[0]->cost(), $plan->routes), 'one way without buying');
        self::assertContains(2500.0, array_map(static fn (array $pair): float => $pair[0]->cost(), $plan->routes));
        $poor = self::plan(
            [
                'rules' => ['budget' => 2000],
                'market' => [['genes' => 'Clown Piebald', 'sex' => 'female', 'age' => 40, 'price' => 2500]],
            ] + self::document('Clown + Piebald', [['male', 'het Clown het Piebald'], ['female', 'Piebald']]),
            100,
        );
        self::assertSame([0.0], array_values(array_unique(array_map(static fn (array $pair): float => $pair[0]->cost(), $poor->routes))));
    }

    public function testSiblingsMakeTheTargetInbredAndALimitForbidsIt(): void
    {
        $document = self::document('Clown, female', [['male', 'Clown'], ['female', 'Normal']]);
        self::assertSame('1/4', self::plan($document, 50)->routes[0][0]->inbreeding->toString());
        // At 1/8 one may still breed back to the dam twice; at 1/16 nothing is left within the horizon.
        $limited = self::plan(['rules' => ['inbreeding' => '1/16']] + $document, 50);
        self::assertSame([[], true], [$limited->routes, str_contains((string) $limited->unreachable, 'limit of relatedness')]);
    }

    public function testABreedingPairTakesBothSexes(): void
    {
        $document = self::document('Clown', [['male', 'het Clown'], ['female', 'het Clown']], ['lay_rate' => 1]);
        $pair = self::firstWay(['rules' => ['wanted' => 'pair']] + $document, 4000);
        // One clutch of six: P(a son and a daughter) = 1 − 2·(1 − p/2)⁶ + (1 − p)⁶ with p the chance of a hit.
        $p = self::S / 4;
        $both = 1 - 2 * (1 - $p / 2) ** 6 + (1 - $p) ** 6;
        self::assertEqualsWithDelta($both, $pair->by(1), 5 * sqrt($both * (1 - $both) / 4000));
        self::assertGreaterThan($pair->by(3), self::firstWay($document, 1000)->by(3));
    }

    public function testWithoutATubNoYoungIsKept(): void
    {
        $document = self::document('Clown, male', [['male', 'Normal'], ['female', 'Clown']]);
        $outcome = self::plan(['rules' => ['tubs' => 0]] + $document, 200)->policy?->outcome;
        self::assertNotNull($outcome);
        self::assertSame([0.0, 0.0], [$outcome->by(8), $outcome->kept]);
        self::assertNotNull($outcome->risk());
    }

    /** @return iterable<string, array{string, list<array{string, string}>, string}> target, animals, odds of the first cross */
    public static function reverseGoals(): iterable
    {
        yield 'one gene out of a combination' => ['Clown, no Pastel', [['male', 'Pastel Clown'], ['female', 'Clown']], '1/2'];
        yield 'a gene cleared from a carrier' => ['Pastel, no Clown', [['male', 'Pastel het Clown'], ['female', 'Normal']], '1/4'];
        yield 'nothing but one gene shows' => ['only Mojave', [['male', 'Mojave Pastel'], ['female', 'Normal']], '1/4'];
        yield 'an allele out of a compound' => ['Mojave, no Mystic', [['male', 'Mojave/Mystic'], ['female', 'Normal']], '1/2'];
    }

    public function testTheLastCrossHasTheOddsOfTheWholeTarget(): void
    {
        // One copy or two will do: 3/4, and not the 1/2 of the commoner look.
        $route = self::plan(
            self::document('Enchi + Clown', [['male', 'Enchi het Clown'], ['female', 'Enchi het Clown']]), 50,
        )->routes[0][0];
        self::assertSame(['3/16', 'Enchi + Clown'], [$route->steps[0]->odds->toString(), $route->steps[0]->genes]);
        self::assertSame(
            Shelf::odds('Enchi het Clown', 'Enchi het Clown', 'Enchi + Clown')->chance->perEgg()->toString(),
            $route->steps[0]->odds->toString(),
        );
    }

    /** @param list<array{string, string}> $animals */
    #[DataProvider('reverseGoals')]
    public function testAGeneIsTakenOutAlone(string $target, array $animals, string $odds): void
    {
        $plan = self::plan(self::document($target, $animals), 50);
        self::assertCount(1, $plan->routes[0][0]->steps);
        self::assertSame($odds, $plan->routes[0][0]->steps[0]->odds->toString());
    }

    public function testMoneyAndYearsOfFood(): void
    {
        $document = ['market' => [['genes' => 'het Clown', 'sex' => 'female', 'age' => 40, 'price' => 300]]] + self::document(
            'Clown', [['male', 'het Clown']], ['lay_rate' => 1, 'clutch_mean' => 40, 'yearly_keep' => 50],
        );
        $outcome = self::firstWay($document, 20);
        // 300 for her, and two animals fed for the one season that forty eggs need.
        self::assertSame([300.0, 300 + 100.0, 300 + 100.0], [$outcome->moneyBySeason[0], $outcome->moneyBySeason[1], $outcome->money()]);
        self::assertSame(1.0, $outcome->by(1));
    }

    public function testQuarantineDelaysAndAShareOfFemalesMatters(): void
    {
        $project = self::project(self::document('Clown', [['male', 'het Clown'], ['female', 'het Clown']], ['lay_rate' => 1]));
        $held = array_map(
            static fn (\Destino\Planning\Given\Founder $one): \Destino\Planning\Given\Founder => new \Destino\Planning\Given\Founder(
                $one->id, $one->sex, $one->belief, $one->genes, $one->months, $one->grams, null, null, null,
                $one->id === 'A0' ? 3 : 1,
            ),
            $project->founders,
        );
        $outcome = (new Planner(Shelf::catalogue(), $project->withFounders($held)))->plan(200)->routes[0][1];
        self::assertSame([0.0, true], [$outcome->by(2), $outcome->by(3) > 0]);

        $daughters = self::firstWay(self::document('Clown, female', [['male', 'het Clown'], ['female', 'het Clown']], ['female_share' => .2]), 1500);
        $sons = self::firstWay(self::document('Clown, male', [['male', 'het Clown'], ['female', 'het Clown']], ['female_share' => .2]), 1500);
        self::assertGreaterThan($daughters->by(2), $sons->by(2));
    }

    public function testTheBandNarrowsWithTheSquareRootOfTheRuns(): void
    {
        $width = static function (int $runs): float {
            [$low, $high] = self::firstWay(self::document('Clown', [['male', 'het Clown'], ['female', 'het Clown']]), $runs)->band(2);

            return $high - $low;
        };
        self::assertEqualsWithDelta(2.0, $width(400) / $width(1600), .1);
    }

    public function testDilemmasInfluenceAndKeepingBackAreCompared(): void
    {
        $document = ['market' => [['genes' => 'Clown Piebald', 'sex' => 'female', 'age' => 40, 'price' => 300]]] + self::document(
            'Clown + Piebald', [['male', 'het Clown het Piebald'], ['female', 'het Clown 66% het Piebald']],
        );
        $project = self::project($document);
        $policy = new Policy(Shelf::catalogue(), $project, null, .25);
        $bought = array_values(array_filter($project->founders, static fn (Founder $founder): bool => $founder->isOffer()));
        $choices = Dilemma::of($policy, $bought, 200, 1);
        self::assertSame(
            ['as planned', 'without buying', 'only what is sure'],
            array_slice(array_map(static fn (Dilemma $one): string => $one->choice, $choices), 0, 3),
        );
        self::assertSame(
            $policy->outcome($bought, $choices[0]->outcome->runs ?? 0, 1)->reachedIn, $choices[0]->outcome?->reachedIn,
            'one figure for one thing',
        );
        self::assertGreaterThan($choices[1]->outcome?->by(2), $choices[0]->outcome?->by(2), 'the bought visual helps');
        $influence = Influence::of($policy, $bought, 100, 1);
        self::assertGreaterThanOrEqual($influence[count($influence) - 1]->swing(), $influence[0]->swing());
        $keep = KeepBack::of($policy, $bought, 100, 1);
        self::assertSame([2, 4, 6, 10], array_keys($keep->chances));
        self::assertGreaterThan($keep->chances[2] - .1, $keep->chances[10], 'more tubs do not hurt');
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function unreachable(): iterable
    {
        yield 'a gene that nobody has' => [self::document('Clown + Albino', [['male', 'Clown'], ['female', 'Clown']]), '“Albino”'];
        yield 'no female' => [self::document('Clown', [['male', 'het Clown'], ['male', 'het Clown']]), 'no female'];
        yield 'nobody' => [self::document('Clown', []), 'Nobody owned or offered'];
        yield 'too short a time' => [
            ['horizon' => 1] + self::document('Clown + Piebald', [['male', 'Clown'], ['female', 'Piebald']]), 'Within 1 seasons',
        ];
        yield 'a budget too small' => [
            [
                'rules' => ['budget' => 10], 'market' => [['genes' => 'Clown', 'sex' => 'female', 'price' => 400]],
            ] + self::document('Clown, female', [['male', 'Clown']]),
            'no female',
        ];
    }

    /** @param array<string, mixed> $document */
    #[DataProvider('unreachable')]
    public function testWhatCannotBeSaysWhy(array $document, string $why): void
    {
        $plan = self::plan($document, 50);
        if ($why === 'no female') {
            self::assertSame([], $plan->routes);
        }
        self::assertStringContainsString(
            $why === 'no female' && isset($document['market']) ? 'Within the budget' : $why, (string) $plan->unreachable,
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrongDocuments(): iterable
    {
        $right = self::document('Clown', [['male', 'Clown'], ['female', 'Clown']]);
        yield 'no format' => [['format' => 'else'] + $right, 'format'];
        yield 'an unknown assumption' => [['assumptions' => ['layrate' => 1]] + $right, '“layrate” is not an assumption'];
        yield 'an impossible rate' => [['assumptions' => ['lay_rate' => 1.5]] + $right, 'between 0 and 1'];
        yield 'a horizon in the past' => [['horizon' => 0] + $right, 'horizon'];
        yield 'a misspelt gene' => [['animals' => [['id' => 'A', 'sex' => 'male', 'genes' => 'Clwn']]] + $right, '“Clwn” is not a known gene'];
        yield 'two of one name' => [
            [
                'animals' => [['id' => 'A', 'sex' => 'male', 'genes' => 'Clown'], ['id' => 'A', 'sex' => 'male', 'genes' => 'Clown']],
            ] + $right,
            'called A',
        ];
        yield 'no sex' => [['animals' => [['id' => 'A', 'genes' => 'Clown']]] + $right, 'animals[0] wants “sex”'];
    }

    /** @param array<string, mixed> $document */
    #[DataProvider('wrongDocuments')]
    public function testAWrongDocumentIsNamed(array $document, string $message): void
    {
        try {
            self::planner($document);
            self::fail('It was accepted.');
        } catch (DestinoError $error) {
            self::assertStringContainsString($message, $error->getMessage());
        }
    }

    public function testTheFinderAgreesWithTheOddsOfEachPair(): void
    {
        $genes = ['Clown', 'het Clown', 'Pastel', 'Super Pastel het Clown', '66% het Clown', 'Pastel Clown', 'Normal', 'Banana'];
        $document = self::document(
            'Pastel Clown',
            array_map(
                static fn (string $text, int $i): array => [$i % 2 ? 'male' : 'female', $text],
                [...$genes, ...array_reverse($genes)], range(0, 15),
            ),
        );
        $planner = self::planner($document);
        $found = (new PairFinder($planner->space()))->best($planner->space()->project->founders, 100);
        self::assertNotSame([], $found);
        $last = null;
        foreach ($found as [$sire, $dam, $now, $next]) {
            self::assertSame(
                Shelf::odds($sire->genes, $dam->genes, 'Pastel Clown')->chance->perEgg()->toString(), $now->toString(),
                "{$sire->genes} × {$dam->genes}",
            );
            self::assertSame(
                Shelf::odds($sire->genes, $dam->genes, 'Pastel + carries Clown')->chance->perEgg()->toString(), $next->toString(),
            );
            self::assertTrue($last === null || $now->compareTo($last) <= 0, 'the best first');
            $last = $now;
        }
    }

    /**
     * @param list<array{0: string, 1: string, 2?: int, 3?: int}> $animals sex, genes, months, grams
     * @param array<string, mixed> $assumptions
     * @return array<string, mixed>
     */
    private static function document(string $target, array $animals, array $assumptions = []): array
    {
        return [
            'format' => ProjectReader::FORMAT, 'target' => $target, 'horizon' => 8,
            'animals' => array_map(
                static fn (array $animal, int $i): array => array_filter([
                    'id' => "A{$i}", 'sex' => $animal[0], 'genes' => $animal[1], 'age' => $animal[2] ?? 48,
                    'weight' => $animal[3] ?? null,
                ]),
                $animals, array_keys($animals),
            ),
            'assumptions' => $assumptions + ['clutch_sd' => 0],
        ];
    }

    public function testAPairIsThereOnlyWhereBothAre(): void
    {
        $pair = static fn (array $animals): Plan => self::planner(self::document('Clown', $animals) + ['rules' => ['wanted' => 'pair']])->plan(200);
        $one = $pair([['male', 'Clown'], ['female', 'het Clown']]);
        self::assertNull($one->already, 'a female is still wanted');
        self::assertGreaterThan(.9, $one->policy?->outcome->by(8));
        self::assertNotNull($pair([['male', 'Clown'], ['female', 'Clown']])->already);
        self::assertNull($pair([['male', 'Clown'], ['male', 'Clown'], ['female', 'het Clown']])->already, 'two males are no pair');
    }

    /** @param array<string, mixed> $document */
    private static function planner(array $document): Planner
    {
        return new Planner(Shelf::catalogue(), self::project($document), 0.1);
    }

    /** @param array<string, mixed> $document */
    private static function project(array $document): Project
    {
        return (new ProjectReader(Shelf::facts()))->read($document);
    }

    /** @param array<string, mixed> $document */
    private static function plan(array $document, int $runs): Plan
    {
        return self::planner($document)->plan($runs, 1);
    }

    /**
     * The way that is expected first, played.
     *
     * @param array<string, mixed> $document
     */
    private static function firstWay(array $document, int $runs): Outcome
    {
        $planner = self::planner($document);

        return $planner->play($planner->routes()[0], $runs, 1);
    }
}
