<?php

declare(strict_types=1);

namespace Tests\Core\Season;

use Destino\Season\Opening;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

class OpeningTest extends TestCase
{
    /** @return iterable<string, array{Opening, int|null, bool, string|null}> */
    public static function cases(): iterable
    {
        yield 'never, at term' => [Opening::Never, 60, true, 'opens no eggs'];
        yield 'after the first pip' => [Opening::AfterFirstPip, 51, true, null];
        yield 'before the first pip' => [Opening::AfterFirstPip, 57, false, 'it is day 57'];
        yield 'before the first pip, day not known' => [Opening::AfterFirstPip, null, false, 'none of this clutch has.'];
        yield 'the day before' => [Opening::FromDay, 54, true, 'from day 55 on, and this is day 54'];
        yield 'on the day' => [Opening::FromDay, 55, false, null];
        yield 'a day without a beginning' => [Opening::FromDay, null, true, 'day of laying is not known'];
    }

    #[DataProvider('cases')]
    public function testTheHouseObjectsWhereItsSchoolWouldWait(Opening $school, ?int $day, bool $pipped, ?string $expected): void
    {
        $says = $school->objection($day, $pipped, 55);
        $expected === null ? $this->assertNull($says) : $this->assertStringContainsString($expected, (string) $says);
    }

    public function testEverySchoolHasItsReason(): void
    {
        $reasons = array_map(fn (Opening $school): string => $school->reason(), Opening::cases());
        $this->assertCount(3, array_unique(array_filter($reasons)));
    }
}
