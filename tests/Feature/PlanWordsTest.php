<?php

namespace Tests\Feature;

use App\Projects\AssumptionWords;
use App\Projects\CourseChart;
use App\Projects\RouteWords;
use App\Words\OddsWords;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What a plan says and draws of itself. */
class PlanWordsTest extends TestCase
{
    /** @return iterable<string, array{string, int|float, string}> */
    public static function figures(): iterable
    {
        yield 'a share' => ['lay_rate', .7, "70\u{a0}% of seasons"];
        yield 'months' => ['male_months', 12, '12 months'];
        yield 'one month' => ['male_months', 1, '1 month'];
        yield 'one female' => ['females_per_male', 1, '1 female a season'];
        yield 'four females' => ['females_per_male', 4, '4 females a season'];
        yield 'grams' => ['female_weight', 1500, '1,500 g'];
        yield 'a mean' => ['clutch_mean', 6.5, '6.5 on average'];
        yield 'ten stays ten' => ['clutch_mean', 10, '10 on average'];
    }

    #[DataProvider('figures')]
    public function test_assumptions_have_their_units(string $name, int|float $value, string $says): void
    {
        $this->assertSame($says, AssumptionWords::figure($name, $value));
    }

    public function test_no_two_assumptions_are_called_the_same(): void
    {
        $labels = array_map(AssumptionWords::label(...), AssumptionWords::order());
        $this->assertSame($labels, array_unique($labels));
        $this->assertGreaterThan(10, count($labels));
    }

    public function test_courses_are_drawn_within_the_chart_and_upwards(): void
    {
        $chart = new CourseChart([$this->course('one', [.1, .4, .9]), $this->course('other', [.1, .4, .9])], 3);
        $curves = $chart->curves();
        $this->assertCount(2, $curves);
        foreach ($curves as $curve) {
            $points = array_map(fn (string $point): array => array_map(floatval(...), explode(',', $point)), explode(' ', $curve['points']));
            $this->assertCount(3, $points);
            foreach ($points as $i => [$x, $y]) {
                $this->assertTrue($x >= 0 && $x <= CourseChart::WIDTH && $y >= 0 && $y <= CourseChart::HEIGHT);
                $i === 0 ?: $this->assertTrue($x > $points[$i - 1][0] && $y < $points[$i - 1][1], 'later is to the right, likelier is higher');
            }
        }
        $this->assertNotSame($curves[0]['dash'], $curves[1]['dash'], 'told apart without colour');
        $this->assertNotSame($curves[0]['end'][0], $curves[1]['end'][0], 'two names do not lie over each other');
        $this->assertSame(300.0, $chart->money()['most']);
    }

    public function test_money_that_nothing_costs_is_drawn_flat(): void
    {
        $money = (new CourseChart([['money_by_season' => [['season' => 1, 'money' => 0.0], ['season' => 2, 'money' => 0.0]]] + $this->course('one', [.5, .6])], 2))->money();
        $this->assertSame(0.0, $money['most']);
        $this->assertSame(['64', '64'], array_map(fn (string $point): string => explode(',', $point)[1], explode(' ', $money['curves'][0]['points'])));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> what differs in the other route, and what is said of it */
    public static function differences(): iterable
    {
        yield 'nothing' => [[], 'in the same year on average'];
        yield 'later' => [['season' => ['median' => 4]], '2 years later on average'];
        yield 'a year sooner' => [['season' => ['median' => 1]], '1 year sooner on average'];
        yield 'never in the time' => [['season' => ['median' => null]], 'most get there after the time looked at'];
        yield 'dearer' => [['money' => 900.0], 'in the same year on average, costs more'];
        yield 'closer' => [['inbreeding' => '1/4'], 'in the same year on average, its offspring are more inbred'];
        yield 'longer' => [['steps' => [1, 2, 3]], 'in the same year on average, one generation or pairing more'];
        yield 'rarer' => [
            ['probability_by_season' => [['decimal' => 0.0], ['decimal' => .5], ['decimal' => .6]]],
            'in the same year on average, the first can come later, chance by 2030 30 points lower',
        ];
    }

    /** @param array<string, mixed> $other */
    #[DataProvider('differences')]
    public function test_how_one_way_differs_from_another(array $other, string $says): void
    {
        $one = $this->course('one', [.1, .5, .9]) + ['season' => ['median' => 2], 'money' => 100.0, 'inbreeding' => '1/8', 'steps' => [1, 2]];
        $this->assertSame($says, RouteWords::against($one, $other + $one, '2030'));
    }

    public function test_a_chance_that_was_kept_is_said_as_it_can_be_read_however_long_it_is(): void
    {
        $this->assertSame('1/16', (string) OddsWords::kept('1/16'));
        $this->assertSame('0', (string) OddsWords::kept('0'));
        $long = '1'.str_repeat('0', 40).'/6'.str_repeat('0', 39).'1';
        $this->assertSame("<details class=\"exact\"><summary>about 1 in 6</summary>{$long}</details>", (string) OddsWords::kept($long));
    }

    /**
     * @param list<float> $chances by season
     * @return array<string, mixed>
     */
    private function course(string $name, array $chances): array
    {
        return [
            'name' => $name,
            'probability_by_season' => array_map(fn (float $chance, int $i): array => [
                'season' => $i + 1, 'decimal' => $chance, 'low' => max(0.0, $chance - .05), 'high' => min(1.0, $chance + .05),
            ], $chances, array_keys($chances)),
            'money_by_season' => array_map(fn (int $i): array => ['season' => $i + 1, 'money' => 100.0 * ($i + 1)], array_keys($chances)),
        ];
    }
}
