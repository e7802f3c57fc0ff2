<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Destino\Documents\ProjectReader;
use Destino\Genome\Belief;
use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Pairing\Advice\Advisor;
use Destino\Pairing\Advice\Stance;
use Destino\Pairing\Advice\Verdict;
use Destino\Pairing\Cross;
use Destino\Pairing\Looks;
use Destino\Planning\Given\Founder;
use Destino\Planning\Phenotypes\GroupTable;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Planner;
use Destino\Planning\Search\Route;
use Destino\Planning\Search\RouteStep;
use Destino\Planning\Search\Welfare;
use Destino\Probability\Rational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Shelf;

/** Pins, house rules, relatedness, proving first, sure pairs and forms that hide others. */
final class LimitsTest extends TestCase
{
    public function testALimitOfRelatednessLooksForTheUnrelatedMate(): void
    {
        // The visual dam is the quick way back, with F = 1/4; the unrelated het brings it later with F = 0.
        $document = self::document('Clown, male', [['F', 'female', 'Clown'], ['M', 'male', 'Normal'], ['U', 'female', 'het Clown']]);
        self::assertSame('1/4', self::planner($document)->routes()[0]->inbreeding->toString());
        $routes = self::planner(['rules' => ['inbreeding' => '0']] + $document)->routes();
        self::assertNotSame([], $routes);
        foreach ($routes as $route) {
            self::assertSame('0', $route->inbreeding->toString());
            self::assertContains('U', self::used($route));
        }
    }

    public function testAPinnedAnimalIsInEveryRoute(): void
    {
        $document = self::document(
            'Clown + Piebald',
            [['M', 'male', 'Clown Piebald'], ['F', 'female', 'Clown Piebald'], ['G', 'female', 'het Clown'], ['H', 'male', 'Piebald']],
        );
        self::assertSame(['M', 'F'], self::used(self::planner($document)->routes()[0]));
        foreach ([['G'], ['G', 'H']] as $pins) {
            $routes = self::planner(['rules' => ['pinned' => $pins]] + $document)->routes();
            self::assertNotSame([], $routes);
            foreach ($routes as $route) {
                self::assertSame([], array_diff($pins, self::used($route)));
            }
        }
    }

    public function testAPinThatLeadsNowhereIsNamed(): void
    {
        $plan = self::planner(
            ['horizon' => 1, 'rules' => ['pinned' => ['G', 'H']]] + self::document('Clown', [
                ['M', 'male', 'het Clown'], ['F', 'female', 'het Clown'], ['G', 'female', 'Normal'], ['H', 'male', 'Normal'],
            ]),
        )->plan(10);
        self::assertStringContainsString('Take a pin out', (string) $plan->unreachable);
    }

    public function testTwoLimitsThatExcludeEachOtherAreNamedTogether(): void
    {
        $document = self::document('Clown, male', [['F', 'female', 'Clown'], ['M', 'male', 'Normal'], ['G', 'female', 'Normal']]);
        $plan = self::planner(
            ['horizon' => 8, 'rules' => ['inbreeding' => '0', 'pinned' => ['G']], 'assumptions' => ['lay_rate' => .7]] + $document,
        )->plan(10);
        self::assertMatchesRegularExpression('/limit of relatedness/', (string) $plan->unreachable);
    }

    public function testACrossThatHouseRulesRefuseIsNotPlannedAndOneThatTheyWarnOfSaysSo(): void
    {
        $document = self::document(
            'Spider + Clown, male',
            [['M', 'male', 'Spider het Clown'], ['F', 'female', 'Spider Clown'], ['G', 'female', 'Clown']],
        );
        self::assertContains('F', self::usedAnywhere(self::planner($document)));
        $planner = self::planner(['rules' => ['stances' => ['dies-in-the-egg' => 'refuse', 'wobble' => 'warn']]] + $document);
        foreach ($planner->routes() as $route) {
            foreach ($route->steps as $step) {
                self::assertFalse(str_contains($step->sireGenes, 'Spider') && str_contains($step->damGenes, 'Spider'), 'two copies die');
                self::assertSame(
                    str_contains($step->sireGenes.$step->damGenes, 'Spider'),
                    str_contains(strtolower(implode(' ', $step->cautions)), 'wobble'),
                );
            }
        }
        $plan = self::planner(['rules' => ['stances' => ['wobble' => 'refuse']]] + $document)->plan(10);
        self::assertSame([], $plan->routes);
        self::assertStringContainsString('house rules refuse', (string) $plan->unreachable);
    }

    public function testNoPlannedCrossIsOneThatTheRulesRefuseWhateverTheAnimals(): void
    {
        $chance = new Randomizer(new Mt19937(17));
        $genes = [
            'Spider', 'Spider het Clown', 'Clown', 'het Clown', 'Pastel het Clown', 'Champagne', 'Hidden Gene Woma',
            'Super Pastel', 'Fire Spider', 'Spider Clown', 'Normal', 'Lesser het Clown', 'Mojave', 'Desert', 'Desert het Clown',
        ];
        $genes = array_values(
            array_filter($genes, static fn (string $text): bool => Shelf::facts()->reader()->read($text, Sex::Female)->belief !== null),
        );
        $targets = array_values(
            array_filter(
                ['Spider + Clown', 'Spider + Super Pastel', 'Clown + Pastel', 'Lesser/Mojave + Clown', 'Desert + Clown'],
                static fn (string $text): bool => ! str_contains($text, 'Desert') || in_array('Desert', $genes, true),
            ),
        );
        $stances = ['dies-in-the-egg' => Stance::Refuse, 'female-laying-trouble' => Stance::Refuse, 'wobble' => Stance::Warn];
        $looked = $warned = 0;
        for ($round = 0; $round < 40; $round++) {
            $animals = array_map(
                static fn (int $i): array => ["A{$i}", $i % 2 === 0 ? 'male' : 'female', $genes[$chance->getInt(0, count($genes) - 1)]],
                range(0, 5),
            );
            $planner = self::planner(
                [
                    'rules' => ['stances' => array_map(static fn (Stance $one): string => $one->value, $stances)],
                ] + self::document($targets[$round % count($targets)], $animals),
            );
            foreach ($planner->routes(quick: $round % 3 > 0) as $route) {
                foreach ($route->steps as $step) {
                    foreach ($this->parents($step->sires, $step->sireGenes, Sex::Male) as $sire) {
                        foreach ($this->parents($step->dams, $step->damGenes, Sex::Female) as $dam) {
                            $verdict = Verdict::of(Advisor::advise(Cross::of(Shelf::catalogue(), $sire, $dam)), $stances);
                            self::assertNotSame(Stance::Refuse, $verdict->stance, "{$step->sireGenes} × {$step->damGenes}");
                            self::assertSame(
                                $verdict->stance === Stance::Warn, $step->cautions !== [],
                                "{$step->sireGenes} × {$step->damGenes}",
                            );
                            $looked++;
                            $warned += $step->cautions === [] ? 0 : 1;
                        }
                    }
                }
            }
        }
        self::assertGreaterThan(40, $looked);
        self::assertGreaterThan(5, $warned);
    }

    public function testACrossWithinOneLocusIsRefusedExactlyWhereTheAdviceOnItsParentsSaysSo(): void
    {
        $conditions = [...array_keys(Shelf::catalogue()->conditions), 'dies-in-the-egg'];
        $stances = array_fill_keys($conditions, Stance::Refuse);
        $refused = $allowed = 0;
        foreach (Shelf::catalogue()->alleles as $allele) {
            $texts = array_map(
                static fn (Form $form): string => $form->text === '' ? 'Normal' : $form->text, Shelf::catalogue()->formsAt($allele->locus),
            );
            $one = $allele->name;
            if (Shelf::facts()->targets()->readAll($one)[1] !== []) {
                continue; // a name that asks which is meant
            }
            $space = (new Planner(Shelf::catalogue(), (new ProjectReader(Shelf::facts()))->read(
                ['rules' => ['stances' => array_fill_keys($conditions, 'refuse')]] + self::document($one, [['A', 'male', 'Normal']]),
            )))->space();
            $welfare = new Welfare($space);
            $named = in_array($one, $texts, true) ? $one : end($texts);
            foreach ($texts as $text) {
                [$sire, $dam] = [Shelf::belief($named, Sex::Male), Shelf::belief($text)];
                $advice = Verdict::of(Advisor::ofConditions(Cross::of(Shelf::catalogue(), $sire, $dam)), $stances);
                $looks = static fn (Belief $belief): array => array_map(
                    static fn (GroupTable $group): int => $group->lookOf($belief), $space->groups,
                );
                self::assertSame($advice->stance === Stance::Refuse, $welfare->refuses($looks($sire), $looks($dam)), "{$named} × {$text}");
                $advice->stance === Stance::Refuse ? $refused++ : $allowed++;
            }
        }
        self::assertGreaterThan(20, $refused);
        self::assertGreaterThan(100, $allowed);
    }

    /**
     * @param list<Founder> $founders
     * @return list<\Destino\Genome\Belief> what is known of each animal that may be the parent
     */
    private function parents(array $founders, string $genes, Sex $sex): array
    {
        return $founders === []
            ? [Shelf::facts()->reader()->read($genes, $sex)->beliefOrFail()]
            : array_map(static fn (Founder $founder): \Destino\Genome\Belief => $founder->belief, $founders);
    }

    /**
     * @return iterable<string, array{string, list<array{string, string, string}>, int, string}> target, animals, crosses,
     *     words of the last pair
     */
    public static function surePairs(): iterable
    {
        yield 'two visuals' => ['Clown', [['M', 'male', 'Clown'], ['F', 'female', 'Clown']], 1, 'Clown × Clown'];
        yield 'two copies against anything' => [
            'Pastel', [['M', 'male', 'Super Pastel'], ['F', 'female', 'Normal']], 1, 'Super Pastel × Normal',
        ];
        yield 'a het is grown into a visual first' => ['Clown', [['M', 'male', 'het Clown'], ['F', 'female', 'Clown']], 2, 'Clown × Clown'];
    }

    /** @param list<array{string, string, string}> $animals */
    #[DataProvider('surePairs')]
    public function testAPairThatGivesEveryEggTheTarget(string $target, array $animals, int $crosses, string $pair): void
    {
        $planner = self::planner(['rules' => ['wanted' => 'sure']] + self::document($target, $animals));
        $route = $planner->routes()[0];
        $last = $route->steps[count($route->steps) - 1];
        self::assertSame([$crosses, $pair, '1'], [count($route->steps), "{$last->sireGenes} × {$last->damGenes}", $last->odds->toString()]);
        $outcome = $planner->play($route, 400, 1);
        self::assertSame(
            $crosses > 1 ? 0.0 : null, $crosses > 1 ? $outcome->by(2) : null,
            'a Clown that hatches on the way is not the pair that is wanted',
        );
        self::assertGreaterThan(.9, $outcome->by(8));
    }

    /** @return iterable<string, array{string, string}> sire, dam */
    public static function hidingCrosses(): iterable
    {
        yield 'white hides everything' => ['Mojave Pastel het Clown', 'Lesser het Clown'];
        yield 'ivory hides patterns' => ['Yellow Belly Pinstripe', 'Yellow Belly Pinstripe Pastel'];
        yield 'dark hides patterns, not colours' => ['Cinnamon Pastel Pinstripe', 'Black Pastel het Clown Pastel'];
        yield 'nothing hides' => ['Pastel het Clown', 'Enchi het Clown'];
    }

    #[DataProvider('hidingCrosses')]
    public function testWhatIsHiddenIsNotReadJustAsInAPairing(string $sire, string $dam): void
    {
        $project = (new ProjectReader(Shelf::facts()))->read(
            self::document(
                'Mojave + Lesser or Mojave/Lesser + Pastel + Clown + Yellow Belly + Pinstripe + Cinnamon + Enchi',
                [['S', 'male', $sire], ['D', 'female', $dam]],
            ),
        );
        $space = new Space(Shelf::catalogue(), $project);
        $planned = self::youngOf($space, $space->looksOf($project->founders[0]), $space->looksOf($project->founders[1]));
        $cross = Cross::of(Shelf::catalogue(), $project->founders[0]->belief, $project->founders[1]->belief);
        $paired = array_map(
            static fn (\Destino\Pairing\Outcome $outcome): string => $outcome->probability->toString(),
            array_values(
                array_filter(Looks::of($cross)->top(500), static fn (\Destino\Pairing\Outcome $outcome): bool => ! $outcome->isLethal),
            ),
        );
        sort($planned);
        sort($paired);
        self::assertSame($paired, $planned);
    }

    /**
     * @param list<int> $sire
     * @param list<int> $dam
     * @return list<string> odds of every look
     */
    private static function youngOf(Space $space, array $sire, array $dam): array
    {
        /** @var list<array{Rational, list<\Destino\Genome\Mask>}> $young */
        $young = [[Rational::one(), []]];
        foreach ($space->groups as $i => $group) {
            $more = [];
            foreach ($young as [$p, $hiding]) {
                foreach ($group->cross($sire[$i], $dam[$i], $hiding) as [$look, $q]) {
                    $more[] = [$p->times($q), [...$hiding, ...$group->hides($look)]];
                }
            }
            $young = $more;
        }

        return array_map(static fn (array $one): string => $one[0]->toString(), $young);
    }

    /** @return list<string> founders of a route */
    private static function used(Route $route): array
    {
        return array_values(
            array_unique(
                array_map(
                    static fn (Founder $founder): string => $founder->id,
                    array_merge(...array_map(static fn (RouteStep $step): array => [...$step->sires, ...$step->dams], $route->steps)),
                ),
            ),
        );
    }

    /** @return list<string> */
    private static function usedAnywhere(Planner $planner): array
    {
        return array_merge(...array_map(self::used(...), $planner->routes()));
    }

    /**
     * @param list<array{string, string, string}> $animals id, sex, genes
     * @return array<string, mixed>
     */
    private static function document(string $target, array $animals): array
    {
        return [
            'format' => ProjectReader::FORMAT, 'target' => $target, 'horizon' => 8,
            'animals' => array_map(
                static fn (array $one): array => ['id' => $one[0], 'sex' => $one[1], 'genes' => $one[2], 'age' => 48], $animals,
            ),
            'assumptions' => ['clutch_sd' => 0],
        ];
    }

    /** @param array<string, mixed> $document */
    private static function planner(array $document): Planner
    {
        return new Planner(Shelf::catalogue(), (new ProjectReader(Shelf::facts()))->read($document));
    }
}
