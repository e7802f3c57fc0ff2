<?php

declare(strict_types=1);

namespace App\Papers;

use App\Collection\AnimalCard;
use App\Collection\Opened;
use App\Models\Enums\Status;

/** What is offered, as a table for a spreadsheet: the words are those of the labels. */
class SaleList
{
    public const OFFERED = [Status::ForSale, Status::Reserved];

    public const HEADINGS = ['number', 'name', 'sex', 'hatched', 'genes', 'weight in g', 'weighed', 'status'];

    /** For those who may see money. */
    public const PRICE = ['price', 'currency'];

    /**
     * @param list<AnimalCard> $cards
     * @param string|null $currency of the house; null where prices are not told
     * @return iterable<list<string|int|null>> the price is what was agreed, or else what is asked
     */
    public static function rows(array $cards, ?string $currency, Opened $opened): iterable
    {
        foreach ($cards as $card) {
            $animal = $card->animal;
            $price = $animal->sale->price ?? $animal->sale?->asking;
            yield [
                $animal->number, $animal->name, $animal->sex->value ?? 'not known', $animal->hatchedWords(), Label::in($opened, $card)->genes,
                $animal->latestWeight?->grams, $animal->latestWeight?->on->format('Y-m-d'), $card->status()->value,
                ...($currency === null ? [] : [
                    $price === null ? null : number_format($price / 100, 2, '.', ''), $price === null ? null : $currency,
                ]),
            ];
        }
    }
}
