<?php

declare(strict_types=1);

namespace App\View\Components\SeasonRibbon;

use App\Drawing\Scale;
use App\Drawing\TextFit;
use App\Models\Clutch;
use App\Models\ClutchSire;
use App\Season\Ribbon;
use App\View\Components\Part\Part;

/** A season as one band for each pair, over the months. */
class SeasonRibbon extends Part
{
    private const LEFT = 210;

    private const WIDTH = 1000;

    private const TOP = 30;

    private const ROW = 34;

    /** A span shorter than this has no room for its name. */
    private const NAMED = 62;

    private readonly Scale $across;

    public function __construct(public readonly Ribbon $ribbon)
    {
        $this->across = Scale::of(0, 1, self::LEFT, self::WIDTH);
    }

    public function height(): int
    {
        return self::TOP + self::ROW * count($this->ribbon->bands) + 8;
    }

    public function x(float $at): float
    {
        return round($this->across->at($at), 1);
    }

    public function y(int $band): int
    {
        return self::TOP + self::ROW * $band;
    }

    public function top(): int
    {
        return self::TOP - 8;
    }

    /** @param array{from: float, to: float} $span */
    public function width(array $span): float
    {
        return max(3, round($this->across->length($span['to'] - $span['from']), 1));
    }

    /** @param array{phase: string, from: float, to: float} $span */
    public function isNamed(array $span): bool
    {
        return $span['phase'] !== 'expected' && $this->across->length($span['to'] - $span['from']) > self::NAMED;
    }

    /** As much of the pair as there is room for. */
    public function pair(Clutch $clutch): string
    {
        $sires = $clutch->sires->map(fn (ClutchSire $sire): string => $sire->title())->implode(' or ');

        return TextFit::lines(trim("{$sires} × {$clutch->dam->name}", ' ×'), 200, 13, 1)[0] ?? '';
    }
}
