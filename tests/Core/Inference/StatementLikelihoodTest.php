<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Documents\PedigreeReader;
use Destino\Documents\PosteriorDocument;
use Destino\Genome\Sex;
use Destino\Inference\Descent\Descent;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\StatementLikelihood;
use Destino\Inference\Evidence\Testimony;
use Destino\Probability\Probability;
use Destino\Probability\Rational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** A statement weighs as much as it is sure, also where one parent is not recorded. */
final class StatementLikelihoodTest extends TestCase
{
    /** @return array<string, Rational> P(genotype of K) at the locus of clown, by copies */
    private static function chances(?string $stated, int $certainty, bool $isSireKnown): array
    {
        $young = ['id' => 'K', 'sex' => 'female', 'dam' => 'D'] + ($isSireKnown ? ['sire' => 'S'] : []);
        $document = [
            'format' => 'destino-pedigree/1',
            'animals' => [
                ['id' => 'S', 'sex' => 'male', 'stated' => 'het Clown'], ['id' => 'D', 'sex' => 'female', 'stated' => 'het Clown'],
                $young + ($stated === null ? [] : ['stated' => $stated, 'certainty' => $certainty]),
            ],
        ];
        $facts = Shelf::facts();
        $answer = PosteriorDocument::of((new PedigreeReader($facts))->read($document), $facts->catalogue());
        $animal = array_values(array_filter($answer['animals'], static fn (array $one): bool => $one['id'] === 'K'))[0];
        $chances = ['+/+' => Rational::zero(), 'het' => Rational::zero(), 'visual' => Rational::zero()];
        foreach (((array) $animal['loci'])['clown'] as $one) {
            $copies = count(array_keys($one['alleles'], 'clown', true));
            $chances[['+/+', 'het', 'visual'][$copies]] = Rational::parse($one['probability']);
        }

        return $chances;
    }

    /** @return array<string, array{string, list<string>}> statement, and the genotypes that it allows */
    public static function statements(): array
    {
        return ['a visual' => ['Clown', ['visual']], 'a het' => ['het Clown', ['het']], 'percentages' => ['66% het Clown', ['+/+', 'het']]];
    }

    /** @param list<string> $allows */
    #[DataProvider('statements')]
    public function testItWeighsAsMuchAsItIsSure(string $stated, array $allows): void
    {
        foreach ([true, false] as $isSireKnown) {
            $odds = static function (array $chances) use ($allows): Rational {
                $for = array_reduce($allows, static fn (Rational $sum, string $one): Rational => $sum->plus($chances[$one]), Rational::zero());

                return $for->dividedBy(Rational::one()->minus($for));
            };
            $before = $odds(self::chances($stated, 51, $isSireKnown))->times(Rational::of(49, 51));
            foreach ([25 => '1/3', 60 => '3/2', 75 => '3', 90 => '9'] as $certainty => $factor) {
                $after = $odds(self::chances($stated, $certainty, $isSireKnown));
                self::assertEqualsWithDelta(Rational::parse($factor)->toFloat(), $after->dividedBy($before)->toFloat(), 1e-9, "{$certainty} %, sire ".($isSireKnown ? 'known' : 'not recorded'));
            }
        }
    }

    public function testAt50PercentNothingMovesAndPercentagesAreTakenAsFarAsItIsSure(): void
    {
        $before = self::chances(null, 100, false);
        foreach (self::chances('66% het Clown', 50, false) as $key => $chance) {
            self::assertEqualsWithDelta($before[$key]->toFloat(), $chance->toFloat(), 1e-9, $key);
        }
        $sure = self::chances('66% het Clown', 100, false);
        self::assertSame(['1/3', '2/3', '0'], array_map(static fn (Rational $one): string => $one->toString(), array_values($sure)));
        // In between, among what it allows: 2/3 as it says and 1/3 as the parents give, since (c − d) : d = 2 : 1 at 75 %.
        $half = self::chances('66% het Clown', 75, false);
        $parents = self::chances('66% het Clown', 25, false); // below one half its percentages say nothing
        $given = $parents['het']->dividedBy($parents['het']->plus($parents['+/+']))->toFloat();
        self::assertEqualsWithDelta(2 / 3 * 2 / 3 + $given / 3, $half['het']->dividedBy($half['het']->plus($half['+/+']))->toFloat(), 1e-9);
    }

    public function testWhatParentsAndStatementsAloneGiveWeighsTheSame(): void
    {
        $catalogue = Shelf::catalogue();
        $said = static fn (string $text, string $certainty): Testimony => new Testimony(
            's'.$text, Shelf::belief($text), Source::Own, Probability::from(Rational::parse($certainty)), false,
        );
        $sure = Probability::one();
        $odds = static function (string $certainty) use ($catalogue, $said, $sure): Rational {
            $descent = new Descent($catalogue, [
                'D' => new Individual('D', Sex::Female, null, null, [new Testimony('d', Shelf::belief('Clown'), Source::Own, $sure, false)]),
                'K' => new Individual('K', Sex::Female, null, 'D', [$said('Clown', $certainty)]),
            ]);
            $visual = Shelf::facts()->targets()->read('Clown')->chanceFor($descent->of('K')->belief, $catalogue);

            return $visual->dividedBy(Rational::one()->minus($visual));
        };
        self::assertGreaterThan(0.0, $odds('3/5')->toFloat());
        foreach (['3/4' => '2', '1/4' => '2/9', '9/10' => '6'] as $certainty => $factor) { // against 3 : 2
            self::assertSame($odds('3/5')->times(Rational::parse($factor))->toString(), $odds($certainty)->toString(), $certainty);
        }
    }

    public function testTheFormulaByHand(): void
    {
        $r = Rational::parse(...);
        // Half of it before is part a, a quarter each b and what it excludes; it says b, three quarters sure.
        $weights = StatementLikelihood::of($r('3/4'), ['a' => $r('0'), 'b' => $r('1'), 'x' => null], ['a' => 'a', 'b' => 'b', 'x' => 'x'], ['a' => $r('1/2'), 'b' => $r('1/4'), 'x' => $r('1/4')]);
        self::assertSame(['1/4', '7/4', '1/4'], array_map(static fn (Rational $one): string => $one->toString(), array_values($weights)));
        $plain = StatementLikelihood::of($r('3/4'), ['a' => $r('1'), 'x' => null]);
        self::assertSame(['3/4', '1/4'], array_map(static fn (Rational $one): string => $one->toString(), array_values($plain)));
    }
}
