<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Exchange\Cells\DateCell;

/** Reads a line of a list of animals. */
class RowReader
{
    /**
     * @param array<int, Field|null> $columns meaning of each column; null: kept in the notes
     * @param array<string, string> $answers what to read in place of a text, by keyOf()
     */
    public function __construct(
        private readonly Table $table,
        private readonly array $columns,
        private readonly RowCells $cells,
        private readonly ListedAnimals $animals,
        private readonly array $answers,
    ) {}

    /** @param  list<string>  $cells */
    public function read(int $line, array $cells): ImportRow
    {
        $row = new ImportRow($line);
        [$texts, $rest] = $this->sorted($row, $cells);
        $text = fn (Field $field): string => $texts[$field->value] ?? '';
        $this->called($row, $text);
        if ($row->values['name'] === '') {
            array_filter($texts) === [] ? $row->fail('name', 'The row says nothing of an animal.') : $row->values['name'] = "Row {$line}";
        }
        [$row->values['hatched_on'], $row->values['hatched_precision']] = $this->cells->day($row, 'hatched', $text(Field::Hatched));
        [$row->values['acquired_on']] = $this->cells->day($row, 'acquired', $text(Field::Acquired));
        $row->values['price_cents'] = $this->cells->price($row, $text(Field::Price));
        $this->cells->weight($row, $text(Field::Weight), $text(Field::Weighed));
        $row->status = $this->cells->status($row, $text(Field::Status));
        $row->saidBy = $this->cells->saidBy($row, $text(Field::SaidBy));
        $row->sire = $this->animals->parent($row, 'sire', $text(Field::Sire));
        $row->dam = $this->animals->parent($row, 'dam', $text(Field::Dam));
        array_push($rest, ...$this->place($row, $text));
        $this->cells->genes($row, $text(Field::Genes));
        $parts = array_filter([$text(Field::Notes), ...$rest, ...array_unique($row->kept)], fn (string $part): bool => $part !== '');
        $row->values['notes'] = $parts === [] ? null : mb_substr(implode("\n", $parts), 0, 10000);

        return $row;
    }

    /**
     * @param list<string> $cells
     * @return array{array<string, string>, list<string>} what stands in each field, and what stands in columns that are none
     */
    private function sorted(ImportRow $row, array $cells): array
    {
        $texts = $rest = [];
        foreach ($cells as $i => $text) {
            $field = $this->columns[$i] ?? null;
            if ($field === null) {
                $heading = $this->table->headings[$i];
                $rest[] = $text === '' || $heading === '' ? $text : "{$heading}: {$text}";
            } else {
                $texts[$field->value] = $this->answers[self::keyOf($field->value, $text)] ?? $text;
                if ($texts[$field->value] !== $text) { // what was written stays with the animal
                    $row->kept[] = "{$field->value} as written: {$text}";
                }
            }
        }

        return [$texts, $rest];
    }

    /** @param callable(Field): string $text */
    private function called(ImportRow $row, callable $text): void
    {
        $row->values = [
            'name' => mb_substr($text(Field::Name) !== '' ? $text(Field::Name) : $text(Field::Number), 0, 80),
            'number' => $text(Field::Number) === '' ? null : mb_substr($text(Field::Number), 0, 40),
            'sex' => null,
            'source' => $text(Field::Source) === '' ? null : mb_substr($text(Field::Source), 0, 120),
        ];
        $row->values['sex'] = $this->cells->sex($row, $text(Field::Sex));
        foreach ([[Field::Name, 80], [Field::Number, 40], [Field::Source, 120]] as [$field, $most]) {
            if (mb_strlen($text($field)) > $most) {
                $row->remark($field->value, $text($field), "The {$field->value} has more than {$most} characters: its beginning is taken.");
            }
        }
    }

    /**
     * @param callable(Field): string $text
     * @return list<string> what is no place, for the notes
     */
    private function place(ImportRow $row, callable $text): array
    {
        $row->rack = $text(Field::Rack) === '' ? null : mb_substr($text(Field::Rack), 0, 60);
        $rest = [];
        foreach (['rack_row' => Field::Row, 'rack_column' => Field::Column] as $key => $field) {
            $number = $text($field);
            $isPlace = ctype_digit($number) && (int) $number >= 1 && (int) $number <= 30;
            $row->values[$key] = $isPlace ? (int) $number : null;
            if ($number !== '' && ! $isPlace) {
                $rest[] = "{$field->value}: {$number}";
            }
        }

        return $rest;
    }

    /**
     * @param array<int, Field|null> $columns
     * @return array<string, bool|null> by column: as the keeper said, or as one of its dates shows
     */
    public static function orders(Table $table, array $columns, string $slashes): array
    {
        $orders = [];
        foreach ([Field::Hatched, Field::Acquired, Field::Weighed] as $field) {
            $column = array_search($field, $columns, true);
            $texts = $column === false
                ? []
                : array_map(fn (array $cells): string => $cells[$column] ?? '', array_values($table->rows));
            $orders[$field->value] = $slashes === '' ? DateCell::orderOf($texts) : $slashes === DateCell::DAY_FIRST;
        }

        return $orders;
    }

    public static function keyOf(string $field, string $text): string
    {
        return $field.':'.hash('xxh64', $text);
    }
}
