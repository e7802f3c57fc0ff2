<?php

declare(strict_types=1);

namespace Tests\Core\Pairing;

use Destino\Genome\Belief;
use Destino\Genome\JointBelief;
use Destino\Notation\Target;
use Destino\Pairing\Cross;
use Destino\Pairing\Genotypes;
use Destino\Pairing\Square;
use Destino\Pairing\TargetOdds;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** The odds of a clutch against the plain way: fix both parents, lay every clutch egg by egg, add up. */
final class ClutchBruteForceTest extends TestCase
{
    private const EGGS = 4;

    /** @return iterable<string, array{string, string, string}> */
    public static function doubts(): iterable
    {
        yield 'one uncertain parent' => ['66% het Clown', 'Clown', 'Clown'];
        yield 'two uncertain parents' => ['66% het Clown 50% het Piebald', '50% het Clown het Piebald', 'Clown Piebald'];
        yield 'one locus, two uncertain alleles' => ['Yellow Belly or Gravel', '50% Gravel', 'Gravel'];
        yield 'two loci believed together' => ['Woma or Hidden Gene Woma', 'Pastel', 'Woma Pastel'];
        yield 'an unknown phase' => ['Banana', 'Normal', 'Banana, male'];
        yield 'an unknown phase and a doubt' => ['Banana 66% het Clown', 'het Clown', 'Banana Clown, female'];
        yield 'eggs that die' => ['Spider 50% Champagne', 'Spider Champagne', 'Spider'];
        yield 'sure parents' => ['het Clown', 'het Clown', 'Clown'];
    }

    #[DataProvider('doubts')]
    public function testAClutchOfFour(string $sire, string $dam, string $target): void
    {
        $odds = Shelf::odds($sire, $dam, $target);
        $law = array_fill(0, self::EGGS + 1, Rational::zero());
        $cross = Shelf::cross($sire, $dam);
        foreach (self::sureParents($cross->sire) as [$father, $p]) {
            foreach (self::sureParents($cross->dam) as [$mother, $q]) {
                $hit = self::chanceByListing(Cross::of($cross->catalogue, $father, $mother), $odds->target);
                foreach (self::hitsInAClutch($hit) as $hits => $chance) {
                    $law[$hits] = $law[$hits]->plus($chance->times($p)->times($q));
                }
            }
        }
        $expected = Rational::zero();
        foreach ($law as $hits => $chance) {
            $expected = $expected->plus($chance->times(Rational::of($hits)));
        }

        self::assertSame($law[0]->complement()->toString(), $odds->chance->atLeastOne(self::EGGS)->toString());
        self::assertSame($law[0]->plus($law[1])->complement()->toString(), $odds->chance->atLeastTwo(self::EGGS)->toString());
        self::assertSame($expected->toString(), $odds->chance->expected(self::EGGS)->toString());
    }

    public function testDoubtMakesAClutchLessPromisingThanItsAverage(): void
    {
        foreach (self::doubts() as [$sire, $dam, $target]) {
            $chance = Shelf::odds($sire, $dam, $target)->chance;
            $naive = $chance->perEgg()->complement()->power(6)->complement();
            $order = $chance->atLeastOne(6)->compareTo($naive);
            self::assertSame($chance->isUncertain(), $order < 0, "{$sire} × {$dam}");
        }
    }

    public function testOneCellOfEverySquareMultipliesToAnOutcome(): void
    {
        $cross = Shelf::cross('Mojave/Mystic 66% het Clown Banana (male maker)', 'Lesser Clown');
        $squares = Square::allOf($cross);
        self::assertSame(
            ['bel', 'sex-chromosomes', 'clown'], array_map(static fn (Square $square): string => $square->group->key, $squares),
        );
        $products = [['', Rational::one()]];
        foreach ($squares as $square) {
            $longer = [];
            foreach ($products as [$name, $chance]) {
                foreach (array_keys($square->paternal) as $i) {
                    foreach (array_keys($square->maternal) as $k) {
                        $forms = array_map(static fn ($form): string => $form->text, $square->forms($i, $k));
                        $longer[] = [
                            $name.implode('', $forms).$square->sex($i, $k)?->value.';',
                            $chance->times($square->probability($i, $k)),
                        ];
                    }
                }
            }
            $products = $longer;
        }
        $bySquares = [];
        foreach ($products as [$name, $chance]) {
            $bySquares[$name] = isset($bySquares[$name]) ? $bySquares[$name]->plus($chance) : $chance;
        }
        $listed = [];
        foreach (Genotypes::of($cross)->walk() as $outcome) {
            $listed[
                $outcome->forms['bel']->text.';'.$outcome->forms['banana']->text.$outcome->sex?->value.';'
                    .$outcome->forms['clown']->text.';'
            ] = $outcome->probability->toString();
        }
        $bySquares = array_map(static fn (Rational $chance): string => $chance->toString(), $bySquares);
        ksort($bySquares);
        ksort($listed);
        self::assertSame($bySquares, $listed);
    }

    private static function chanceByListing(Cross $cross, Target $target): Rational
    {
        $sum = Rational::zero();
        $odds = TargetOdds::of($cross, $target);
        foreach (Genotypes::of($cross, sexed: true, phased: true)->walk() as $outcome) {
            $sum = $sum->plus($outcome->probability->times($odds->shareOfHits($outcome)));
        }

        return $sum;
    }

    /** @return array<int, Rational> P(hits), by laying one egg after the other */
    private static function hitsInAClutch(Rational $hit): array
    {
        $law = [0 => Rational::one()];
        for ($egg = 0; $egg < self::EGGS; $egg++) {
            $next = [];
            foreach ($law as $hits => $chance) {
                foreach ([[$hits, $hit->complement()], [$hits + 1, $hit]] as [$now, $step]) {
                    $next[$now] = ($next[$now] ?? Rational::zero())->plus($chance->times($step));
                }
            }
            $law = $next;
        }

        return $law;
    }

    /** @return list<array{Belief, Rational}> every certain animal that the belief allows, phase included, with its chance */
    private static function sureParents(Belief $belief): array
    {
        $parents = [[[], Rational::one()]];
        foreach ($belief->factors as $factor) {
            $longer = [];
            foreach ($parents as [$factors, $p]) {
                foreach ($factor->states->entries() as $key => [$state, $q]) {
                    $longer[] = [[...$factors, new JointBelief($factor->groups, Distribution::certain($key, $state))], $p->times($q)];
                }
            }
            $parents = $longer;
        }

        return array_map(static fn (array $parent): array => [new Belief($belief->sex, $parent[0]), $parent[1]], $parents);
    }
}
