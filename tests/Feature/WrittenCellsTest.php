<?php

namespace Tests\Feature;

use App\Exchange\Cells\DateCell;
use App\Exchange\Cells\SoftCells;
use App\Exchange\Cells\WeightCell;
use App\Exchange\Cells\WrittenNumber;
use Destino\Genome\Sex;
use Illuminate\Support\Carbon;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Cells of lists, as people write them. */
class WrittenCellsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow('2026-05-10 12:00');
    }

    public function test_every_way_to_group_a_number_is_the_same_number(): void
    {
        foreach ([0, 7, 45, 410, 999, 1000, 1450, 12_345, 987_654, 1_234_567] as $number) {
            foreach ([',', '.', ' ', "'", '’', "\u{a0}", ''] as $sign) {
                $whole = number_format($number, 0, '.', '#');
                $this->assertSame((float) $number, WrittenNumber::read(str_replace('#', $sign, $whole)), "{$whole} with “{$sign}”");
                foreach (['.', ','] as $point) {
                    $this->assertSame(
                        $number + .25, WrittenNumber::read(str_replace('#', $sign, $whole)."{$point}25"), "{$whole}, “{$sign}”, “{$point}”",
                    );
                }
            }
        }
        foreach (['', '1,45,0', '1 2', '12 34', '1.2.3', '-4', 'abc', '1e3', '٣'] as $no) {
            $this->assertNull(WrittenNumber::read($no), "“{$no}”");
        }
    }

    #[DataProvider('prices')]
    public function test_a_price_is_read_whole_or_the_rest_is_kept(string $text, ?int $cents, bool $isWhole, string $own = '$'): void
    {
        $this->assertSame([$cents, $isWhole], SoftCells::price($text, $own));
    }

    /** @return array<string, array{0: string, 1: int|null, 2: bool, 3?: string}> */
    public static function prices(): array
    {
        $all = [
            ['450', 45_000, true], ['$450', 45_000, true], ['450 USD', 45_000, true], ['usd 450.50', 45_050, true], ['1,200', 120_000, true],
            ['1.200 €', 120_000, true, '€'], ['1.200,50 €', 120_050, true, '€'], ["1'200.-", 120_000, true, 'CHF'],
            ['CHF 1’200', 120_000, true, 'CHF'], ['12,5', 1_250, true], ['1.2k', 120_000, true], ['$2K', 200_000, true],
            ['450 obo', 45_000, false], ['300 2 payments', 30_000, false], ['400-500', 40_000, false], ['€450', null, false],
            ['trade', null, false], ['-50', null, false], ['9000000', null, false], ['', null, true], ['n/a', null, true], ['0', 0, true],
        ];

        return array_combine(array_map(fn (array $one): string => "“{$one[0]}”", $all), $all);
    }

    #[DataProvider('weights')]
    public function test_a_weight_is_read_as_meant_or_not_at_all(
        string $text, ?int $grams, ?string $on = null, bool $isAbout = false, bool $isNothing = false,
    ): void {
        $cell = WeightCell::read($text, null);
        $this->assertSame([$grams, $on, $isAbout, $isNothing], [$cell->grams, $cell->on?->day, $cell->isAbout, $cell->isNothing]);
    }

    /** @return array<string, array{0: string, 1: int|null, 2?: string|null, 3?: bool, 4?: bool}> */
    public static function weights(): array
    {
        $all = [
            ['1450', 1450], ['1,450 g', 1450], ['1.450', 1450], ['1 450g', 1450], ['1.45 kg', 1450], ['1,45kg', 1450], ['1.234 kg', 1234],
            ['3 lbs', 1361], ['16 oz', 454], ['62.5', 63], ['62,5 g', 63], ['~1500', 1500, null, true], ['about 1500 g', 1500, null, true],
            ['1500?', 1500, null, true], ['410g (5/24)', 410, '2024-05-01'], ['410 g on 2024-05-03', 410, '2024-05-03'],
            ['410g [14 June 2024]', 410, '2024-06-14'],
            // no gram and a half, and not 9,512 g either
            ['1.45', null], ['95 12', null], ['1450 1500', null], ['1450-1500', null], ['2 stone', null], ['heavy', null], ['0', null],
            ['9000', null], ['410g (5/31)', null], ['over 1500', null], ['', null, null, false, true], ['tbd', null, null, false, true],
        ];

        return array_combine(array_map(fn (array $one): string => "“{$one[0]}”", $all), $all);
    }

    #[DataProvider('dates')]
    public function test_a_date_is_as_exact_as_it_was_written(string $text, ?bool $dayFirst, ?string $day, string $precision, bool $isAbout = false): void
    {
        $cell = DateCell::read($text, $dayFirst);
        $this->assertSame([$day, $isAbout, false], [$cell->day, $cell->isAbout, $cell->isUnclear]);
        $this->assertSame($precision, $cell->precision->value);
    }

    /** @return array<string, array{0: string, 1: bool|null, 2: string|null, 3: string, 4?: bool}> */
    public static function dates(): array
    {
        $all = [
            ['Jun 2022', null, '2022-06-01', 'month'], ['Aug-22', null, '2022-08-01', 'month'], ['2022', null, '2022-01-01', 'year'],
            ['14 June 2021', null, '2021-06-14', 'day'], ['June 14th, 2021', null, '2021-06-14', 'day'], ['14.6.21', null, '2021-06-14', 'day'],
            ['6/14/21', null, '2021-06-14', 'day'], ['14/6/21', null, '2021-06-14', 'day'], ['5/5/2021', null, '2021-05-05', 'day'],
            ['6/7/2021', true, '2021-07-06', 'day'], ['6/7/2021', false, '2021-06-07', 'day'], ['2021-06-07', true, '2021-06-07', 'day'],
            ['2021/6/7', false, '2021-06-07', 'day'], ['6/2021', null, '2021-06-01', 'month'], ['2021-06', null, '2021-06-01', 'month'],
            ['2021-06-07 14:30', null, '2021-06-07', 'day'], ['2021-06-07T14:30:00', null, '2021-06-07', 'day'],
            ['2021-06-07T14:30:00.000Z', null, '2021-06-07', 'day'], ['2021-06-07T14:30:00+02:00', null, '2021-06-07', 'day'],
            ['6/14/2021 2:30 PM', null, '2021-06-14', 'day'],
            ['~2018', null, '2018-01-01', 'year', true], ['before 2018', null, null, 'year', true],
            ['summer 2020', null, '2020-01-01', 'year', true], ['Jun 2022?', null, '2022-06-01', 'month', true],
            ['late Aug 2022', null, '2022-08-01', 'month', true], ["'22", null, null, 'day'], ['31.2.2021', null, null, 'day'],
            ['2021-13-01', null, null, 'day'], ['1850', null, null, 'day'], ['11 May 2026', null, null, 'day'], ['soon', null, null, 'day'],
        ];

        return array_combine(array_map(fn (array $one): string => "“{$one[0]}” ".var_export($one[1], true), $all), $all);
    }

    public function test_what_can_be_read_in_two_ways_is_asked_unless_its_column_tells(): void
    {
        $this->assertTrue(DateCell::read('6/7/2021', null)->isUnclear);
        $this->assertTrue(DateCell::read('6-7-21', null)->isUnclear);
        $this->assertNull(DateCell::read('6/7/2021', null)->day);
        $this->assertTrue(DateCell::orderOf(['6/7/2021', '14/7/2021', '']));
        $this->assertTrue(DateCell::orderOf(['6-7-2021', '14-7-2021']));
        $this->assertFalse(DateCell::orderOf(['6/7/2021', '7/14/21', 'summer 2020']));
        $this->assertNull(DateCell::orderOf(['6/7/2021']), 'nothing tells');
        $this->assertNull(DateCell::orderOf(['14/7/2021', '7/14/2021']), 'they tell both');
        $this->assertNull(DateCell::orderOf(['2021-07-14', '14.7.2021']), 'these are clear by themselves and say nothing of a slash');
    }

    public function test_every_day_of_four_years_is_read_back_in_every_way_it_is_written(): void
    {
        $ways = ['Y-m-d', 'Y/n/j', 'j.n.Y', 'd.m.y', 'j F Y', 'j M y', 'F j, Y', 'jS M Y', 'M jS, Y', 'd-M-Y'];
        $read = 0;
        for ($day = Carbon::parse('2021-01-01'); $day->year < 2025; $day->addDays(3)) {
            foreach ($ways as $way) {
                $this->assertSame($day->format('Y-m-d'), DateCell::read($day->format($way), null)->day, $day->format($way));
                $read++;
            }
            $this->assertSame($day->format('Y-m-d'), DateCell::read($day->format('m/d/Y'), false)->day);
            $this->assertSame($day->format('Y-m-d'), DateCell::read($day->format('d/m/Y'), true)->day);
        }
        $this->assertSame(10 * 487, $read);
    }

    public function test_a_sex_is_sure_likely_or_not_read(): void
    {
        foreach (['m' => Sex::Male, '1.0' => Sex::Male, '♀' => Sex::Female, 'Female ' => Sex::Female, '0.1.0' => Sex::Female] as $text => $sex) {
            $this->assertSame([$sex, false, true], SoftCells::sex((string) $text), (string) $text);
        }
        foreach (['male?' => Sex::Male, 'prob. female' => Sex::Female, 'f (?)' => Sex::Female, 'likely m' => Sex::Male] as $text => $sex) {
            $this->assertSame([$sex, true, true], SoftCells::sex($text), $text);
        }
        foreach (['', '0.0.1', 'unsexed', 'Unknown'] as $text) {
            $this->assertSame([null, false, true], SoftCells::sex($text), "“{$text}”");
        }
        foreach (['1.1', 'both', 'maybe', 'mf'] as $text) {
            $this->assertSame([null, false, false], SoftCells::sex($text), "“{$text}”");
        }
    }

    public function test_parents_in_one_cell_are_told_apart(): void
    {
        $this->assertSame(['Skiff', 'Punt'], SoftCells::parents('Skiff or Punt'));
        $this->assertSame(['Skiff', 'Punt', 'Gig'], SoftCells::parents('Skiff / Punt | Gig'));
        $this->assertSame(['Skiff'], SoftCells::parents('Skiff or unknown'));
        $this->assertSame([], SoftCells::parents('wild caught'));
        $this->assertSame(['Dorado'], SoftCells::parents('Dorado'), 'an “or” within a name parts nothing');
    }

    public function test_a_date_that_is_open_to_one_side_is_no_date(): void
    {
        foreach (['before 2020', 'Before Aug 2020', 'after 2018'] as $text) {
            $cell = DateCell::read($text, null);
            $this->assertSame([null, true, false], [$cell->day, $cell->isAbout, $cell->isNothing], $text);
        }
    }
}
