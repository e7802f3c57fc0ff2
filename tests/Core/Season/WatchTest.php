<?php

declare(strict_types=1);

namespace Tests\Core\Season;

use Destino\Season\Alarm;
use Destino\Season\AlarmKind;
use Destino\Season\Watch;
use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

class WatchTest extends TestCase
{
    private const NOW = 1_800_000_000;

    /**
     * Readings every ten minutes that end now.
     *
     * @param list<float> $values
     * @return list<array{int, float, int}>
     */
    private static function every(array $values, int $minutes = 10, int $endsAgo = 0): array
    {
        $last = count($values) - 1;

        return array_map(function (float $value, int $i) use ($last, $minutes, $endsAgo): array {
            $at = self::NOW - 60 * ($endsAgo + $minutes * ($last - $i));

            return [$at, $value, $at];
        }, $values, array_keys($values));
    }

    /** @return iterable<string, array{list<array{int, float, int}>, list<string>}> */
    public static function cases(): iterable
    {
        $calm = array_fill(0, 20, 31.5);
        yield 'calm' => [self::every($calm), []];
        yield 'nothing heard yet' => [[], []];
        yield 'a little outside for ten minutes' => [self::every([...$calm, 32.3, 32.3]), []];
        yield 'a little outside for half an hour' => [self::every([...$calm, 32.3, 32.3, 32.4, 32.3]), ['drift']];
        yield 'outside and back' => [self::every([...$calm, 32.3, 32.3, 32.4, 32.3, 31.6]), []];
        yield 'far outside at once' => [self::every([...$calm, 32.6, 33.2]), ['drift', 'jump']];
        yield 'a door that was opened' => [self::every([...$calm, 29.8, 30.6, 31.4, ...$calm]), ['jump']];
        yield 'a slow fall' => [self::every([...$calm, 31.2, 31.0, 30.8, 30.6, 30.4, 30.2, 30.0, 29.8]), ['drift']];
        yield 'a jump two days ago' => [self::every([28.0, ...array_fill(0, 290, 31.5)]), []];
        yield 'silence for two hours' => [self::every($calm, 10, 120), ['silence']];
        yield 'an hour without a message, where one comes each ten minutes' => [self::every($calm, 10, 60), []];
        yield 'a minute more' => [self::every($calm, 10, 61), ['silence']];
        yield 'hand readings, a day ago' => [self::every($calm, 1440, 1440), []];
        yield 'hand readings, four days ago' => [self::every($calm, 1440, 4 * 1440), ['silence']];
        yield 'one reading, three and a half days ago' => [self::every([31.5], 10, 5040), ['silence']];
        $late = array_map(fn (array $one): array => [$one[0], $one[1], $one[0] + 7 * 3600], self::every($calm));
        yield 'a clock that is behind' => [$late, ['clock']];
    }

    /**
     * @param list<array{int, float, int}> $readings
     * @param list<string> $expected
     */
    #[DataProvider('cases')]
    public function testWhatIsToBeLookedAt(array $readings, array $expected): void
    {
        $alarms = Watch::temperature(31.0, 32.0)->alarms($readings, self::NOW);
        $this->assertSame($expected, array_map(fn (Alarm $alarm): string => $alarm->kind->value, $alarms));
    }

    public function testAReadingThatStandsAloneIsToldAtOnce(): void
    {
        $watch = Watch::temperature(30.8, 32.2);
        $kinds = static fn (array $readings): array => array_map(
            static fn (Alarm $one): AlarmKind => $one->kind, $watch->alarms($readings, $readings[count($readings) - 1][0] + 60),
        );
        self::assertSame([AlarmKind::Drift], $kinds([[0, 31.5, 0], [3600, 32.6, 3600]]));
        self::assertSame([AlarmKind::Drift], $kinds([[0, 32.6, 0]]));
        self::assertSame([], $kinds([[0, 31.5, 0], [300, 31.6, 300], [600, 32.6, 600]]), 'beside others half an hour is waited');
    }

    public function testADriftIsToldSinceItBegan(): void
    {
        [$alarm] = Watch::temperature(31.0, 32.0)->alarms(self::every([31.5, 30.9, 30.8, 30.7, 30.8, 30.9]), self::NOW);
        $this->assertSame([AlarmKind::Drift, self::NOW - 2400, 30.9], [$alarm->kind, $alarm->since, $alarm->value]);
    }

    public function testTheGreatestJumpOfTheDayIsTold(): void
    {
        [$alarm] = Watch::humidity(80, 95)->alarms(self::every([85, 60, 85, 55, 85, 85, 85, 85]), self::NOW);
        $this->assertSame([AlarmKind::Jump, -30.0], [$alarm->kind, $alarm->value]);
    }

    public function testLimitsMustLeaveRoom(): void
    {
        $this->expectException(InvalidArgumentException::class);
        Watch::temperature(32.0, 31.0);
    }
}
