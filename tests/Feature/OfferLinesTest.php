<?php

namespace Tests\Feature;

use App\Http\Requests\OfferLines;
use App\Incubation\ReadingColumns;
use App\Incubation\UnreadableReadings;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Lines and headings as keepers type them: read as they are meant, or told what is missing. */
class OfferLinesTest extends TestCase
{
    /** @return iterable<string, array{string, list<array<string, mixed>|string>}> */
    public static function offers(): iterable
    {
        $clown = ['genes' => 'Clown het Piebald', 'sex' => 'female', 'age' => 24, 'price' => 400];
        yield 'as the hint says' => ['female, Clown het Piebald, 24 months, 400', [$clown]];
        yield 'in another order' => ['400, 24 months, Clown het Piebald, Female', [$clown]];
        yield 'genes with commas between' => ['female, Clown, het Piebald, 24 Month, 400', [$clown]];
        yield 'without an age' => ['male, Pastel, 90', [['genes' => 'Pastel', 'sex' => 'male', 'age' => 36, 'price' => 90]]];
        yield 'for nothing' => ['male, Pastel, 0', [['genes' => 'Pastel', 'sex' => 'male', 'age' => 36, 'price' => 0]]];
        yield 'from a month and until a year' => [
            'male, Pastel, 90, from 2027-03, until 2028',
            [['genes' => 'Pastel', 'sex' => 'male', 'age' => 36, 'price' => 90, 'from' => '2027-03-01', 'until' => '2028-12-31']],
        ];
        yield 'until a day' => ['male, Pastel, 90, UNTIL 2027-02-10', [['genes' => 'Pastel', 'sex' => 'male', 'age' => 36, 'price' => 90, 'until' => '2027-02-10']]];
        yield 'empty lines are no offers' => ["\n\nmale, Pastel, 90\r\n\r\n", [['genes' => 'Pastel', 'sex' => 'male', 'age' => 36, 'price' => 90]]];
        yield 'nothing' => ['', []];
        yield 'a price with its thousands' => ['male, Pastel, 1,200', [['genes' => 'Pastel', 'sex' => 'male', 'age' => 36, 'price' => 1200]]];
        yield 'thousands without a blank before' => ['male,Pastel,12,500,24 months', [['genes' => 'Pastel', 'sex' => 'male', 'age' => 24, 'price' => 12_500]]];
        yield 'two prices' => ['male, Pastel, 400, 500', ['Line 1 says the price twice, “400” and “500”: which of the two?']];
        yield 'two sexes' => ['male, Pastel, Female, 500', ['Line 1 says the sex twice, “male” and “Female”: which of the two?']];
        yield 'two ages' => ["male, Pastel, 5\nmale, Pastel, 12 months, 24 months, 500", [
            ['genes' => 'Pastel', 'sex' => 'male', 'age' => 36, 'price' => 5], 'Line 2 says the age twice, “12 months” and “24 months”: which of the two?',
        ]];
        yield 'two days' => ['male, Pastel, 9, from 2027, from 2028', ['Line 1 says “from” twice, “from 2027” and “from 2028”: which of the two?']];
        $needs = fn (int $line): string => "Line {$line} needs a sex, what it carries and a price: female, Clown het Piebald, 24 months, 400";
        yield 'no price' => ['male, Pastel', [$needs(1)]];
        yield 'no sex' => ['Pastel, 90', [$needs(1)]];
        yield 'no genes' => ["male, Pastel, 90\nmale, 90", [['genes' => 'Pastel', 'sex' => 'male', 'age' => 36, 'price' => 90], $needs(2)]];
        yield 'a price too long to be one' => ['male, Pastel, 123456789', [$needs(1)]];
        yield 'a day that is none' => ['male, Pastel, 90, from soon', ['Line 1: write the day as from 2027-03-01 or until 2027-03.']];
    }

    /** @param list<array<string, mixed>|string> $read */
    #[DataProvider('offers')]
    public function test_offers_are_read_a_line_each(string $typed, array $read): void
    {
        $this->assertSame($read, OfferLines::read($typed));
    }

    /** @return iterable<string, array{list<string>, bool, array{int, int|null, int|null, bool}}> heading, house in °F, what was found */
    public static function headings(): iterable
    {
        yield 'plain' => [['time', 'temperature', 'humidity'], false, [0, 1, 2, false]];
        yield 'the house reads °F' => [['time', 'temperature'], true, [0, 1, null, true]];
        yield 'the heading knows better' => [['Timestamp', 'Temperature (°C)'], true, [0, 1, null, false]];
        yield 'and so does this' => [['Date', 'RH', 'Temperature (°F)'], false, [0, 2, 1, true]];
        yield 'with a mark at the beginning' => [["\u{feff}When", '%RH'], false, [0, null, 1, false]];
        yield 'the first of two counts' => [['battery', 'at', 'time', 'celsius', 'temp'], true, [1, 3, null, false]];
        yield 'both units' => [['time', 'celsius', 'fahrenheit'], false, [0, 1, null, false]];
        yield 'both units, the other way' => [['time', 'fahrenheit', 'celsius'], false, [0, 1, null, true]];
    }

    /**
     * @param list<string> $heading
     * @param array{int, int|null, int|null, bool} $found
     */
    #[DataProvider('headings')]
    public function test_columns_are_found_by_their_heading(array $heading, bool $isFahrenheit, array $found): void
    {
        $columns = ReadingColumns::of($heading, $isFahrenheit);

        $this->assertSame($found, [$columns->at, $columns->temperature, $columns->humidity, $columns->isFahrenheit]);
    }

    public function test_a_heading_without_a_time_or_a_value_is_refused(): void
    {
        $refused = [];
        foreach ([['temperature', 'humidity'], ['time', 'battery'], ['31.5', '80'], ['']] as $heading) {
            try {
                ReadingColumns::of($heading, false);
            } catch (UnreadableReadings) {
                $refused[] = $heading;
            }
        }
        $this->assertCount(4, $refused);
    }

    /** @return iterable<string, array{string, int|null}> */
    public static function moments(): iterable
    {
        yield 'a second of the era' => ['1790000000', 1_790_000_000];
        yield 'with a zone' => ['2026-11-20 08:00:00+01:00', 1_795_158_000];
        yield 'in UTC' => ['2026-11-20T07:00:00Z', 1_795_158_000];
        yield 'of the clock on the wall' => [' 2026-11-20 08:00 ', 1_795_158_000];
        yield 'before anything was read' => ['1999-12-31 12:00', null];
        yield 'a word' => ['yesterday', null];
        yield 'too short for a second' => ['12345', null];
        yield 'nothing' => ['', null];
        yield 'a long text' => [str_repeat('2026-11-20 ', 6), null];
    }

    #[DataProvider('moments')]
    public function test_a_moment_is_read_in_the_zone_of_the_house(string $text, ?int $second): void
    {
        $this->assertSame($second, ReadingColumns::moment($text, 'Europe/Berlin'));
    }

    public function test_a_cell_that_is_not_there_is_empty(): void
    {
        $columns = ReadingColumns::of(['time', 'temperature'], false);

        $this->assertSame(['31.5', '', ''], [$columns->text('temperature', ['x', ' 31,5 ']), $columns->text('temperature', ['x']), $columns->text('humidity', ['x', '1'])]);
    }
}
