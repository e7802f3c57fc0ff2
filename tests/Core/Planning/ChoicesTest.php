<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Destino\Documents\ProjectReader;
use Destino\Genome\Sex;
use Destino\Notation\TargetReader;
use Destino\Pairing\TargetOdds;
use Destino\Planning\Given\Project;
use Destino\Planning\Given\ProjectError;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Planner;
use Destino\Planning\Policy\PairBrood;
use Destino\Planning\Search\PairFinder;
use Destino\Probability\Rational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Shelf;

/** A plan's target of which several ways will do has the odds that a pairing of the same animals has. */
final class ChoicesTest extends TestCase
{
    private const ANIMALS = [
        'Pastel het Clown', 'Enchi 66% het Clown', 'Clown', 'Fire', 'Normal', 'Pastel Enchi', 'Super Pastel', 'Mojave/Lesser', 'Fire Mojave',
        'Banana', 'Spider Enchi',
    ];

    private const TARGETS = [
        'Pastel or Enchi', 'at least two of Pastel, Enchi, Fire', 'Clown with Pastel or Enchi', '(female Clown) or (male Pastel)',
        'at least two of Banana, Clown, Pastel', 'any 2 of Mojave, Lesser, Enchi', 'Pastel or Enchi, female', 'only Pastel with Enchi or Fire',
        'at least two of Super Pastel, Enchi, carries Clown', 'any Clown with two co-dominants', 'not Spider, Pastel or Fire',
    ];

    public function testHitsOfAPairAreTheOddsOfItsPairing(): void
    {
        $draw = new Randomizer(new Mt19937(5));
        $some = 0;
        for ($i = 0; $i < 40; $i++) {
            [$sire, $dam] = [self::ANIMALS[$draw->getInt(0, 10)], self::ANIMALS[$draw->getInt(0, 10)]];
            $target = self::TARGETS[$draw->getInt(0, 10)];
            $space = self::space($target, [['male', $sire], ['female', $dam]]);
            [$male, $female] = array_map($space->looksOf(...), $space->project->founders);
            $read = (new TargetReader(Shelf::catalogue(), Shelf::facts()->names(), takesChoices: true))->read($target);
            $odds = TargetOdds::of(Shelf::cross($sire, $dam), $read)->chance->perEgg()->toFloat();
            $hits = (new PairBrood($space))->hits($male, $female);
            self::assertEqualsWithDelta($odds, array_sum($hits), 1e-9, "{$sire} × {$dam}: {$target}");
            $best = (new PairFinder($space))->best($space->project->founders);
            self::assertEqualsWithDelta($odds, ($best[0][2] ?? Rational::zero())->toFloat(), 1e-9, "{$sire} × {$dam}: {$target}");
            $some += $odds > 0.0 && $odds < 1.0 ? 1 : 0;
        }
        self::assertGreaterThan(12, $some, 'some are neither sure nor hopeless');
    }

    public function testAnAnimalMeetsAChoiceWithTheChanceOfWhatIsBelievedOfIt(): void
    {
        $space = self::space('at least two of Pastel, Enchi, carries Clown', [['male', 'Pastel 66% het Clown'], ['female', 'Enchi Pastel']]);
        [$male, $female] = $space->project->founders;
        self::assertSame('2/3', $space->accepted($space->looksOf($male), Sex::Male)->toString());
        self::assertSame('1', $space->accepted($space->looksOf($female), Sex::Female)->toString());
    }

    public function testOptionsThatNobodyCanBringAreLeftOut(): void
    {
        $space = self::space('Clown with two co-dominants', [['male', 'Pastel het Clown'], ['female', 'Enchi Fire het Clown']]);
        self::assertCount(3, $space->project->target->choices[0]->options);
        self::assertCount(4, $space->groups);
        $planner = new Planner(Shelf::catalogue(), self::project('Clown, at least two of Pastel, Enchi, Fire', [
            ['male', 'Pastel het Clown'], ['female', 'het Clown'],
        ]));
        $why = (string) $planner->plan(40)->unreachable;
        self::assertStringContainsString('at least two of Pastel, Enchi, Fire', $why);
    }

    public function testVeryManyOptionsAreRefusedInWords(): void
    {
        $genes = [];
        foreach (Shelf::catalogue()->alleles as $allele) {
            $genes[$allele->locus] ??= $allele->name;
        }
        $this->expectException(ProjectError::class);
        $this->expectExceptionMessage('Name the genes to choose among');
        $genes = array_values($genes);
        self::space('at least two of '.implode(', ', array_slice($genes, 0, 45)), array_map(
            static fn (string $gene): array => ['male', "het {$gene}"], array_slice($genes, 0, 45),
        ));
    }

    /** @return iterable<string, array{string, list<string>}> a choice and ways to meet it */
    public static function wider(): iterable
    {
        yield 'one of two' => ['Pastel Clown or Enchi Clown', ['Pastel Clown', 'Enchi Clown']];
        yield 'two of three' => ['at least two of Pastel, Enchi, Clown', ['Pastel Enchi', 'Pastel Clown', 'Enchi Clown']];
    }

    /** @param list<string> $ways */
    #[DataProvider('wider')]
    public function testAChoiceHasAtLeastTheChanceOfEachOfItsWays(string $choice, array $ways): void
    {
        $animals = [['male', 'het Clown'], ['male', 'Pastel'], ['female', 'Enchi'], ['female', 'het Clown']];
        $choice = str_replace('Pastel Clown or Enchi Clown', 'Clown, Pastel or Enchi', $choice);
        $reached = static fn (string $target): float =>
            (float) (new Planner(Shelf::catalogue(), self::project($target, $animals)))->plan(300, 3)->policy?->outcome->by(4);
        $all = $reached($choice);
        foreach ($ways as $way) {
            self::assertGreaterThan($reached($way) - .06, $all, $way);
        }
        self::assertGreaterThan(0.0, $all);
    }

    /** @param list<array{string, string}> $animals sex and genes */
    private static function space(string $target, array $animals): Space
    {
        return new Space(Shelf::catalogue(), self::project($target, $animals));
    }

    /** @param list<array{string, string}> $animals */
    private static function project(string $target, array $animals): Project
    {
        return (new ProjectReader(Shelf::facts()))->read([
            'format' => 'destino-project/1', 'target' => $target, 'horizon' => 4, 'animals' => array_map(
                static fn (int $i, array $one): array => ['id' => "A{$i}", 'sex' => $one[0], 'genes' => $one[1], 'age' => 40],
                array_keys($animals), $animals,
            ),
        ]);
    }
}
