<?php

declare(strict_types=1);

namespace Tests\Core\Pairing;

use Destino\Genome\Claim;
use Destino\Pairing\Asking\Prediction;
use Destino\Pairing\Asking\Question;
use Destino\Pairing\Asking\UnreadableQuestion;
use Destino\Pairing\By;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class PredictionTest extends TestCase
{
    public function testAllFaultsOfAQuestionAreToldAtOnce(): void
    {
        try {
            self::predict(new Question('Pastle', 'Mojave Mystic Lesser', 'Clwn'));
            self::fail('nothing of this can be read');
        } catch (UnreadableQuestion $error) {
            self::assertSame(['sire', 'dam', 'target'], array_keys($error->errors));
            self::assertSame(['sire', 'Pastle'], [$error->field(), $error->first()->piece]);
            self::assertSame($error->first()->getMessage(), $error->getMessage());
        }
    }

    public function testWhatCouldBeReadStaysRead(): void
    {
        try {
            self::predict(new Question('Pastel het Clown', 'Mojvae'));
            self::fail('the dam cannot be read');
        } catch (UnreadableQuestion $error) {
            self::assertNotNull($error->sire->belief);
            self::assertNull($error->dam->belief);
        }
    }

    public function testAnAnswerCarriesWhatItRestsOn(): void
    {
        $assumptions = self::predict(new Question('Banana Pinstripe', 'Pinstripe'), ['banana-sex-fraction' => '1/20'])->assumptions();
        self::assertSame('1/20', $assumptions->recombination['sex–banana']->toString());
        self::assertSame('1/20', $assumptions->schools['banana-sex-fraction']);
        self::assertSame('allelic', $assumptions->schools['spider-blackhead-allelism']);
        self::assertCount(2, $assumptions->readings, 'the unknown phase, and one copy of a dominant gene, told once');
    }

    public function testOnlyThoseDisputesAreToldThatChangeTheAnswer(): void
    {
        $told = static function (string $sire, string $dam, array $schools = []): array {
            $under = Shelf::catalogue(...);
            $question = new Question($sire, $dam);
            $claims = Prediction::of(Shelf::catalogue($schools), $question, Shelf::facts()->names($schools), under: $under)->disputes();

            return array_map(static fn (Claim $claim): string => $claim->key, $claims);
        };
        $about = static fn (string $key, array $claims): bool => in_array($key, $claims, true);
        $allelism = 'enchi-cinnamon-allelism';
        self::assertTrue($about($allelism, $told('Enchi Cinnamon', 'Normal')), 'one locus or two: both, or exactly one');
        self::assertTrue($about($allelism, $told('Enchi', 'Cinnamon')), 'the young with both are compounds');
        foreach ([[], [$allelism => 'allelic'], [$allelism => 'linked']] as $schools) {
            self::assertFalse($about($allelism, $told('Enchi', 'Normal', $schools)), 'Enchi alone is half of them, whoever is right');
        }
        self::assertNotSame([], self::predict(new Question('Enchi', 'Normal'))->disputes(), 'where nobody can say, all are told');
    }

    public function testATargetThatNamesASexTellsTheSexesApart(): void
    {
        self::assertSame('1', (string) self::predict(new Question('Clown', 'Clown'))->outcomes()->total());
        self::assertSame('2', (string) self::predict(new Question('Clown', 'Clown', 'Clown, female'))->outcomes()->total());
    }

    public function testTheWaysToAskAreIndependent(): void
    {
        $totals = [];
        foreach (By::cases() as $by) {
            foreach ([false, true] as $hatched) {
                foreach ([false, true] as $sexed) {
                    $totals[] = (string) self::predict(
                        new Question('Spider het Clown', 'Spider het Clown', by: $by, sexed: $sexed, hatched: $hatched),
                    )->outcomes()->total();
                }
            }
        }
        // By genotype 3·3, without the dead 2·3; by look 2·2 and the dead as one; twice as many by sex, the dead apart.
        self::assertSame(['9', '18', '6', '12', '5', '9', '4', '8'], $totals);
    }

    public function testTheSameQuestionHasTheSameAnswer(): void
    {
        $ask = static fn (): array => array_map(
            static fn ($outcome): string => $outcome->label.$outcome->probability->toString(),
            self::predict(new Question('Banana 66% het Clown Mojave', 'Lesser Yellow Belly or Gravel', by: By::Look))->outcomes()->top(40),
        );
        self::assertSame($ask(), $ask());
    }

    /** @param array<string, string> $schools */
    private static function predict(Question $question, array $schools = []): Prediction
    {
        return Prediction::of(Shelf::catalogue($schools), $question, Shelf::facts()->names($schools));
    }
}
