<?php

declare(strict_types=1);

namespace App\Papers;

use App\Collection\AnimalCard;
use App\Models\Enums\Status;

/** What is offered, as a table for a spreadsheet: the words are those of the labels. */
class SaleList
{
    public const OFFERED = [Status::ForSale, Status::Reserved];

    public const HEADINGS = ['number', 'name', 'sex', 'hatched', 'genes', 'weight in g', 'weighed', 'status'];

    /**
     * @param list<AnimalCard> $cards
     * @return iterable<list<string|int|null>>
     */
    public static function rows(array $cards): iterable
    {
        foreach ($cards as $card) {
            $animal = $card->animal;
            yield [
                $animal->number, $animal->name, $animal->sex->value ?? 'not known', $animal->hatchedWords(), Label::of($card)->genes,
                $animal->latestWeight?->grams, $animal->latestWeight?->on->format('Y-m-d'), $card->status()->value,
            ];
        }
    }
}
