<?php

namespace App\Papers;

use App\Collection\AnimalCard;
use App\Exchange\AnimalSheet;
use App\Models\Enums\Status;

/** What is offered, as a table for a spreadsheet: the words are those of the labels. */
class SaleList
{
    public const OFFERED = [Status::ForSale, Status::Reserved];

    private const HEADINGS = ['number', 'name', 'sex', 'hatched', 'genes', 'weight in g', 'weighed', 'status'];

    /**
     * @param resource $stream
     * @param list<AnimalCard> $cards
     */
    public static function write($stream, array $cards): void
    {
        fputcsv($stream, self::HEADINGS, ',', '"', '');
        foreach ($cards as $card) {
            $animal = $card->animal;
            $row = [
                $animal->number, $animal->name, $animal->sex->value ?? 'not known', $animal->hatchedWords(), Label::of($card)->genes,
                $animal->latestWeight?->grams, $animal->latestWeight?->on->format('Y-m-d'), $card->status()->value,
            ];
            fputcsv($stream, array_map(fn (string|int|null $cell): string => AnimalSheet::safe((string) $cell), $row), ',', '"', '');
        }
    }
}
