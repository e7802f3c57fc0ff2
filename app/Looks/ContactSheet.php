<?php

declare(strict_types=1);

namespace App\Looks;

use App\Drawing\SkinSvg;
use Destino\Genome\Form;
use Destino\Genome\Inheritance;

/** A sheet of all genes, one copy and two, for the eye of those who work on the drawing. */
class ContactSheet
{
    private const ROW = 172;

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
        $half = (int) ceil(count($rows) / 2);
        $svg = '';
        foreach ($rows as $i => [$label, $forms]) {
            [$x, $y] = [$i < $half ? 0 : 1050, self::ROW * ($i % $half)];
            $svg .= "<svg x=\"{$x}\" y=\"{$y}\" width=\"1000\" height=\"172\"><text x=\"4\" y=\"16\" font-size=\"16\" font-family=\"sans-serif\">"
                .htmlspecialchars($label, ENT_XML1).'</text><g transform="translate(0 20)">'.SkinSvg::full($gallery->ofForms($forms),
                    $label).'</g></svg>';
        }

        return '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 2060 '.(self::ROW * $half).'" width="2060"><rect width="2060" height="'
            .(self::ROW * $half).'" fill="#f4f4ef"/>'.$svg.'</svg>';
    }
}
