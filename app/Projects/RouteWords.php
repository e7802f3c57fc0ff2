<?php

declare(strict_types=1);

namespace App\Projects;

use Destino\Probability\Rational;

/** How one route differs from another, in words. */
final class RouteWords
{
    /**
     * @param array<string, mixed> $one as a plan has it
     * @param array<string, mixed> $other
     * @param string $year the last that is looked at
     */
    public static function against(array $one, array $other, string $year): string
    {
        $says = [];
        $years = ($other['season']['median'] ?? null) === null || ($one['season']['median'] ?? null) === null
            ? null
            : $other['season']['median'] - $one['season']['median'];
        $says[] = match (true) {
            $years === null => ($other['season']['median'] ?? null) === ($one['season']['median'] ?? null)
                ? null
                : 'most get there '.(($other['season']['median'] ?? null) === null ? 'after the time looked at' : 'in the time looked at'),
            $years === 0 => 'in the same year on average',
            default => abs($years).' '.(abs($years) === 1 ? 'year ' : 'years ').($years > 0 ? 'later' : 'sooner').' on average',
        };
        $last = fn (array $route): float => $route['probability_by_season'][count($route['probability_by_season']) - 1]['decimal'];
        $early = fn (array $route): int => array_key_first(
            array_filter(array_column($route['probability_by_season'], 'decimal'), fn (float $chance): bool => $chance > .005),
        ) ?? 99;
        $early($other) === $early($one) ?: $says[] = 'the first can come '.($early($other) < $early($one) ? 'earlier' : 'later');
        abs($last($other) - $last($one)) < .02 ?: $says[] = "chance by {$year} ".round(100 * abs($last($other) - $last($one))).' points '
            .($last($other) > $last($one) ? 'higher' : 'lower');
        $other['money'] === $one['money'] ?: $says[] = ($other['money'] > $one['money'] ? 'costs more' : 'costs less');
        $inbreeding = Rational::parse($other['inbreeding'])->compareTo(Rational::parse($one['inbreeding']));
        $inbreeding === 0 ?: $says[] = 'its offspring are '.($inbreeding > 0 ? 'more' : 'less').' inbred';
        count($other['steps']) === count($one['steps']) ?: $says[] = count($other['steps']) > count($one['steps'])
            ? 'one generation or pairing more'
            : 'fewer pairings';

        return implode(', ', array_filter($says));
    }
}
