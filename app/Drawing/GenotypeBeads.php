<?php

declare(strict_types=1);

namespace App\Drawing;

use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Sex;
use Destino\Notation\Printer;

/** An animal's genotype as twin beads. */
class GenotypeBeads
{
    /** @return list<Bead> one for each locus that is not plainly wild type, in catalogue order */
    public static function of(Belief $belief, Catalogue $catalogue): array
    {
        $printer = new Printer($catalogue);
        $beads = [];
        foreach ($belief->groups() as $key) {
            $group = $catalogue->groups[$key];
            foreach ($group->loci as $locus) {
                if ($locus === Sex::LOCUS) {
                    continue;
                }
                $pairs = $belief->marginalAt($locus, $group);
                $text = Printer::text([$printer->locus($locus, $pairs)]);
                if ($text !== Printer::NORMAL) {
                    $beads[$catalogue->locus($locus)->rank] = Bead::ofBelief($pairs, $catalogue, $text);
                }
            }
        }
        ksort($beads);

        return array_values($beads);
    }
}
