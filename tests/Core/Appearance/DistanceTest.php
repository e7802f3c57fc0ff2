<?php

declare(strict_types=1);

namespace Tests\Core\Appearance;

use Destino\Appearance\Difference;
use Destino\Appearance\Distance;
use Destino\Appearance\Look;
use Destino\Appearance\LookFacts;
use Destino\Genome\Expressions;
use Destino\Genome\Form;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** How far apart drawings are to the eye: a distance, and the same one however it is asked for. */
final class DistanceTest extends TestCase
{
    private const GENES = ['Pastel', 'Enchi', 'Clown', 'Piebald', 'Spider', 'Mojave', 'Albino', 'Black Pastel', 'Ivory'];

    public function testItIsADistance(): void
    {
        $colours = array_map(static fn (Look $look): Distance => new Distance($look), self::looks());
        $apart = array_map(
            static fn (Distance $one): array => array_map(static fn (Distance $other): float => $one->toThat($other), $colours), $colours,
        );
        self::assertCount(count(self::GENES) + 1, $apart);
        foreach ($apart as $one => $to) {
            self::assertSame(0.0, $to[$one], $one);
            foreach ($to as $other => $far) {
                self::assertEqualsWithDelta($far, $apart[$other][$one], 1e-9, "{$one}, {$other}");
                $one === $other ?: self::assertGreaterThan(0.0, $far, "{$one}, {$other}");
                foreach ($apart as $by => $from) {
                    self::assertLessThanOrEqual($to[$by] + $from[$other] + 1e-9, $far, "no way round is shorter: {$one}, {$by}, {$other}");
                }
            }
        }
    }

    public function testEachWayToAskGivesTheSame(): void
    {
        $looks = array_slice(self::looks(), 0, 4, true);
        foreach ($looks as $one) {
            foreach ($looks as $other) {
                $apart = Distance::between($one, $other);
                self::assertSame($apart, (new Distance($one))->to($other));
                self::assertSame($apart, (new Distance($one))->toThat(new Distance($other)));
            }
        }
    }

    public function testWhatTheFactsDoNotTellApartIsNotFarApart(): void
    {
        $looks = self::looks();
        $normal = new Distance($looks['Normal']);
        foreach (self::GENES as $gene) {
            self::assertGreaterThan(Distance::SEEN, $normal->to($looks[$gene]), "{$gene} is seen");
            self::assertNotSame([], Difference::between($looks['Normal'], $looks[$gene], self::facts())->words(3));
        }
        self::assertLessThan(Distance::SEEN, $normal->to(self::look('het Clown het Piebald')), 'hets do not show');
    }

    /** @return array<string, Look> */
    private static function looks(): array
    {
        return array_combine(['Normal', ...self::GENES], array_map(self::look(...), ['Normal', ...self::GENES]));
    }

    private static function look(string $text): Look
    {
        return self::facts()->look(Shelf::catalogue(), $text === 'Normal' ? [] : self::forms($text));
    }

    /** @return list<Form> */
    private static function forms(string $text): array
    {
        $forms = [];
        foreach (Shelf::belief($text)->factors as $factor) {
            foreach ((new Expressions(Shelf::catalogue()))->ofState(array_values($factor->states->entries())[0][0]) as $expression) {
                array_push($forms, ...array_values($expression->forms));
            }
        }

        return $forms;
    }

    private static function facts(): LookFacts
    {
        return LookFacts::of(Shelf::facts()->document);
    }
}
