<?php

declare(strict_types=1);

namespace Tests\Core\Husbandry;

use DateTimeImmutable;
use Destino\Husbandry\BreedingRules;
use Destino\Husbandry\Readiness;
use Destino\Husbandry\Weighing;
use Destino\Husbandry\WeightTrend;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ReadinessTest extends TestCase
{
    private const TODAY = '2026-11-23';

    /**
     * Male or female, hatched, weights by date, ready, the first reason, likely date.
     *
     * @return iterable<string, array{bool, string|null, array<string, int>, bool|null, string, string|null}>
     */
    public static function animals(): iterable
    {
        yield 'an adult female in weight' => [false, '2023-07-01', ['2026-11-01' => 1620], true, '', null];
        yield 'a male of one year' => [true, '2025-11-01', ['2026-11-01' => 560], true, '', null];
        yield 'exactly of age today' => [true, '2025-11-23', ['2026-11-01' => 500], true, '', null];
        yield 'too young, heavy enough' => [
            false, '2024-11-23', ['2026-11-01' => 1700], false, 'Too young: 30 months are asked of a female.', '2027-05-23',
        ];
        // 1,300 g forty days ago, 1,400 g now: 2.5 g a day, 40 days to 1,500 g.
        yield 'too light, gaining' => [
            false, '2022-07-01', ['2026-10-14' => 1300, '2026-11-23' => 1400], false,
            'Too light: 1,400 g of the 1,500 g asked of a female.', '2027-01-02',
        ];
        yield 'too young and too light: the later of the two' => [
            false, '2024-06-23', ['2026-10-14' => 1300, '2026-11-23' => 1400], false, 'Too young', '2027-01-02',
        ];
        yield 'too light, losing weight: no date' => [
            false, '2022-07-01', ['2026-10-14' => 1400, '2026-11-23' => 1300], false, 'Too light', null,
        ];
        yield 'too light, weighed once: no date' => [false, '2022-07-01', ['2026-11-20' => 1400], false, 'Too light', null];
        yield 'of age, never weighed' => [true, '2023-01-01', [], true, 'No weight recorded.', null];
        yield 'heavy enough, age unknown' => [false, null, ['2026-11-01' => 1700], true, 'The hatch date is not known', null];
        yield 'nothing known' => [false, null, [], null, 'The hatch date is not known', null];
        yield 'an old weight says so' => [
            false, '2021-07-01', ['2026-01-01' => 1700], true, 'The last weight is of 1 January 2026; weigh again.', null,
        ];
    }

    /** @param array<string, int> $weights */
    #[DataProvider('animals')]
    public function testReadiness(bool $isMale, ?string $hatched, array $weights, ?bool $isReady, string $reason, ?string $likely): void
    {
        $readiness = Readiness::assess(
            $isMale, $hatched === null ? null : new DateTimeImmutable($hatched), self::weighings($weights), new BreedingRules,
            new DateTimeImmutable(self::TODAY),
        );

        self::assertSame($isReady, $readiness->isReady);
        self::assertTrue(str_starts_with($readiness->reasons[0] ?? '', $reason), $readiness->reasons[0] ?? 'no reason');
        self::assertSame($likely, $readiness->likely?->format('Y-m-d'));
    }

    public function testTheKeepersOwnRulesDecide(): void
    {
        $ask = static fn (BreedingRules $rules): ?bool => Readiness::assess(
            false, new DateTimeImmutable('2024-10-01'), self::weighings(['2026-11-01' => 1250]), $rules,
            new DateTimeImmutable(self::TODAY),
        )->isReady;
        self::assertFalse($ask(new BreedingRules));
        self::assertTrue($ask(new BreedingRules(femaleMonths: 24, femaleGrams: 1200)));
    }

    public function testTheTrendIsTheLineThroughTheLastYear(): void
    {
        $today = new DateTimeImmutable(self::TODAY);
        $trend = WeightTrend::of(
            self::weighings(['2024-01-01' => 9000, '2026-11-03' => 1000, '2026-11-13' => 1020, '2026-11-23' => 1040]), $today,
        );
        self::assertNotNull($trend);
        self::assertEqualsWithDelta(2.0, $trend->gramsPerDay, 1e-9);
        self::assertSame([0, 30], [$trend->daysUntil(1000), $trend->daysUntil(1100)]);
        self::assertNull(WeightTrend::of(self::weighings(['2026-11-03' => 1000]), $today));
    }

    /**
     * @param array<string, int> $weights
     * @return list<Weighing>
     */
    private static function weighings(array $weights): array
    {
        return array_map(
            static fn (string $on, int $grams): Weighing => new Weighing(new DateTimeImmutable($on), $grams),
            array_keys($weights), $weights,
        );
    }
}
