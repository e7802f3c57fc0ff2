<?php

declare(strict_types=1);

namespace App\View\Components\River;

use App\Projects\ProjectDrawings;
use App\Projects\River as Course;
use App\View\Components\Part\Part;

/** A route as a river. */
class River extends Part
{
    public function __construct(
        public readonly Course $river,
        public readonly string $label,
        public readonly string $letter,
        public readonly ProjectDrawings $drawings,
    ) {}

    /**
     * The way of the water from one station to the next.
     *
     * @param array{from: array{float, float}, to: array{float, float}} $line
     */
    public function bend(array $line): string
    {
        [[$x, $y], [$right, $down]] = [$line['from'], $line['to']];

        return "M{$x} {$y} C ".($x + 18)." {$y}, ".($right - 18)." {$down}, {$right} {$down}";
    }
}
