<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Destino\Documents\ProjectReader;
use Destino\Pairing\Cross;
use Destino\Pairing\TargetOdds;
use Destino\Planning\Given\Founder;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Planner;
use Destino\Probability\Rational;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Shelf;

/** What a plan reckons with is what a pairing says, whatever the animals and the target are. */
final class SpaceTest extends TestCase
{
    private const ONE = [
        'Pastel', 'Super Pastel', 'Enchi', 'Mojave', 'Mystic', 'Mojave/Mystic', 'Lesser', 'Pinstripe', 'Spider', 'Banana',
        'Yellow Belly or Gravel', 'Fire', '',
    ];

    private const TWO = [
        'Clown', 'het Clown', '66% het Clown', '50% het Piebald', 'Piebald', 'het Albino', 'het Candy', 'Albino/Candy',
        'Genetic Stripe', 'het Ultramel', '',
    ];

    private const ASKED = [
        'Clown', 'Pastel', 'Super Pastel', 'Mojave/Mystic', 'no Spider', 'carries Clown', 'het Piebald', 'Pinstripe',
        'Albino/Candy', 'Banana', 'not Enchi', 'Yellow Belly', 'Lesser', 'no Clown', 'Super Mojave', 'Fire',
    ];

    public function testOddsOfATargetAreThoseOfThePairing(): void
    {
        $chance = new Randomizer(new Mt19937(21));
        $compared = $possible = 0;
        for ($round = 0; $round < 600; $round++) {
            $space = $this->space($chance);
            [$sire, $dam] = $space->project->founders;
            $pairing = TargetOdds::of(
                Cross::of(Shelf::catalogue(), $sire->belief, $dam->belief), $space->project->target,
            )->chance->perEgg();
            $planned = $space->crossing->oddsOfTarget($space->looksOf($sire), $space->looksOf($dam));
            if ($space->project->target->sex !== null && $space->sexAt === null) {
                $planned = $planned->times(Rational::of(1, 2));
            }
            if (! $this->isTied($sire) && ! $this->isTied($dam)) { // a plan takes groups that a statement ties as if they were free
                self::assertSame(
                    $pairing->toString(), $planned->toString(), "{$sire->genes} × {$dam->genes}: {$space->project->target->text}",
                );
                $compared++;
                $possible += $pairing->isZero() ? 0 : 1;
            }
        }
        self::assertGreaterThan(150, $compared);
        self::assertGreaterThan(40, $possible);
    }

    public function testTheYoungOfTwoLooksAreCompleteAndEachHasItsOdds(): void
    {
        $chance = new Randomizer(new Mt19937(4));
        for ($round = 0; $round < 120; $round++) {
            $space = $this->space($chance);
            [$sire, $dam] = array_map($space->looksOf(...), $space->project->founders);
            foreach ($space->groups as $i => $group) {
                $alive = Rational::zero();
                foreach ($group->cross($sire[$i], $dam[$i]) as [$look, $p, $float, $sex]) {
                    $alive = $alive->plus($p);
                    self::assertEqualsWithDelta($p->toFloat(), $float, 1e-12);
                    self::assertSame($group->holdsSex, $sex !== null);
                    $inside = array_reduce(
                        $group->book->looks[$look], static fn (Rational $sum, Rational $one): Rational => $sum->plus($one),
                        Rational::zero(),
                    );
                    self::assertSame('1', $inside->toString(), 'a look is a distribution');
                }
                self::assertTrue($alive->compareTo(Rational::one()) <= 0);
                self::assertSame(
                    $group->meeting($sire[$i], $dam[$i])->toString(),
                    array_reduce(
                        $group->cross($sire[$i], $dam[$i]),
                        static fn (Rational $sum, array $young): Rational => $sum->plus($young[1]->times($group->accepted($young[0]))),
                        Rational::zero(),
                    )->toString(),
                );
            }
        }
    }

    public function testASurePairIsOneWhoseEveryLivingEggIsTheTarget(): void
    {
        $chance = new Randomizer(new Mt19937(8));
        $sure = 0;
        for ($round = 0; $round < 300; $round++) {
            $space = $this->space($chance);
            [$sire, $dam] = $space->project->founders;
            if ($this->isTied($sire) || $this->isTied($dam) || $space->project->target->sex !== null) {
                continue;
            }
            $cross = Cross::of(Shelf::catalogue(), $sire->belief, $dam->belief);
            $isSure = $space->crossing->isSure($space->looksOf($sire), $space->looksOf($dam));
            try {
                self::assertSame(
                    TargetOdds::of($cross, $space->project->target, hatched: true)->chance->perEgg()->isOne(), $isSure,
                    "{$sire->genes} × {$dam->genes}: {$space->project->target->text}",
                );
            } catch (\Destino\Pairing\PairingError) {
                continue; // nothing of them hatches
            }
            $sure += $isSure ? 1 : 0;
        }
        self::assertGreaterThan(10, $sure);
    }

    public function testMoreFemalesAndMoreEggsNeverMakeASeasonWorse(): void
    {
        $space = $this->space(new Randomizer(new Mt19937(1)));
        foreach ([.0, .01, .125, .5, 1.0] as $chance) {
            foreach ([1, 2, 3] as $females) {
                self::assertGreaterThanOrEqual($space->perSeason($chance, $females), $space->perSeason($chance, $females + 1));
                self::assertGreaterThanOrEqual($space->perSeason($chance, $females), $space->perSeason(min(1.0, $chance + .1), $females));
            }
        }
        // One female, every egg a hit: she lays in 70 % of seasons, and one of six eggs lives but for (1 − 0.8464)⁶.
        self::assertEqualsWithDelta(.7 * (1 - (1 - .8464) ** 6), $space->perSeason(1.0, 1), 1e-9);
        $one = $space->perSeason(.001, 1);
        self::assertEqualsWithDelta(1 - (1 - $one) ** 64, $space->perSeason(.001, 64), 1e-12, 'each of many females counts');
        self::assertEqualsWithDelta(1 - (1 - $one) ** 200, $space->perSeason(.001, 200), 1e-12, 'each of very many females counts');
    }

    private function space(Randomizer $chance): Space
    {
        $genes = static fn (): string => trim(
            self::ONE[$chance->getInt(0, count(self::ONE) - 1)].' '.self::TWO[$chance->getInt(0, count(self::TWO) - 1)],
        ) ?: 'Normal';
        $asked = array_unique([
            self::ASKED[$chance->getInt(0, count(self::ASKED) - 1)], self::ASKED[$chance->getInt(0, count(self::ASKED) - 1)],
        ]);
        $sex = $chance->getInt(0, 3) === 0 ? ', '.['male', 'female'][$chance->getInt(0, 1)] : '';
        $project = (new ProjectReader(Shelf::facts()))->read([
            'format' => ProjectReader::FORMAT, 'target' => implode(' + ', $asked).$sex,
            'animals' => [
                ['id' => 'S', 'sex' => 'male', 'genes' => $genes(), 'age' => 48],
                ['id' => 'D', 'sex' => 'female', 'genes' => $genes(), 'age' => 48],
            ],
            'assumptions' => ['clutch_sd' => 0],
        ]);

        return (new Planner(Shelf::catalogue(), $project))->space();
    }

    private function isTied(Founder $founder): bool
    {
        foreach ($founder->belief->factors as $factor) {
            if (count($factor->groups) > 1) {
                return true;
            }
        }

        return false;
    }
}
