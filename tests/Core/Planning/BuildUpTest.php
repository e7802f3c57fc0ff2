<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Destino\Documents\ProjectReader;
use Destino\Planning\Given\Aim;
use Destino\Planning\Given\Project;
use Destino\Planning\Planner;
use Destino\Planning\Policy\Answer;
use Destino\Planning\Policy\Beginning;
use Destino\Planning\Policy\BuildUp;
use Destino\Planning\Policy\Effort;
use Destino\Planning\Policy\Holding;
use Destino\Planning\Policy\Keeper;
use Destino\Planning\Policy\Kinship;
use Destino\Planning\Policy\Law;
use Destino\Planning\Policy\LookAhead;
use Destino\Planning\Policy\Otherwise;
use Destino\Planning\Policy\Policy;
use Destino\Planning\Policy\Situation;
use Destino\Planning\Policy\Young;
use Destino\Planning\Weigh\KeepBack;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Shelf;

/** Ordinary collections and long ways: where joining what is wanted step by step has a chance, the answer has it too. */
final class BuildUpTest extends TestCase
{
    public function testThirtyAnimalsAndFourGenesHaveAPlan(): void
    {
        $males = ['visual Clown', 'visual Piebald', 'Pastel', 'Enchi', 'het Clown', 'Normal', 'Mojave', 'Pastel', 'het Piebald', 'Yellow Belly'];
        $females = [
            'visual Clown', 'visual Piebald', 'Pastel Enchi', 'het Clown', 'het Clown', 'het Piebald', 'Pastel', 'Pastel', 'Enchi', 'Normal', 'Normal',
            'Mojave', 'Fire', 'Pastel het Clown', 'Enchi', 'Spider', 'Normal', 'Yellow Belly', 'het Piebald', 'Pinstripe',
        ];
        $policy = self::policy('Clown + Piebald + Pastel + Enchi', $males, $females, 10, 12);
        self::assertSame(5, $policy->leastSeasons(10));
        $answer = $policy->answer(60, 7);
        self::assertTrue($policy->first()->buildsUp);
        self::assertGreaterThan(.5, $answer->outcome->by(10));
        self::assertNotSame([], $answer->matings);
        self::assertNotSame([], array_filter($answer->keep, static fn ($one): bool => $one->isKept));
        $first = $policy->answer(60, 7, quick: true);
        self::assertGreaterThan(.3, $first->outcome->by(10), 'the first answer gives up as little');
    }

    public function testDrawnCollectionsHaveAtLeastTheChanceOfAPlainKeeper(): void
    {
        $chance = new Randomizer(new Mt19937(8));
        $long = 0;
        for ($i = 0; $i < 7; $i++) {
            [$target, $males, $females, $horizon] = self::drawn($chance);
            $policy = self::policy($target, $males, $females, $horizon, 10, .1);
            $plain = $policy->playing([], self::plain($policy->law))->seasons(40, 3);
            $reached = count(array_filter($plain, is_int(...))) / 40;
            if ($reached > 0.0) {
                self::assertNotNull($policy->leastSeasons($horizon), "{$target}: what was reached is not called impossible");
            }
            $outcome = $policy->answer(60, 11)->outcome;
            $error = sqrt(max(.02, $reached * (1 - $reached)) * (1 / 40 + 1 / $outcome->runs));
            self::assertGreaterThan($reached - 2.5 * $error, $outcome->by($horizon), "{$target} with ".count([...$males, ...$females])." animals, {$outcome->runs} runs");
            $long += $reached > 0.0 && $reached < 1.0 ? 1 : 0;
        }
        self::assertGreaterThan(1, $long, 'some are neither sure nor hopeless');
    }

    public function testWhoBuildsUpKeepsToTheLimits(): void
    {
        $policy = self::policy('Clown + Pastel', ['het Clown', 'Pastel'], ['Pastel het Clown', 'het Clown', 'Normal'], 6, 4);
        $keeper = new BuildUp($policy->law);
        $start = new Situation(1, $policy->playing([])->start(), ['male' => 0, 'female' => 0]);
        $pairs = $keeper->mate($start);
        self::assertSame(['A0 A2'], array_slice(array_map(static fn (array $pair): string => "{$pair[0]->id} {$pair[1]->id}", $pairs), 0, 1), 'a hit before all');
        self::assertSame(count($pairs), count(array_unique(array_map(static fn (array $pair): string => $pair[1]->id, $pairs))), 'a female once a season');
        $young = [];
        foreach ([true, false] as $isMale) {
            foreach ($policy->law->types->pair($pairs[0][0]->type, $pairs[0][1]->type)->children as $type => $p) {
                if ($policy->law->types->isMale($type) === $isMale) {
                    $young[] = new Holding("y{$type}", $type, $isMale, 3, true);
                }
            }
        }
        $kept = $keeper->keep($start, $young);
        self::assertCount(4, $kept);
        self::assertCount(2, array_unique(array_map(static fn (Holding $one): bool => $one->isMale, $kept)), 'somebody of each sex');
        self::assertSame([], $keeper->keep($start, [new Holding('late', $young[0]->type, true, 7, true)]), 'what cannot breed in time is not kept');
    }

    public function testHowAnAnswerIsPlayedIsStoredAndReadAgain(): void
    {
        $beginning = new Beginning([['A0', 'A2']], true, new Effort(4, 2));
        self::assertEquals($beginning, Beginning::fromArray($beginning->toArray()));
        self::assertEquals(new Beginning([['A0', 'A2']]), Beginning::fromArray([['A0', 'A2']]), 'as plans of before have it');
    }

    public function testWhatTheKeeperMeansToGiveIsGiven(): void
    {
        $answer = static function (Aim $aim): Answer {
            $project = self::policy('Clown + Pastel', ['het Clown', 'Pastel'], ['Pastel het Clown', 'het Clown', 'Normal'], 6, 8)->law->space->project;
            $with = new Project(
                $project->target, $project->founders, $project->assumptions, $project->horizon, null, $project->tubs, aim: $aim,
            );

            return (new Policy(Shelf::catalogue(), $with, null, .1))->answer(200, 1);
        };
        [$little, $much] = [$answer(new Aim(false, 1, 1)), $answer(new Aim(false, 5, 3))];
        self::assertEquals([new Effort(1, 1), new Effort(5, 3)], [$little->effort, $much->effort]);
        self::assertGreaterThan($little->outcome->kept, $much->outcome->kept);
        self::assertGreaterThan($little->outcome->by(3), $much->outcome->by(3), 'who gives more has it sooner');
        self::assertSame([8, 3, 5], [(new Aim)->within(8), (new Aim(false, 3))->within(8), (new Aim(false, 9))->within(5)]);
    }

    public function testAsLittleIsGivenAsComesNearlyAsFar(): void
    {
        $policy = self::policy('Clown + Piebald', ['Clown', 'Piebald'], ['Piebald', 'Piebald', 'Clown', 'het Clown', 'Normal', 'Normal'], 8, 20, .5);
        $answer = $policy->answer(300, 3);
        $given = $policy->first();
        self::assertTrue($given->buildsUp);
        self::assertEquals($given->effort, $answer->effort);
        self::assertNotNull($given->effort->tubs, 'not all that could be kept');
        $all = $policy->beginning($given->giving(new Effort))->outcome([], 300, 3);
        self::assertGreaterThan($all->by(8) - .04, $answer->outcome->by(8));
        self::assertLessThan($all->kept, $answer->outcome->kept);
        self::assertLessThan($all->eggs, $answer->outcome->eggs);
    }

    public function testMoreAndLessEffortAreComparedWithTheFigureOfTheAnswer(): void
    {
        $policy = self::policy('Clown', ['het Clown'], ['het Clown', 'Normal', 'Normal'], 5, 6, .5);
        $outcome = $policy->beginning(new Beginning([], true, new Effort(3, 2)))->outcome([], 100, 1);
        $keep = KeepBack::of($policy, [], 100, 1, $outcome);
        self::assertSame([2, 3, 4, 6], array_keys($keep->chances), 'no more than the project allows');
        self::assertSame([1, 2, 3, 4, 6], array_keys($keep->clutches));
        self::assertSame([$outcome->by(5), $outcome->by(5), 3], [$keep->chances[3], $keep->clutches[2], $keep->advised]);
        self::assertGreaterThan($keep->clutches[1] - .1, $keep->clutches[3]);
    }

    public function testWhereAPairIsLeftOutTheNextTakesItsPlace(): void
    {
        $policy = self::policy('Clown', ['het Clown'], ['het Clown', 'het Clown', 'Normal'], 5, 6);
        $start = new Situation(1, $policy->playing([])->start(), ['male' => 0, 'female' => 0]);
        $keeper = new BuildUp($policy->law, new Effort(null, 1));
        $mated = static fn (Keeper $one, Situation $now): array => array_map(static fn (array $pair): string => "{$pair[0]->id} {$pair[1]->id}", $one->mate($now));
        self::assertSame(['A0 A1'], $mated($keeper, $start));
        self::assertSame(['A0 A2'], $mated(new Otherwise($keeper, 'A0', 'A1'), $start));
        self::assertSame(['A0 A1'], $mated(new Otherwise($keeper, 'A0', 'A1'), new Situation(2, $start->animals, $start->found)), 'this season only');
    }

    public function testYoungAreValuedWithTheMatesThatStay(): void
    {
        // One tub: a daughter can go back to her sire, a son would have nobody who carries it.
        $policy = self::policy('Super Pastel', ['Pastel'], ['Normal'], 6, 1);
        $start = new Situation(1, $policy->playing([])->start(), ['male' => 0, 'female' => 0]);
        $young = [];
        foreach ($policy->law->types->pair($start->animals[0]->type, $start->animals[1]->type)->children as $type => $p) {
            $young[] = new Holding("y{$type}", $type, $policy->law->types->isMale($type), 3, true);
        }
        usort($young, static fn (Holding $a, Holding $b): int => $b->isMale <=> $a->isMale);
        self::assertFalse((new BuildUp($policy->law))->keep($start, $young)[0]->isMale);
    }

    public function testWhereRelativesMayNotBePairedYoungOfTwoLittersAreKept(): void
    {
        $policy = self::policy('Clown + Piebald', ['Clown', 'Piebald'], ['Piebald', 'Clown'], 8, 4, .1, ['inbreeding' => '0']);
        $start = new Situation(1, $policy->playing([])->start(), ['male' => 0, 'female' => 0]);
        $young = [];
        foreach ([['A0', 'A2'], ['A1', 'A3']] as [$sire, $dam]) {
            [$male, $female] = [self::of($start, $sire), self::of($start, $dam)];
            foreach ($policy->law->types->pair($male->type, $female->type)->children as $type => $p) {
                foreach (range(0, 2) as $place) {
                    $id = Young::name($sire, $dam, 1, 10 * $type + $place);
                    $young[] = new Holding($id, $type, $policy->law->types->isMale($type), 3, true, [], [$sire, $dam]);
                }
            }
        }
        $kept = (new BuildUp($policy->law, new Effort(2)))->keep($start, $young);
        self::assertCount(2, $kept);
        self::assertNotSame($kept[0]->parents, $kept[1]->parents);
        self::assertNotSame($kept[0]->isMale, $kept[1]->isMale);
        self::assertFalse($policy->law->kinship->isTooClose(...($kept[0]->isMale ? $kept : array_reverse($kept))));
        // By hand: full siblings are too close at a limit of 0, whichever of the litter they are.
        $litter = array_values(array_filter($young, static fn (Holding $one): bool => $one->parents === ['A0', 'A2']));
        $sons = array_values(array_filter($litter, static fn (Holding $one): bool => $one->isMale));
        $daughters = array_values(array_filter($litter, static fn (Holding $one): bool => ! $one->isMale));
        foreach ($daughters as $daughter) {
            self::assertTrue($policy->law->kinship->isTooClose($sons[0], $daughter));
        }
        self::assertGreaterThan(.5, $policy->playing([], new BuildUp($policy->law))->run(150, 2)->by(8), 'it was .2 when siblings were kept');
    }

    public function testOfPairsAlikeTheUnrelatedOneIsMade(): void
    {
        $policy = self::policy('Clown', ['het Clown', 'het Clown'], ['het Clown'], 4, 4);
        $type = static fn (string $id): int => self::of(new Situation(1, $policy->playing([])->start(), ['male' => 0, 'female' => 0]), $id)->type;
        $dam = new Holding('dam', $type('A2'), false, 1, false, [], ['S', null]);
        $son = new Holding('son', $type('A0'), true, 1, false, [], ['x', 'dam']);
        $half = new Holding('half', $type('A0'), true, 1, false, [], ['S', 'y']);
        $other = new Holding('other', $type('A0'), true, 1, false);
        self::assertSame([.875, .9375, 1.0], [Kinship::price($son, $dam), Kinship::price($half, $dam), Kinship::price($other, $dam)]);
        foreach ([new BuildUp($policy->law), new LookAhead($policy->law)] as $keeper) {
            $pairs = $keeper->mate(new Situation(1, [$son, $half, $other, $dam], ['male' => 0, 'female' => 0]));
            self::assertSame('other', $pairs[0][0]->id);
        }
    }

    private static function of(Situation $situation, string $id): Holding
    {
        return array_values(array_filter($situation->animals, static fn (Holding $one): bool => $one->id === $id))[0];
    }

    /** Who mates whoever together lack least, and keeps whoever lacks least: copies of what is wanted, counted. */
    private static function plain(Law $law): Keeper
    {
        return new class ($law) implements Keeper {
            public function __construct(private readonly Law $law) {}

            public function mate(Situation $situation): array
            {
                $ready = array_filter($situation->animals, static fn (Holding $one): bool => $one->from <= $situation->season);
                $pairs = [];
                foreach ($ready as $sire) {
                    foreach ($ready as $dam) {
                        if ($sire->isMale && ! $dam->isMale) {
                            $pairs[] = [$this->lack($sire->type, $dam->type), $sire, $dam];
                        }
                    }
                }
                usort($pairs, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
                $mated = $served = $made = [];
                foreach ($pairs as [, $sire, $dam]) {
                    if (! isset($mated[$dam->id]) && ($served[$sire->id] ?? 0) < $this->law->femalesPerMale) {
                        $mated[$dam->id] = true;
                        $served[$sire->id] = ($served[$sire->id] ?? 0) + 1;
                        $made[] = [$sire, $dam];
                    }
                }

                return $made;
            }

            public function keep(Situation $situation, array $young): array
            {
                $all = [...array_filter($situation->animals, static fn (Holding $one): bool => $one->isYoung), ...$young];
                usort($all, fn (Holding $a, Holding $b): int => $this->lack($a->type, $a->type) <=> $this->lack($b->type, $b->type));
                $most = $this->law->space->project->tubs ?? 16;
                $males = array_slice(array_filter($all, static fn (Holding $one): bool => $one->isMale), 0, intdiv($most, 3));

                return [...$males, ...array_slice(array_filter($all, static fn (Holding $one): bool => ! $one->isMale), 0, $most - count($males))];
            }

            private function lack(int $one, int $other): float
            {
                $lack = 0.0;
                foreach ($this->law->space->groups as $i => $group) {
                    $meets = $group->meeting($this->law->types->looks($one)[$i], $this->law->types->looks($other)[$i])->toFloat();
                    $lack += -log(max(.01, $meets));
                }

                return $lack;
            }
        };
    }

    /** @return array{string, list<string>, list<string>, int} target, males, females, horizon */
    private static function drawn(Randomizer $chance): array
    {
        $recessive = array_slice($chance->shuffleArray(['Clown', 'Piebald', 'Ultramel']), 0, $chance->getInt(0, 2));
        $shown = array_slice($chance->shuffleArray(['Pastel', 'Enchi', 'Mojave', 'Fire']), 0, max(2 - count($recessive), $chance->getInt(1, 2)));
        $all = [[], []];
        for ($i = 0, $count = $chance->getInt(8, 24); $i < $count; $i++) {
            $genes = [];
            foreach ($shown as $gene) {
                $chance->getInt(0, 5) === 0 ? $genes[] = $gene : null;
            }
            foreach ($recessive as $gene) {
                $draw = $chance->getInt(0, 9);
                $draw < 3 ? $genes[] = ($draw === 0 ? 'visual ' : 'het ').$gene : null;
            }
            usort($genes, static fn (string $a, string $b): int => str_starts_with($a, 'het') <=> str_starts_with($b, 'het'));
            $all[$i % 3 === 0 ? 0 : 1][] = $genes === [] ? 'Normal' : implode(' ', $genes);
        }

        return [implode(' + ', [...$recessive, ...$shown]), $all[0], $all[1], $chance->getInt(5, 8)];
    }

    /**
     * @param list<string> $males
     * @param list<string> $females
     */
    private static function policy(string $target, array $males, array $females, int $horizon, int $tubs, float $effort = .1, array $rules = []): Policy
    {
        $animals = [];
        foreach (['male' => $males, 'female' => $females] as $sex => $all) {
            foreach ($all as $genes) {
                $animals[] = ['id' => 'A'.count($animals), 'sex' => $sex, 'genes' => $genes, 'age' => 48];
            }
        }
        $document = ['format' => ProjectReader::FORMAT, 'target' => $target, 'horizon' => $horizon, 'rules' => ['tubs' => $tubs] + $rules, 'animals' => $animals];

        return (new Planner(Shelf::catalogue(), (new ProjectReader(Shelf::facts()))->read($document), $effort))->policy();
    }
}
