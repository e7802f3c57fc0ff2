<?php

declare(strict_types=1);

namespace Tests\Core\Notation;

use Destino\Genome\Belief;
use Destino\Genome\JointBelief;
use Destino\Genome\Sex;
use Destino\Notation\Percentage;
use Destino\Notation\Printer;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class PrinterTest extends TestCase
{
    use TestTrait;

    /** Words for random texts: every kind of statement that the notation knows. */
    private const WORDS = [
        'Pastel', 'Super Enchi', 'Mojave', 'mystic', '50% Lesser', 'Yellow Belly or Gravel', 'possible Fire (25%)',
        'Cinnamon/Black Pastel', 'HRA',
        'Pinstripe (33% two copies)', 'Calico', 'Banana (female maker)', '66% het Clown', 'het pied', 'Albino', '1/8 het Candy',
        '33% Ultramel', 'Axanthic 2',
        '25% Super Spotnose 50% Spotnose', 'Desert Ghost', 'het Tri-Stripe', 'Scaleless', 'Suma', 'Leopard or Spider', 'het Genetic Stripe or het Sunset', 'Woma or Hidden Gene Woma',
    ];

    public function testWhatIsPrintedReadsBackAsTheSameBelief(): void
    {
        $printer = new Printer(Shelf::catalogue());
        $texts = Generators::map(
            static fn (array $picks): string => implode(
                ' ', array_map(static fn (int $pick): string => self::WORDS[$pick], array_unique($picks)),
            ),
            Generators::tuple(...array_fill(0, 5, Generators::choose(0, count(self::WORDS) - 1))),
        );
        $this->limitTo(150)->forAll($texts)->then(static function (string $text) use ($printer): void {
            $reading = Shelf::reader()->read($text, Sex::Male);
            if ($reading->belief === null) {
                self::assertNotSame([], $reading->errors, 'what cannot be read says why');

                return;
            }
            $printed = $printer->belief($reading->belief);
            $again = Shelf::belief($printed, Sex::Male);
            self::assertSame($printed, $printer->belief($again));
            foreach ($reading->belief->groups() as $key) {
                $group = Shelf::catalogue()->groups[$key];
                self::assertEquals(
                    self::odds($reading->belief->factorOf($group)->states->entries()),
                    self::odds($again->factorOf($group)->states->entries()),
                    "{$text} → {$printed}",
                );
            }
        });
    }

    public function testGenesOfWhichTheAnimalHasExactlyOneStayTied(): void
    {
        $printer = new Printer(Shelf::catalogue());
        foreach (['Pastel or Enchi' => ['Pastel', 'Enchi'], 'Fire Pastel or Clown' => ['Pastel', 'Clown'], 'het Clown or het Piebald' => ['carries Clown', 'carries Piebald']] as $text => [$one, $other]) {
            $belief = Shelf::belief($printer->belief(Shelf::belief($text)));
            $chance = static fn (string $target): string => Shelf::facts()->targets()->read($target)->chanceFor($belief, Shelf::catalogue())->toString();
            self::assertSame(['1/2', '1/2', '0'], [$chance($one), $chance($other), $chance("{$one} + {$other}")], $text);
        }
        self::assertSame([], $printer->unevenTies(Shelf::belief('Pastel or Enchi')));
        [$states, $groups] = [[], []];
        foreach (Shelf::belief('Pastel or Enchi')->factors[0]->states->entries() as $key => [$state]) {
            $states[] = [$key, $state, Rational::of($states === [] ? 7 : 3, 10)];
        }
        $groups = Shelf::belief('Pastel or Enchi')->factors[0]->groups;
        $uneven = new Belief(Sex::Female, [new JointBelief($groups, Distribution::ofWeighted($states))]);
        self::assertSame('possible Pastel (70%) possible Enchi (30%)', $printer->belief($uneven));
        self::assertSame(['70% Pastel or 30% Enchi'], $printer->unevenTies($uneven));
    }

    /** @return iterable<string, array{string, string}> */
    public static function percentages(): iterable
    {
        yield 'two thirds as keepers say it' => ['2/3', '66%'];
        yield 'one third' => ['1/3', '33%'];
        yield 'one half' => ['1/2', '50%'];
        yield 'rounded' => ['1/17', '6%'];
        yield 'little is never nothing' => ['1/1000', '0.1%'];
        yield 'very little' => ['1/3000000', '0.00003%'];
        yield 'nearly sure is never sure' => ['999/1000', '99.9%'];
        yield 'nearer still' => ['999999/1000000', '99.9999%'];
        yield 'sure' => ['1', '100%'];
        yield 'nothing' => ['0', '0%'];
    }

    #[DataProvider('percentages')]
    public function testPercentagesClaimNothingFalse(string $chance, string $printed): void
    {
        self::assertSame($printed, Percentage::print(Rational::parse($chance)));
    }

    public function testGroupsStandInTheirOrder(): void
    {
        $belief = Shelf::belief(
            '50% het Piebald het Sunset visual Albino Pinstripe Mojave 66% het Ultramel Pastel visual Cryptic/Clown', Sex::Male,
        );
        self::assertSame(
            'Pastel Mojave Pinstripe Cryptic/Clown Albino het Sunset 66% het Ultramel 50% het Piebald',
            (new Printer(Shelf::catalogue()))->belief($belief),
        );
    }

    /**
     * @param array<string, array{mixed, Rational}> $entries
     * @return array<string, string>
     */
    private static function odds(array $entries): array
    {
        $odds = array_map(static fn (array $entry): string => $entry[1]->toString(), $entries);
        ksort($odds);

        return $odds;
    }
}
