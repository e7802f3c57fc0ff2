<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Destino\Documents\ProjectReader;
use Destino\Pairing\Cross;
use Destino\Pairing\TargetOdds;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Play\Hatchery;
use Destino\Planning\Play\Outcome;
use Destino\Planning\Search\Route;
use Destino\Planning\Unbeaten;
use Destino\Probability\Rational;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Shelf;

/** What chance decides where a project is played out, and which ways are left when all were played. */
final class PlayedTest extends TestCase
{
    public function testHatchlingsAreAsOftenOfTheTargetAsThePairingSays(): void
    {
        foreach ([['het Clown', 'het Clown', 'Clown'], ['Spider', 'Spider', 'Spider'], ['Pastel', 'Enchi', 'Pastel Enchi, female'],
            ['Banana (male maker)', 'Normal', 'Banana, male']] as [$sire, $dam, $target]) {
            $space = self::space($sire, $dam, $target);
            [$male, $female] = $space->project->founders;
            $odds = TargetOdds::of(Cross::of(Shelf::catalogue(), $male->belief, $female->belief), $space->project->target)->chance->perEgg();
            $hatchery = new Hatchery($space);
            $chance = new Randomizer(new Mt19937(4));
            $states = array_map(static fn ($founder): array => $hatchery->genotypeOf($founder, static fn (): float => 0.5), [$male, $female]);
            $hits = 0;
            for ($egg = 0; $egg < 6000; $egg++) {
                $hatchling = $hatchery->hatchling($states[0], $states[1], $chance);
                $hits += $hatchling !== null && $hatchery->meets(...$hatchling) ? 1 : 0;
            }
            $expected = $odds->toFloat() * $space->project->assumptions->survival();
            self::assertEqualsWithDelta($expected, $hits / 6000, 4 * sqrt($expected * (1 - $expected) / 6000), "{$sire} × {$dam}: {$target}");
        }
    }

    public function testAnEggDrawsTheSameWhateverBecomesOfIt(): void
    {
        $space = self::space('Spider', 'Spider', 'Spider');
        $hatchery = new Hatchery($space);
        [$sire, $dam] = array_map(static fn ($one): array => $hatchery->genotypeOf($one, static fn (): float => 0.5), $space->project->founders);
        $chance = new Randomizer(new Mt19937(9));
        $dead = 0;
        for ($egg = 0; $egg < 300; $egg++) {
            $dead += $hatchery->hatchling($sire, $dam, $chance) === null ? 1 : 0;
        }
        $plain = new Randomizer(new Mt19937(9));
        for ($draw = 0; $draw < 300 * (2 + count($space->groups)); $draw++) {
            Hatchery::draw($plain);
        }
        self::assertSame(Hatchery::draw($plain), Hatchery::draw($chance), 'survival, each group and the sex: always so many');
        self::assertGreaterThan(60, $dead, 'some died of their form, some of nothing');
    }

    public function testClutchesAreAsLargeAsTheLawSays(): void
    {
        $space = self::space('Clown', 'Clown', 'Clown');
        $hatchery = new Hatchery($space);
        $chance = new Randomizer(new Mt19937(2));
        $eggs = array_map(static fn (): int => $hatchery->eggs($chance), range(1, 5000));
        $law = $space->project->assumptions->clutchLaw();
        $mean = array_sum(array_map(static fn (int $count, float $p): float => $count * $p, array_keys($law), $law)) / array_sum($law);
        self::assertEqualsWithDelta($mean, array_sum($eggs) / 5000, .15);
        self::assertSame([], array_diff(array_unique($eggs), array_keys($law)));
    }

    public function testWhatNoOtherBeatsStandsAndWhatIsLeftOutIsBeaten(): void
    {
        $chance = new Randomizer(new Mt19937(3));
        $left = 0;
        for ($round = 0; $round < 120; $round++) {
            $played = array_map(static fn (): array => self::played($chance), range(1, $chance->getInt(2, 6)));
            $kept = Unbeaten::of($played);
            self::assertNotSame([], $kept, 'somebody always stands');
            $left += count($played) - count($kept);
            foreach ($played as $pair) {
                if (in_array($pair, $kept, true)) {
                    continue;
                }
                $isBeaten = array_filter($played, static fn (array $other): bool => $other !== $pair && self::isNoWorse($other, $pair));
                self::assertNotSame([], $isBeaten, 'what is left out is no better in anything than some other');
            }
        }
        self::assertGreaterThan(60, $left);
    }

    /** @return array{Route, Outcome} */
    private static function played(Randomizer $chance): array
    {
        $reached = [];
        foreach (range(1, 4) as $season) {
            $reached[$season] = $chance->getInt(0, 2) * 10;
        }
        $f = Rational::of($chance->getInt(0, 2), 8);

        return [
            new Route("Route {$chance->getInt(1, 1_000_000)}", '', [], [], 3.0, $f),
            new Outcome(100, 4, $reached, 10.0, (float) $chance->getInt(1, 3), [0.0, 100.0 * $chance->getInt(0, 2)], []),
        ];
    }

    /**
     * @param array{Route, Outcome} $one
     * @param array{Route, Outcome} $other
     */
    private static function isNoWorse(array $one, array $other): bool
    {
        $early = static fn (Outcome $outcome): float => array_sum(array_map($outcome->by(...), range(0, 4)));

        return $one[1]->by(4) >= $other[1]->by(4) - .021 && $early($one[1]) >= $early($other[1]) * .97 - .05
            && $one[1]->money() <= $other[1]->money() * 1.03 && $one[1]->kept <= $other[1]->kept * 1.03
            && $one[0]->inbreeding->toFloat() <= $other[0]->inbreeding->toFloat() * 1.03;
    }

    private static function space(string $sire, string $dam, string $target): Space
    {
        $project = (new ProjectReader(Shelf::facts()))->read([
            'format' => 'destino-project/1', 'target' => $target, 'horizon' => 4,
            'animals' => [['id' => 's', 'sex' => 'male', 'genes' => $sire, 'age' => 40], ['id' => 'd', 'sex' => 'female', 'genes' => $dam, 'age' => 60]],
        ]);

        return new Space(Shelf::catalogue(), $project);
    }
}
