<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Destino\Documents\ProjectReader;
use Destino\Genome\Sex;
use Destino\Pairing\Cross;
use Destino\Pairing\TargetOdds;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\Project;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Policy\Law;
use Destino\Planning\Policy\Outlook;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** What a plan expects of pairs and of animals, beside what a pairing says of them and what can be reckoned by hand. */
final class OutlookTest extends TestCase
{
    /** @return iterable<string, array{string, string, string}> target, sire, dam */
    public static function pairs(): iterable
    {
        yield 'a recessive of two carriers' => ['Clown', 'het Clown', 'het Clown'];
        yield 'possible carriers' => ['Clown', '66% het Clown', '50% het Clown'];
        yield 'three genes' => ['Clown + Pastel + Enchi', 'Pastel het Clown', 'Enchi Clown'];
        yield 'a super form' => ['Super Pastel + Clown', 'Pastel het Clown', 'Pastel het Clown'];
        yield 'two alleles of one locus' => ['Mojave/Mystic', 'Mojave', 'Mystic het Clown'];
        yield 'linked to sex' => ['Banana, male', 'Banana', 'Normal'];
        yield 'a form that dies' => ['Spider', 'Spider', 'Spider'];
        yield 'a gene that must be away' => ['Clown, no Spider', 'Spider het Clown', 'het Clown'];
        yield 'females only' => ['Pastel, female', 'Pastel', 'Normal'];
        yield 'nothing to be had' => ['Clown', 'Pastel', 'het Clown'];
    }

    #[DataProvider('pairs')]
    public function testAPairMeetsTheTargetAsOftenAsThePairingSays(string $target, string $sire, string $dam): void
    {
        [$law, $types] = self::given($target, [['male', $sire], ['female', $dam]]);
        $pair = $law->types->pair(...$types);
        [$male, $female] = $law->space->project->founders;
        $odds = TargetOdds::of(Cross::of(Shelf::catalogue(), $male->belief, $female->belief), $law->space->project->target);
        self::assertEqualsWithDelta($odds->chance->perEgg()->toFloat(), $pair->hit, 1e-12);
        foreach ([[Sex::Male, $pair->male], [Sex::Female, $pair->female]] as [$sex, $found]) {
            $expected = $law->space->project->target->acceptsSex($sex) ? $odds->bySex($sex)->perEgg()->toFloat() : 0.0;
            self::assertEqualsWithDelta($expected, $found, 1e-12, $sex->value);
        }
        self::assertSame($pair->hit <= 0.0 && $pair->children === [], $pair->isIdle);
        self::assertFalse($pair->isRefused);
        self::assertLessThanOrEqual(1.0 + 1e-9, array_sum($pair->children));
    }

    public function testYoungCarryOnAverageHalfOfWhatBothParentsCarry(): void
    {
        foreach ([['het Clown het Piebald', 'Clown'], ['Pastel het Clown', 'Piebald'], ['Super Pastel', 'het Clown het Piebald']] as $genes) {
            [$law, $types] = self::given('Clown + Piebald + Pastel', [['male', $genes[0]], ['female', $genes[1]]]);
            $pair = $law->types->pair(...$types);
            foreach ($law->types->askedGroups() as $group) {
                $expected = ($law->types->wanted($types[0], $group) + $law->types->wanted($types[1], $group)) / 2;
                $found = 0.0;
                foreach ($pair->children as $child => $chance) {
                    $found += $chance * $law->types->wanted($child, $group);
                }
                self::assertEqualsWithDelta($expected, $found, .02, "{$genes[0]} × {$genes[1]} at {$group}");
            }
            $sons = array_sum(array_filter($pair->children, $law->types->isMale(...), ARRAY_FILTER_USE_KEY));
            self::assertEqualsWithDelta(array_sum($pair->children) / 2, $sons, 1e-9, 'half of them sons');
        }
    }

    public function testAPairIsTheSameAgainAfterManyOthers(): void
    {
        $animals = [];
        foreach (range(1, 13) as $i) {
            foreach (range(1, 13) as $j) {
                $genes = 'possible Clown ('.(7 * $i).'%) possible Piebald ('.(7 * $j).'%)';
                $animals[] = ['male', $genes];
                $animals[] = ['female', $genes];
            }
        }
        [$law, $types] = self::given('Clown + Piebald', $animals);
        $males = array_values(array_unique(array_filter($types, $law->types->isMale(...))));
        $females = array_values(array_unique(array_diff($types, $males)));
        self::assertCount(169, $males);
        $first = $law->types->pair($males[0], $females[0]);
        $last = $law->types->pair($males[168], $females[168]);
        foreach ($males as $sire) {
            foreach ($females as $dam) {
                $law->types->pair($sire, $dam);
            }
        }
        self::assertNotSame($first, $law->types->pair($males[0], $females[0]), 'it was forgotten and worked out again');
        self::assertEquals($first, $law->types->pair($males[0], $females[0]));
        self::assertEquals($last, $law->types->pair($males[168], $females[168]));
        self::assertSame($law->types->pair($males[5], $females[5]), $law->types->pair($males[5], $females[5]), 'and is known after that');
    }

    public function testOneSeasonIsTheHazardOfItsOnlyPair(): void
    {
        foreach (['Clown' => .25, 'Clown, female' => .125, 'carries Clown' => .75] as $target => $hit) {
            [$law, $types] = self::given($target, [['male', 'het Clown'], ['female', 'het Clown']], 1);
            $outlook = new Outlook($law, 1, [[$types[0], 1, 1.0], [$types[1], 1, 1.0]]);
            $season = $law->space->perSeason($hit, 1);
            self::assertEqualsWithDelta($season, $outlook->chance(), 1e-9, $target);
            self::assertEqualsWithDelta(-log(1 - $season), $outlook->hazard, 1e-9, $target);
            self::assertEqualsWithDelta($outlook->hazard, $outlook->atBest(), 1e-9, $target);
            self::assertEqualsWithDelta($outlook->hazard, $outlook->pair($types[0], $types[1]), 1e-9, $target);
            self::assertEqualsWithDelta($outlook->hazard, $outlook->worth($types[1], 1), 1e-9, 'all of it is lost without her');
            self::assertFalse($outlook->isScarce);
        }
    }

    public function testWhatOneMoreAnimalIsWorthFollowsWhatItCarries(): void
    {
        [$law, $types] = self::given('Clown', [
            ['male', 'het Clown'], ['female', 'het Clown'], ['female', 'Clown'], ['female', '50% het Clown'], ['female', 'Normal'],
        ], 5);
        [$sire, $het, $visual, $possible, $plain] = $types;
        $outlook = new Outlook($law, 1, [[$sire, 1, 1.0], [$het, 1, 1.0]]);
        $worths = array_map(static fn (int $type): float => $outlook->worthNow($type, 1), [$visual, $het, $possible, $plain]);
        self::assertGreaterThan($worths[1], $worths[0], 'a visual is worth more than a carrier');
        self::assertGreaterThan($worths[2], $worths[1], 'a carrier more than a possible one');
        self::assertGreaterThan($worths[3], $worths[2], 'a possible one more than one that carries nothing');
        foreach ([$visual, $het, $possible, $plain] as $type) {
            $before = INF;
            foreach (range(1, 7) as $from) {
                self::assertGreaterThanOrEqual(0.0, $outlook->worthNow($type, $from));
                self::assertLessThanOrEqual($before + 1e-12, $outlook->worthNow($type, $from), 'sooner is never worse');
                $before = $outlook->worthNow($type, $from);
            }
            self::assertSame(0.0, $outlook->worthNow($type, 6), 'who is ready after the last season is worth nothing');
        }
    }

    public function testMoreAnimalsNeverPromiseLessAndAFoundSexCountsNoMore(): void
    {
        [$law, $types] = self::given('Clown', [['male', 'het Clown'], ['female', 'het Clown'], ['female', 'Clown']], 4);
        [$sire, $het, $visual] = $types;
        $hazards = [];
        foreach ([[], [[$het, 1, 1.0]], [[$het, 1, 2.0]], [[$het, 1, 2.0], [$visual, 1, 1.0]]] as $females) {
            $hazards[] = (new Outlook($law, 1, [[$sire, 1, 1.0], ...$females]))->atBest();
        }
        self::assertSame(0.0, $hazards[0], 'a male alone');
        foreach ([1, 2, 3] as $more) {
            self::assertGreaterThan($hazards[$more - 1], $hazards[$more], "with {$more} females or better ones");
        }
        $held = [[$sire, 1, 1.0], [$het, 1, 1.0]];
        self::assertSame(0.0, (new Outlook($law, 4, $held, [0.0, 0.0]))->hazard, 'both sexes are there already');
        $males = (new Outlook($law, 4, $held, [1.0, 0.0]))->hazard;
        $both = (new Outlook($law, 4, $held))->hazard;
        self::assertGreaterThan(0.0, $males);
        self::assertGreaterThan($males, $both);
    }

    public function testOneMaleServesSoManyFemalesAndNoMore(): void
    {
        [$law, $types] = self::given('Clown', [['male', 'Clown'], ['female', 'Clown']], 1);
        $of = static fn (float $females, float $males): Outlook => new Outlook($law, 1, [[$types[0], 1, $males], [$types[1], 1, $females]]);
        $one = $of(1.0, 1.0)->hazard;
        self::assertEqualsWithDelta($law->femalesPerMale * $one, $of((float) $law->femalesPerMale, 1.0)->hazard, 1e-9);
        $many = $of(3.0 * $law->femalesPerMale, 1.0);
        self::assertTrue($many->isScarce);
        self::assertEqualsWithDelta($law->femalesPerMale * $one, $many->hazard, 1e-9, 'the others have no male');
        self::assertEqualsWithDelta(2 * $law->femalesPerMale * $one, $of(3.0 * $law->femalesPerMale, 2.0)->hazard, 1e-9);
    }

    /**
     * @param list<array{string, string}> $animals sex and genes
     * @return array{Law, list<int>} the law of a project, and the types of its animals
     */
    private static function given(string $target, array $animals, int $horizon = 6): array
    {
        $project = (new ProjectReader(Shelf::facts()))->read([
            'format' => 'destino-project/1', 'target' => $target, 'horizon' => $horizon,
            'animals' => array_map(
                static fn (int $i, array $animal): array => ['id' => "A{$i}", 'sex' => $animal[0], 'genes' => $animal[1], 'age' => 48],
                array_keys($animals), $animals,
            ),
        ]);
        $law = new Law(new Space(Shelf::catalogue(), $project));

        return [$law, self::types($law, $project)];
    }

    /** @return list<int> */
    private static function types(Law $law, Project $project): array
    {
        return array_map(
            static fn (Founder $founder): int => $law->types->of($law->space->looksOf($founder), $founder->sex === Sex::Male), $project->founders,
        );
    }
}
