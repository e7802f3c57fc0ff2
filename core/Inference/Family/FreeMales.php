<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Sex;

/** Who else of a collection may be the sire of a litter. */
final readonly class FreeMales
{
    /** @return list<string> males of the collection that are not the recorded sire of a litter, nor its young or their descendants */
    public static function beside(Gathering $gathered, Family $family, string $litter): array
    {
        $not = [];
        foreach ($gathered->families as $ids) { // the recorded sires are read before the hypothesis put another in their place
            foreach ($ids as $id) {
                $member = $family->members[$id] ?? null;
                if ($member !== null && $member->litter === $litter) {
                    $not += array_fill_keys(
                        [...$family->descendants($id), ...array_filter($gathered->animals[$id]->sires(), is_string(...))], true,
                    );
                }
            }
        }
        foreach ($family->eggs as $eggs) {
            $not += $eggs->litter === $litter ? array_fill_keys(array_filter($eggs->brood->sires ?? [], is_string(...)), true) : [];
        }

        return array_values(
            array_filter(
                array_map(strval(...), array_keys($gathered->animals)),
                fn (string $id): bool => $gathered->animals[$id]->sex === Sex::Male && ! isset($not[$id]),
            ),
        );
    }
}
