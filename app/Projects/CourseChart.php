<?php

declare(strict_types=1);

namespace App\Projects;

use App\Drawing\Scale;

/** The courses of a plan side by side: the chance of each and the money it takes, by season. */
final readonly class CourseChart
{
    public const WIDTH = 720;

    public const HEIGHT = 260;

    private const DASHES = ['', '7 4', '2 3', '10 3 2 3', '4 6', '1 4'];

    /** @param list<array<string, mixed>> $courses as a plan has them */
    public function __construct(private array $courses, private int $horizon) {}

    /**
     * @return list<array{name: string, points: string, band: string, dash: string, end: array{float, float}}> the chance by
     *     season of each route, to be drawn
     */
    public function curves(): array
    {
        $curves = [];
        foreach ($this->courses as $i => $route) {
            $points = $low = $high = [];
            foreach ($route['probability_by_season'] as $at) {
                $x = $this->x($at['season']);
                $points[] = "{$x},{$this->y($at['decimal'])}";
                $high[] = "{$x},{$this->y($at['high'])}";
                $low[] = "{$x},{$this->y($at['low'])}";
            }
            $last = $route['probability_by_season'][count($route['probability_by_season']) - 1];
            $curves[] = [
                'name' => $route['name'], 'points' => implode(' ', $points),
                'band' => implode(' ', [...$high, ...array_reverse($low)]), 'dash' => self::DASHES[$i % count(self::DASHES)],
                'end' => [$this->x($last['season']), $this->y($last['decimal'])],
            ];
        }

        return $this->apart($curves);
    }

    /** @return array{curves: list<array{points: string, dash: string}>, most: float} money spent up to each season, of each route */
    public function money(): array
    {
        $most = max([
            0.0,
            ...array_map(
                fn (array $route): float => max([0.0, ...array_column($route['money_by_season'] ?? [], 'money')]),
                $this->courses,
            ),
        ]);
        $curves = [];
        $up = Scale::of(0, $most, 64, 10);
        foreach ($this->courses as $i => $route) {
            $points = array_map(
                fn (array $at): string => $this->x($at['season']).','.round($up->at($at['money']), 1),
                $route['money_by_season'] ?? [],
            );
            $curves[] = ['points' => implode(' ', $points), 'dash' => self::DASHES[$i % count(self::DASHES)]];
        }

        return ['curves' => $curves, 'most' => $most];
    }

    /**
     * Names that would lie over each other stand beside each other, so that each stays at the height of its line.
     *
     * @param  list<array{name: string, points: string, band: string, dash: string, end: array{float, float}}>  $curves
     * @return list<array{name: string, points: string, band: string, dash: string, end: array{float, float}}>
     */
    private function apart(array $curves): array
    {
        foreach ($curves as $i => $curve) {
            $beside = count(
                array_filter(array_slice($curves, 0, $i), fn (array $other): bool => abs($other['end'][1] - $curve['end'][1]) < 12),
            );
            $curves[$i]['end'][0] += 11 * $beside;
        }

        return $curves;
    }

    public function x(int $season): float
    {
        return round(Scale::of(1, $this->horizon, 48, self::WIDTH - 62)->at($season), 1);
    }

    public function y(float $chance): float
    {
        return round(Scale::of(0, 1, self::HEIGHT - 30, 14)->at($chance), 1);
    }
}
