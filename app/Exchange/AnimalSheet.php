<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Collection\Opened;
use App\Models\Animal;
use Destino\Notation\Printer;

/** The animals of a collection as a table, under headings that the import understands. */
final class AnimalSheet
{
    /** @return list<string> */
    public static function headings(): array
    {
        return array_map(fn (Field $field): string => $field->value, Field::cases());
    }

    /** @return iterable<list<string|int|null>> */
    public static function rows(Opened $opened): iterable
    {
        $animals = $opened->keeper()->animals()->with('latestStatus', 'latestWeight', 'rack')->orderBy('id')->get();
        foreach ($animals as $animal) {
            $row = self::row($animal, $opened);
            yield array_map(fn (Field $field): string|int|null => $row[$field->value], Field::cases());
        }
    }

    /** @return array<string, string|int|null> by heading */
    private static function row(Animal $animal, Opened $opened): array
    {
        $family = $opened->family();

        return [
            Field::Name->value => $animal->name, Field::Number->value => $animal->number, Field::Sex->value => $animal->sex?->value,
            Field::Hatched->value => $animal->hatched_on === null ? null : $animal->hatched_precision->write($animal->hatched_on),
            Field::Genes->value => $animal->hasOpenGenes() ? $animal->genes_open : $opened->beliefs()->text($animal->id),
            Field::SaidBy->value => 'own',
            Field::Source->value => $animal->source, Field::Acquired->value => $animal->acquired_on?->format('Y-m-d'),
            Field::Price->value => $animal->price_cents === null ? null : number_format($animal->price_cents / 100, 2, '.', ''),
            Field::Sire->value => $family->animal($animal->sire_id)->number ?? $animal->sire_name,
            Field::Dam->value => $family->animal($animal->dam_id)->number ?? $animal->dam_name,
            Field::Status->value => $animal->status()->value, Field::Weight->value => $animal->latestWeight?->grams,
            Field::Weighed->value => $animal->latestWeight?->on->format('Y-m-d'),
            Field::Rack->value => $animal->rack?->name, Field::Row->value => $animal->rack_row,
            Field::Column->value => $animal->rack_column, Field::Notes->value => self::notes($animal, $opened),
        ];
    }

    /** What the column of the genes has no words for stands with the notes. */
    private static function notes(Animal $animal, Opened $opened): ?string
    {
        $ties = $animal->hasOpenGenes() ? []
            : (new Printer($opened->shelf->catalogue()))->unevenTies($opened->beliefs()->belief($animal->id));

        return implode("\n", array_filter([$animal->notes,
            ...array_map(fn (string $tie): string => "Exactly one of these: {$tie}.", $ties)])) ?: null;
    }
}
