<?php

declare(strict_types=1);

namespace App\Papers;

/** Labels for tubs, 24 to a sheet of A4: three columns of 70 mm, eight rows of 37 mm. */
class LabelSheets
{
    private const COLUMNS = 3;

    private const ROWS = 8;

    private const WIDTH = 70.0;

    private const HEIGHT = 37.125;

    private const CODE = 23.0;

    /** @param list<Label> $labels in the order of printing */
    public static function of(array $labels): string
    {
        $sheet = new Sheet('Labels');
        foreach ($labels as $i => $label) {
            $at = $i % (self::COLUMNS * self::ROWS);
            if ($at === 0) {
                $sheet->AddPage();
            }
            self::draw($sheet, $label, self::WIDTH * ($at % self::COLUMNS), self::HEIGHT * intdiv($at, self::COLUMNS));
        }

        return $sheet->bytes();
    }

    private static function draw(Sheet $sheet, Label $label, float $x, float $y): void
    {
        $sheet->SetDrawColor(205, 205, 205);
        $sheet->Rect($x, $y, self::WIDTH, self::HEIGHT); // where to cut
        $sheet->code($label->address, $x + 4, $y + 4, self::CODE);
        $sheet->fit($label->place, $x + 4, $y + 29, self::CODE, 6, 6.5);
        $left = $x + 4 + self::CODE + 3;
        $width = self::WIDTH - self::CODE - 10;
        $sheet->fit($label->name, $left, $y + 3.5, $width, 8, 10, true);
        $sheet->fit(implode(' · ', array_filter([$label->number, $label->facts])), $left, $y + 11.5, $width, 6.5, 6.5);
        $sheet->fit($label->genes, $left, $y + 18.5, $width, 16, 9);
    }
}
