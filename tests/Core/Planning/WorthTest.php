<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Destino\Documents\ProjectReader;
use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\Project;
use Destino\Planning\Policy\Comparison;
use Destino\Planning\Policy\Policy;
use Destino\Planning\Weigh\KeepBack;
use Destino\Planning\Weigh\Worth;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class WorthTest extends TestCase
{
    public function testTheOnlyMaleIsWorthTheWholeChance(): void
    {
        $policy = new Policy(Shelf::catalogue(), self::project([['male', 'het Clown'], ['female', 'het Clown']]), null, .2);
        $chance = $policy->outcome([], 150, 1)->by(3);
        $worths = Worth::ofOwned($policy, [], 1);
        self::assertCount(2, $worths);
        foreach ($worths as $worth) {
            self::assertEqualsWithDelta($chance, $worth->gain, .12, 'without either nothing hatches');
            self::assertGreaterThan(0.0, $worth->sooner);
        }
    }

    public function testAnAnimalThatTheTargetDoesNotNeedIsWorthNothing(): void
    {
        $policy = new Policy(
            Shelf::catalogue(), self::project([['male', 'het Clown'], ['female', 'het Clown'], ['female', 'Pastel']]), null, .2,
        );
        $byId = [];
        foreach (Worth::ofOwned($policy, [], 1) as $worth) {
            $byId[$worth->founder->id] = $worth;
        }
        self::assertSame([0.0, 0.0], [$byId['a3']->gain, $byId['a3']->error], 'the same runs, event by event');
        self::assertSame([0.0, 0.0], [$byId['a3']->sooner, $byId['a3']->soonerError]);
    }

    public function testAVisualAddsMoreThanAHetAndAStrangerNothing(): void
    {
        $project = self::project([['male', 'het Clown'], ['female', 'het Clown']]);
        $more = [];
        foreach (['Clown', 'het Clown', 'Pastel'] as $genes) {
            $more[] = new Founder($genes, Sex::Female, Shelf::reader()->read($genes, Sex::Female)->beliefOrFail(), $genes);
        }
        $worths = Worth::ofMore(Shelf::catalogue(), $project, $more, 1, .5);
        self::assertSame(['Clown', 'het Clown', 'Pastel'], array_map(static fn (Worth $one): string => $one->founder->genes, $worths));
        self::assertGreaterThan(0.0, $worths[1]->gain);
        self::assertSame(0.0, $worths[2]->gain);
        self::assertSame(0.0, $worths[2]->sooner);
    }

    public function testInsistingOnAPairThatIsMadeAnywayChangesNothing(): void
    {
        $policy = new Policy(
            Shelf::catalogue(), self::project([['male', 'het Clown'], ['female', 'het Clown'], ['female', 'Pastel']]), null, .2,
        );
        self::assertSame([[0.0, 0.0], [0.0, 0.0]], $policy->gainOf('a1', 'a2', [], 100, 1));
    }

    public function testInsistingOnAWorsePairCostsChance(): void
    {
        // One male may serve one female: the stranger takes the season of the het.
        $project = self::project([['male', 'het Clown'], ['female', 'het Clown'], ['female', 'Pastel']], 1, ['females_per_male' => 1]);
        $policy = new Policy(Shelf::catalogue(), $project, null, .3);
        [[$gain, $error]] = $policy->gainOf('a1', 'a3', [], 200, 1);
        self::assertLessThan(-2 * $error, $gain);
    }

    public function testSeasonsThatNeverComeCountAsTheOneAfterTheHorizon(): void
    {
        // Three seasons and none: mean 1.5, deviation 1.5, error 1.5/√2.
        self::assertEqualsWithDelta([1.5, 1.5 / sqrt(2)], Comparison::sooner([2, 4], [null, 4], 4), 1e-12);
        self::assertEqualsWithDelta([0.5, 0.5 / sqrt(2)], Comparison::difference([2, 4], [null, 4]), 1e-12);
        self::assertSame([0.0, 0.0], Comparison::difference([1, null], [3, null]));
    }

    public function testTheFewestTubsThatComeWithinTwoInAHundredAreAdvised(): void
    {
        $advised = [];
        foreach ([4, 5] as $horizon) {
            $project = self::project([['male', 'Clown'], ['female', 'Piebald']], $horizon, target: 'Clown + Piebald');
            $tubs = KeepBack::of(new Policy(Shelf::catalogue(), $project, null, .2), [], 150, 1);
            $most = max($tubs->chances);
            $advised[$horizon] = [$tubs->advised, array_keys(array_filter($tubs->chances, static fn (float $one): bool => $one >= $most - .02))[0]];
            self::assertGreaterThan($most - .05, $tubs->chances[4], 'four come near in both');
            self::assertLessThan($most, $tubs->chances[4]);
        }
        self::assertSame([4 => [10, 10], 5 => [4, 4]], $advised);
    }

    /**
     * @param list<array{string, string}> $animals
     * @param array<string, int|float> $assumptions
     */
    private static function project(array $animals, int $horizon = 3, array $assumptions = [], string $target = 'Clown'): Project
    {
        return (new ProjectReader(Shelf::facts()))->read([
            'format' => 'destino-project/1', 'target' => $target, 'horizon' => $horizon,
            'animals' => array_map(static fn (array $one, int $i): array => [
                'id' => 'a'.($i + 1), 'sex' => $one[0], 'genes' => $one[1], 'age' => 60, 'weight' => 2000,
            ], $animals, array_keys($animals)),
        ] + ($assumptions === [] ? [] : ['assumptions' => $assumptions]));
    }
}
