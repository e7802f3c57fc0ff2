<?php

namespace App\Exchange;

use App\Collection\Opened;
use App\Models\Animal;

/** The animals of a collection as CSV, under headings that the import understands. */
class AnimalSheet
{
    /** @param resource $stream */
    public static function write($stream, Opened $opened): void
    {
        [$keeper, $beliefs, $family] = [$opened->keeper(), $opened->beliefs(), $opened->family()];
        $headings = array_map(fn (Field $field): string => $field->value, Field::cases());
        fputcsv($stream, $headings, ',', '"', '');
        /** @var Animal $animal */
        foreach ($keeper->animals()->with('latestStatus', 'latestWeight', 'rack')->orderBy('id')->get() as $animal) {
            $row = [
                Field::Name->value => $animal->name, Field::Number->value => $animal->number, Field::Sex->value => $animal->sex?->value,
                Field::Hatched->value => $animal->hatched_on === null ? null : $animal->hatched_precision->write($animal->hatched_on),
                Field::Genes->value => $animal->hasOpenGenes() ? $animal->genes_open : $beliefs->text($animal->id),
                Field::SaidBy->value => 'own',
                Field::Source->value => $animal->source, Field::Acquired->value => $animal->acquired_on?->format('Y-m-d'),
                Field::Price->value => $animal->price_cents === null ? null : number_format($animal->price_cents / 100, 2, '.', ''),
                Field::Sire->value => $family->animal($animal->sire_id)->number ?? $animal->sire_name,
                Field::Dam->value => $family->animal($animal->dam_id)->number ?? $animal->dam_name,
                Field::Status->value => $animal->status()->value, Field::Weight->value => $animal->latestWeight?->grams,
                Field::Weighed->value => $animal->latestWeight?->on->format('Y-m-d'),
                Field::Rack->value => $animal->rack?->name, Field::Row->value => $animal->rack_row,
                Field::Column->value => $animal->rack_column, Field::Notes->value => $animal->notes,
            ];
            fputcsv($stream, array_map(fn (string $heading): string => self::safe((string) $row[$heading]), $headings), ',', '"', '');
        }
    }

    /** A text that a spreadsheet would take for a formula gets the sign that it is none. */
    public static function safe(string $text): string
    {
        return preg_match('/^[=+\-@]/', $text) && ! is_numeric($text) ? "'{$text}" : $text;
    }
}
