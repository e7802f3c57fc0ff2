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
        $found = [];
        foreach (array_keys($this->opened->beliefs()->records->animals) as $id) {
            $found += array_fill_keys($this->opened->beliefs()->alleles($id), true);
        }

        return array_values(array_intersect(array_keys($this->opened->shelf->catalogue()->alleles), array_map(strval(...), array_keys($found))));
    }
}
