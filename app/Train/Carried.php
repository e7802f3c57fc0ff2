<?php

declare(strict_types=1);

namespace App\Train;

use App\Collection\Opened;

/** The genes of a collection. */
class Carried
{
    public function __construct(private readonly Opened $opened) {}

    /** @return list<string> alleles that somebody may carry */
    public function alleles(): array
    {
        $catalogue = $this->opened->shelf->catalogue();
        $found = [];
        foreach ($this->opened->keeper()->animals()->get(['id', 'user_id']) as $animal) {
            $belief = $this->opened->beliefs()->belief($animal->id);
            foreach ($belief->groups() as $group) {
                foreach ($catalogue->groups[$group]->loci as $locus) {
                    foreach ($belief->marginalAt($locus, $catalogue->groups[$group])->entries() as [$pair]) {
                        $found[$pair[0]] = $found[$pair[1]] = true;
                    }
                }
            }
        }

        return array_values(array_intersect(array_keys($catalogue->alleles), array_map(strval(...), array_keys($found))));
    }
}
