<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use Destino\Genome\Allele;
use Destino\Genome\Sex;
use Destino\Money\Forecast;
use Destino\Money\PriceBook;
use Destino\Money\PriceEntry;
use Destino\Notation\TargetReader;
use Destino\Pairing\Cross;
use Destino\Probability\Rational;
use InvalidArgumentException;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

class PriceBookTest extends TestCase
{
    /** @param array<string, int> $prices whole units by target */
    private static function book(array $prices): PriceBook
    {
        return new PriceBook(...array_map(
            fn (string $target, int $price): PriceEntry => new PriceEntry(
                (new TargetReader(Shelf::catalogue(), Shelf::facts()->names(), takesChoices: true))->read($target),
                100 * $price, 100 * $price,
            ),
            array_keys($prices), $prices,
        ));
    }

    private static function cross(string $sire, string $dam): Cross
    {
        return Cross::of(
            Shelf::catalogue(), Shelf::reader()->read($sire, Sex::Male)->beliefOrFail(),
            Shelf::reader()->read($dam, Sex::Female)->beliefOrFail(),
        );
    }

    /** @return array<string, string> chance by target, '' for what no entry speaks of */
    private static function classes(PriceBook $book, Cross $cross): array
    {
        $classes = [];
        foreach ($book->classesOf($cross) as [$entry, $chance]) {
            $classes[$entry === null ? '' : $entry->target->text] = $chance->toString();
        }

        return $classes;
    }

    public function testAnEggGoesForTheDearestEntryThatItMeets(): void
    {
        $book = self::book(['Pastel' => 80, 'Clown' => 500, 'Clown + Pastel' => 900]);
        $this->assertSame(
            ['Clown + Pastel' => '1/8', 'Clown' => '1/8', 'Pastel' => '3/8', '' => '3/8'],
            self::classes($book, self::cross('Pastel het Clown', 'het Clown')),
        );
    }

    public function testEntriesMayLeaveAChoiceOrNameAllThatShows(): void
    {
        $cross = self::cross('Pastel Enchi, het Clown', 'het Clown');
        self::assertSame(
            ['Clown' => '1/4', 'at least two of Pastel, Enchi' => '3/16', 'Pastel or Enchi' => '3/8', '' => '3/16'],
            self::classes(self::book(['Clown' => 500, 'at least two of Pastel, Enchi' => 300, 'Pastel or Enchi' => 100]), $cross),
        );
        // Of eggs that show Pastel and nothing else none is Clown: 1/2 · 1/2 · 3/4.
        self::assertSame(
            ['only Pastel' => '3/16', 'Clown' => '1/4', '' => '9/16'],
            self::classes(self::book(['only Pastel' => 900, 'Clown' => 500]), $cross),
        );
    }

    public function testSexesHavePricesOfTheirOwn(): void
    {
        $book = self::book(['Clown, female' => 600, 'Clown' => 500, 'Pastel, male' => 60]);
        $this->assertSame(
            ['Clown, female' => '1/4', 'Clown' => '1/4', 'Pastel, male' => '1/8', '' => '3/8'],
            self::classes($book, self::cross('Pastel het Clown', 'Clown')),
        );
    }

    public function testDeadEggsGoForNothing(): void
    {
        $this->assertSame(['Spider' => '1/2', '' => '1/2'], self::classes(self::book(['Spider' => 100]), self::cross('Spider', 'Spider')));
    }

    public function testManyEntriesAgreeWithEveryOutcome(): void
    {
        $names = [
            'Pastel', 'Enchi', 'Clown', 'Piebald', 'Pastel + Enchi', 'Clown + Enchi', 'not Pastel', 'Clown + Piebald', 'Enchi, female',
            'Super Pastel',
        ];
        $cross = self::cross('Pastel Enchi het Clown 66% het Piebald', 'Pastel het Clown het Piebald');
        $space = self::everyEgg();
        for ($seed = 1; $seed <= 6; $seed++) {
            mt_srand($seed);
            $prices = [];
            foreach ($names as $name) {
                mt_rand(0, 2) === 0 ?: $prices[$name] = mt_rand(1, 900);
            }
            $book = self::book($prices);
            $sum = Rational::zero();
            foreach ($book->classesOf($cross) as [$entry, $chance]) {
                $sum = $sum->plus($chance->times(Rational::of($entry?->middle() ?? 0)));
            }
            $this->assertSame(self::byOutcomes($book, $space)->toString(), $sum->toString(), implode(', ', array_keys($prices)));
        }
    }

    /** @return list<array{array<string, \Destino\Genome\Form>, Sex, Rational}> of the cross below, by Mendel's rules locus by locus */
    private static function everyEgg(): array
    {
        $eggs = [[[], Sex::Male, Rational::of(1, 2)], [[], Sex::Female, Rational::of(1, 2)]];
        foreach ([
            'pastel' => [[1, 4], [1, 2], [1, 4]], 'enchi' => [[1, 2], [1, 2], [0, 1]], 'clown' => [[1, 4], [1, 2], [1, 4]],
            'piebald' => [[1, 3], [1, 2], [1, 6]],
        ] as $allele => $copies) {
            $locus = Shelf::catalogue()->allele($allele)->locus;
            $more = [];
            foreach ($eggs as [$forms, $sex, $chance]) {
                foreach ($copies as $count => [$of, $in]) {
                    $form = Shelf::catalogue()->form($locus, $count > 0 ? $allele : Allele::WILD, $count > 1 ? $allele : Allele::WILD);
                    $more[] = [[...$forms, $locus => $form], $sex, $chance->times(Rational::of($of, $in))];
                }
            }
            $eggs = $more;
        }

        return $eggs;
    }

    /** @param list<array{array<string, \Destino\Genome\Form>, Sex, Rational}> $space forms, sex and chance of every egg */
    private static function byOutcomes(PriceBook $book, array $space): Rational
    {
        $mean = Rational::zero();
        foreach ($space as [$forms, $sex, $chance]) {
            $best = 0;
            foreach ($book->entries as $entry) {
                $meets = $entry->target->acceptsSex($sex)
                    && array_filter($forms, fn ($form): bool => ! $entry->target->accepts($form)) === [];
                $best = $meets ? max($best, $entry->middle()) : $best;
            }
            $mean = $mean->plus($chance->times(Rational::of($best)));
        }

        return $mean;
    }

    public function testAnAnimalGoesForWhatItSurelyIs(): void
    {
        $book = self::book(['Clown' => 500, 'Pastel, female' => 90, 'Pastel' => 80]);
        $price = fn (string $genes, ?Sex $sex): ?string => $book->priceOf(
            Shelf::reader()->read($genes, $sex ?? Sex::Female)->beliefOrFail(), $sex, Shelf::catalogue(),
        )?->target->text;
        $this->assertSame(
            ['Pastel, female', 'Pastel', 'Pastel'],
            [$price('Pastel 66% het Clown', Sex::Female), $price('Pastel', Sex::Male), $price('Pastel', null)],
        );
        $this->assertNull($price('66% het Clown', Sex::Male));
    }

    public function testAForecastIsTheSumOfItsEggs(): void
    {
        $classes = self::book(['Clown' => 500])->classesOf(self::cross('het Clown', 'het Clown'));
        $forecast = Forecast::of($classes, 4);
        $this->assertSame('50000', $forecast->mean->toString());
        // 81/256 have none, 108/256 one, 54/256 two
        $this->assertSame(
            [0, 50000, 100000, 200000],
            [$forecast->quantile(.3), $forecast->quantile(.5), $forecast->quantile(.94), $forecast->quantile(1.0)],
        );
        $this->assertSame([0, 0], [Forecast::of($classes, 0)->quantile(.9), Forecast::of([[null, Rational::one()]], 5)->quantile(.5)]);
    }

    public function testSumsThatAreTooManyToKeepApartStayNearTheirPlace(): void
    {
        $target = Shelf::facts()->targets()->read('Clown');
        $prices = array_map(static fn (int $i): int => 1000 + 7919 * $i + 13 * $i * $i, range(0, 39));
        $classes = array_map(static fn (int $price): array => [new PriceEntry($target, $price, $price), Rational::of(1, 40)], $prices);
        $sums = [];
        foreach ($prices as $a) {
            foreach ($prices as $b) {
                foreach ($prices as $c) {
                    $sums[] = $a + $b + $c;
                }
            }
        }
        sort($sums);
        $forecast = Forecast::of($classes, 3);
        $this->assertSame((string) (3 * array_sum($prices)), $forecast->mean->times(Rational::of(40))->toString());
        foreach ([.01, .05, .25, .5, .75, .95, .99] as $share) {
            $exact = $sums[(int) ceil($share * count($sums)) - 1];
            $this->assertEqualsWithDelta($exact, $forecast->quantile($share), 2 * max($sums) / 4000, "{$share} of three eggs");
        }
        // Twenty eggs drift to no side: the middle is the mean, within two in a thousand.
        $many = Forecast::of($classes, 20);
        $this->assertEqualsWithDelta(1.0, $many->quantile(.5) / $many->mean->toFloat(), .002);
    }

    public function testAPriceBelowNothingIsNone(): void
    {
        $this->expectException(InvalidArgumentException::class);
        new PriceEntry(Shelf::facts()->targets()->read('Clown'), -1, 100);
    }
}
