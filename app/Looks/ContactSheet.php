<?php

declare(strict_types=1);

namespace App\Looks;

use App\Drawing\SnakeSvg;
use Destino\Genome\Form;
use Destino\Genome\Inheritance;

/** A sheet of all genes, one copy and two, for the eye of those who work on the drawing. */
class ContactSheet
{
    private const COLUMNS = 6;

    /** Width and height of a cell. */
    private const CELL = [240, 176];

    public static function of(Gallery $gallery): string
    {
        $catalogue = $gallery->catalogue();
        $rows = [['Normal', []]];
        foreach ($catalogue->alleles as $allele) {
            $two = $catalogue->twoCopies($allele);
            $allele->inheritance === Inheritance::Recessive ?: $rows[] = [
                $catalogue->oneCopy($allele)->text, [$catalogue->oneCopy($allele)],
            ];
            $two->isLethal() ?: $rows[] = [$two->text, [$two]];
        }

        return self::sheet($gallery, $rows);
    }

    /** @param list<array{string, list<Form>}> $rows */
    public static function sheet(Gallery $gallery, array $rows): string
    {
        $svg = '';
        foreach ($rows as $i => [$label, $forms]) {
            [$x, $y] = [self::CELL[0] * ($i % self::COLUMNS), self::CELL[1] * intdiv($i, self::COLUMNS)];
            $svg .= "<g transform=\"translate({$x} {$y})\"><text x=\"4\" y=\"14\" font-size=\"13\" font-family=\"sans-serif\">"
                .htmlspecialchars($label, ENT_XML1).'</text><svg y="18" width="226" height="151" viewBox="'.SnakeSvg::box('card').'">'
                .SnakeSvg::content($gallery->ofForms($forms), 'card').'</svg></g>';
        }
        [$width, $height] = [self::CELL[0] * self::COLUMNS, self::CELL[1] * (int) ceil(count($rows) / self::COLUMNS)];

        return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 {$width} {$height}\" width=\"{$width}\">"
            ."<rect width=\"{$width}\" height=\"{$height}\" fill=\"#f4f4ef\"/><defs>".SnakeSvg::common('card').'</defs>'.$svg.'</svg>';
    }
}
