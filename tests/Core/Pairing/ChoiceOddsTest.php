<?php

declare(strict_types=1);

namespace Tests\Core\Pairing;

use Destino\Genome\Sex;
use Destino\Notation\NotationError;
use Destino\Notation\Target;
use Destino\Notation\TargetReader;
use Destino\Pairing\Cross;
use Destino\Pairing\Genotypes;
use Destino\Pairing\Looks;
use Destino\Pairing\Outcome;
use Destino\Pairing\TargetOdds;
use Destino\Probability\Rational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** "or" between genes, and "at least so many of": against worked figures, and against asking every genotype of the listing. */
final class ChoiceOddsTest extends TestCase
{
    /** @return iterable<string, array{string, string, string, string}> sire, dam, target, chance per egg */
    public static function worked(): iterable
    {
        $pair = ['Pastel Enchi het Clown', 'Fire Mojave het Clown'];
        yield 'one gene or another' => [...$pair, 'Pastel or Clown', '5/8']; // 1 − 1/2 · 3/4
        yield 'beside another gene' => [...$pair, 'Clown, Pastel or Enchi', '3/16']; // 1/4 · 3/4
        yield 'brackets' => [...$pair, '(Pastel Clown) or (Enchi Clown)', '3/16'];
        yield 'two of three' => [...$pair, 'at least two of Pastel, Enchi, Fire', '1/2'];
        yield 'any two of, the last joined by “and”' => [...$pair, 'any 2 of Pastel, Enchi and Fire', '1/2'];
        yield 'of a list, with a gene of its own' => [...$pair, 'at least 2 of Pastel, Enchi, Fire + Clown', '1/8'];
        yield 'co-dominants' => [...$pair, 'any Clown with two co-dominants', '11/64']; // 1/4 · 11/16
        yield 'genes of any kind' => [...$pair, 'at least four genes', '1/8']; // the four 1/16, or three of them and Clown 4/16 · 1/4
        yield 'sexes in brackets' => [...$pair, '(female Clown) or (male Pastel)', '3/8'];
        yield 'a sex for all' => [...$pair, 'female, Pastel or Clown', '5/16'];
        yield 'with what must not be' => [...$pair, 'any two of Pastel, Enchi, Clown, not Fire', '3/16'];
        yield 'a name for a combination' => ['Pastel het Clown', 'Spider het Clown', 'Bumblebee or Clown', '7/16'];
        yield 'alleles of one locus count each' => ['Mojave/Lesser', 'Pastel', 'at least two of Mojave, Lesser, Pastel', '1/2'];
        yield 'nothing else may show' => ['Pastel Enchi', 'Fire', 'Pastel or Enchi, only', '3/8']; // 3/4 · 1/2
        yield 'two recessives' => ['het Clown het Piebald', 'Clown het Piebald', 'two recessives', '1/8'];
        yield 'under a doubt' => ['66% het Clown', 'Clown Pastel', 'Clown or Pastel', '2/3']; // 1 − 1/2 · 2/3
        yield '“carries” goes on' => ['het Clown', 'het Piebald', 'carries Clown or Piebald', '3/4'];
        yield 'a “not” in brackets' => ['Pastel', 'Enchi', '(not Pastel) or (Enchi)', '3/4'];
        yield 'none' => ['Pastel', 'Enchi', 'Clown or Piebald', '0'];
    }

    #[DataProvider('worked')]
    public function testPerEgg(string $sire, string $dam, string $target, string $chance): void
    {
        $odds = self::odds(Shelf::cross($sire, $dam), $target);
        self::assertSame($chance, $odds->chance->perEgg()->toString());
        self::assertSame(self::byListing($odds), $odds->chance->perEgg()->toString());
    }

    public function testDrawnAtRandomTheListingSaysTheSame(): void
    {
        mt_srand(20261202);
        $genes = ['Pastel', 'Enchi', 'Fire', 'Mojave', 'Lesser', 'Spider', 'het Clown', '66% het Clown', 'het Piebald', '50% het Piebald',
            'Banana', 'Yellow Belly', 'Leopard'];
        $asked = ['Pastel', 'Enchi', 'Fire', 'Mojave', 'Mojave/Lesser', 'Spider', 'Clown', 'carries Clown', 'het Piebald', 'Banana',
            'not Pastel', 'Super Pastel', 'Ivory', 'Leopard', 'no Fire'];
        $some = static function (array $from, int $count): array {
            shuffle($from);

            return array_slice($from, 0, $count);
        };
        $open = 0;
        for ($i = 0; $i < 90; $i++) {
            [$sire, $dam] = [implode(' ', $some($genes, mt_rand(2, 4))), implode(' ', $some($genes, mt_rand(2, 4)))];
            $list = implode(', ', $few = $some(array_slice($asked, 0, 10), mt_rand(3, 5)));
            $one = static fn (): string => '('.implode(' ', $some($asked, mt_rand(1, 2))).(mt_rand(0, 5) === 0 ? ' female' : '').')';
            $target = match (mt_rand(0, 2)) {
                0 => 'at least '.mt_rand(1, count($few))." of {$list}",
                1 => "{$one()} or {$one()}".(mt_rand(0, 1) === 0 ? " or {$one()}" : ''),
                default => 'any two of '.$list.' + ('.$some($asked, 1)[0].') or '.$one(),
            };
            try {
                $odds = self::odds(Shelf::cross($sire, $dam), $target);
            } catch (NotationError $error) {
                self::assertStringContainsString('locus', $error->getMessage(), "{$sire} × {$dam}");

                continue; // three alleles of one locus in one parent
            }
            self::assertSame(self::byListing($odds), $odds->chance->perEgg()->toString(), "{$sire} × {$dam}: {$target}");
            $open += $odds->chance->perEgg()->isZero() || $odds->chance->perEgg()->isOne() ? 0 : 1;
        }
        self::assertGreaterThan(20, $open);
    }

    public function testAClutchIsAskedGivenTheParents(): void
    {
        // If he carries Clown (2/3) half the eggs are Clown and 3/4 hits; if not, half are hits.
        $chance = self::odds(Shelf::cross('66% het Clown', 'Clown Pastel'), 'Clown or Pastel')->chance;
        $misses = Rational::of(2, 3)->times(Rational::of(1, 4)->power(5))->plus(Rational::of(1, 3)->times(Rational::of(1, 2)->power(5)));
        self::assertSame($misses->complement()->toString(), $chance->atLeastOne(5)->toString());
    }

    public function testSexesAddUpAndOptionsExclude(): void
    {
        $odds = self::odds(Shelf::cross('Banana het Clown', 'Pastel het Clown'), 'at least two of Banana, Clown, Pastel');
        self::assertSame(
            $odds->chance->perEgg()->toString(), $odds->bySex(Sex::Male)->perEgg()->plus($odds->bySex(Sex::Female)->perEgg())->toString(),
        );
        $cross = Shelf::cross('Pastel het Clown', 'Enchi Clown');
        $either = self::odds($cross, 'Pastel or Clown')->chance->perEgg();
        $both = self::odds($cross, 'Pastel Clown')->chance->perEgg();
        $sum = self::odds($cross, 'Pastel')->chance->perEgg()->plus(self::odds($cross, 'Clown')->chance->perEgg());
        self::assertSame($sum->toString(), $either->plus($both)->toString());
    }

    public function testALookOfWhichPartIsMeantIsCountedInPart(): void
    {
        $odds = self::odds($cross = Shelf::cross('het Clown Pastel', 'het Clown'), 'Pastel or carries Clown');
        $sum = Rational::zero();
        foreach (Looks::of($cross)->walk() as $outcome) {
            $sum = $sum->plus($outcome->probability->times($odds->shareOfHits($outcome)));
        }
        self::assertSame('7/8', $sum->toString());
        self::assertSame('7/8', $odds->chance->perEgg()->toString());
    }

    public function testManyDoubtsStayFew(): void
    {
        // Only the number of what is left counts: without that this pair keeps thousands of answers apart, and takes 200 MB.
        $sure = 'Pastel Enchi Fire Leopard Spotnose 50% Spider';
        $hets = '66% het Clown, 66% het Piebald, 50% het Albino, 66% het Ultramel, 66% het Genetic Stripe';
        $cross = Shelf::cross("{$sure}, {$hets}", "Mojave Cinnamon 50% Gravel, {$hets}");
        $before = memory_get_usage();
        memory_reset_peak_usage();
        $chance = self::odds($cross, 'at least five genes')->chance;
        self::assertLessThan(40e6, memory_get_peak_usage() - $before);
        self::assertSame(1, $chance->perEgg()->compareTo(Rational::of(2, 5)));
    }

    public function testBothIsWhatMeetsEachOfTwo(): void
    {
        $cross = Shelf::cross('Pastel Enchi, het Clown', 'Fire, het Clown');
        $targets = ['Clown', 'only Pastel', 'Normal', 'Pastel or Clown', 'only Pastel + Enchi', 'not Enchi', 'at least two of Pastel, Enchi, Fire',
            'female Clown', 'carries Clown, only'];
        foreach ($targets as $one) {
            foreach ($targets as $other) {
                [$a, $b] = [self::odds($cross, $one), self::odds($cross, $other)];
                $sum = Rational::zero();
                foreach (Genotypes::of($cross, sexed: true)->walk() as $outcome) {
                    $sum = $a->isHit($outcome) && $b->isHit($outcome) ? $sum->plus($outcome->probability) : $sum;
                }
                $both = TargetOdds::of($cross, $a->target->both($b->target))->chance->perEgg();
                self::assertSame($sum->toString(), $both->toString(), "{$one} and {$other}");
            }
        }
    }

    public function testAnAnimalMeetsWhatItIsBelievedToBe(): void
    {
        foreach ([
            ['Pastel 66% het Clown', 'Enchi or carries Clown', '2/3'], ['Pastel 66% het Clown', 'at least two of Pastel, Enchi, carries Clown', '2/3'],
            ['Pastel', 'Enchi or not Fire', '1'], ['50% Enchi 50% Fire', 'Enchi or Fire', '3/4'], ['Normal', 'two co-dominants', '0'],
        ] as [$animal, $target, $chance]) {
            $read = self::read($target);
            self::assertSame($chance, $read->chanceFor(Shelf::belief($animal), Shelf::catalogue())->toString(), "{$animal}: {$target}");
        }
    }

    public function testWhyNotIsSaid(): void
    {
        $cross = Shelf::cross('Pastel Enchi', 'Fire');
        self::assertSame(
            'an egg of these parents can have at most 2 of Pastel, Enchi, Clown.',
            self::odds($cross, 'at least three of Pastel, Enchi, Clown')->whyImpossible(),
        );
        self::assertSame('an egg of these parents can have none of Clown, Piebald.', self::odds($cross, 'Clown or Piebald')->whyImpossible());
        self::assertNull(self::odds($cross, 'Pastel or Piebald')->whyImpossible());
    }

    /** @return iterable<string, array{string, string}> what cannot be read, and what is said */
    public static function faults(): iterable
    {
        yield 'two ways to group' => ['Pastel Clown or Enchi Clown', 'Put brackets where genes belong together'];
        yield 'two ways to group, at its end' => ['Pastel or Enchi Clown', '(Pastel or Enchi) + Clown'];
        yield 'a “not” of one or of both' => ['Clown, not Pastel or Enchi', 'Does “not” speak of all of them?'];
        yield 'more than are named' => ['at least 3 of Pastel, Enchi', 'only 2 are named'];
        yield 'brackets in brackets' => ['(Pastel + (Clown or Fire)) or Enchi', 'cannot hold another'];
        yield 'an open bracket' => ['Pastel or (Clown', 'not closed'];
        yield 'empty brackets' => ['Pastel or ()', 'empty'];
        yield 'no list' => ['at least two of', 'ends in the middle'];
        yield 'a misspelt gene' => ['at least two of Pastel, Encki, Fire', 'Enchi'];
    }

    #[DataProvider('faults')]
    public function testFaultsAreSaid(string $typed, string $says): void
    {
        $this->expectException(NotationError::class);
        $this->expectExceptionMessage($says);
        self::read($typed);
    }

    public function testWhatIsOfferedForTwoWaysReadsAsOffered(): void
    {
        try {
            self::read('Pastel Clown or Enchi Clown');
            self::fail('it was read');
        } catch (NotationError $error) {
            self::assertSame(['(Pastel Clown) or (Enchi Clown)', 'Pastel + (Clown or Enchi) + Clown'], $error->suggestions);
            $cross = Shelf::cross('Pastel Enchi het Clown', 'het Clown');
            self::assertSame(['3/16', '1/8'], array_map(
                static fn (string $choice): string => self::odds($cross, $choice)->chance->perEgg()->toString(), $error->suggestions,
            ));
        }
    }

    /** P(hit) by asking each genotype of the listing, option by option. */
    private static function byListing(TargetOdds $odds): string
    {
        $sum = Rational::zero();
        foreach (Genotypes::of($odds->cross, sexed: true, phased: true)->walk() as $outcome) {
            $isHit = ! $outcome->isLethal && self::isMet($odds->cross, Target::of('', $odds->target->conditions, $odds->target->only
                && $odds->target->choices === [], $odds->target->sex), $outcome);
            foreach ($odds->target->choices as $choice) {
                $met = array_filter($choice->options, static fn (Target $option): bool => self::isMet($odds->cross, $option, $outcome));
                $isHit = $isHit && count($met) >= $choice->atLeast;
            }
            $shows = array_merge([], ...array_map(static fn ($form): array => $form->shows, array_values($outcome->forms)));
            $isHit = $isHit && (! $odds->target->only || array_diff($shows, $odds->target->wantedAlleles()) === []);
            $sum = $isHit ? $sum->plus($outcome->probability) : $sum;
        }

        return $sum->toString();
    }

    private static function isMet(Cross $cross, Target $plain, Outcome $outcome): bool
    {
        return TargetOdds::of($cross, $plain)->isHit($outcome);
    }

    private static function odds(Cross $cross, string $target): TargetOdds
    {
        return TargetOdds::of($cross, self::read($target));
    }

    private static function read(string $typed): Target
    {
        return (new TargetReader(Shelf::catalogue(), Shelf::facts()->names(), takesChoices: true))->read($typed);
    }
}
