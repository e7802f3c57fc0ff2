<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Catalogue\CatalogueShelf;
use App\Exchange\Cells\DateCell;
use App\House\House;
use App\Models\User;

/** What a list of animals would become in a collection, row by row. Nothing is written here. */
class ImportPlan
{
    /** @var list<ImportRow> */
    public readonly array $rows;

    /** Whether a date can be read in two ways. */
    public readonly bool $hasUnclearDates;

    private readonly RowCells $cells;

    private readonly ListedAnimals $animals;

    /**
     * @param  array<int, Field|null>  $columns  meaning of each column; null: kept in the notes
     * @param  string  $slashes  DAY_FIRST, MONTH_FIRST or empty where not chosen
     * @param  array<string, string>  $answers  what to read in place of a text, by keyOf()
     */
    public function __construct(
        public readonly Table $table,
        public readonly array $columns,
        User $keeper,
        CatalogueShelf $shelf,
        House $house,
        private readonly string $slashes = '',
        private readonly array $answers = [],
    ) {
        $this->cells = new RowCells($shelf, $house->currency(), $this->orders());
        $this->animals = new ListedAnimals($keeper, $this->listed());
        $rows = [];
        foreach ($table->rows as $line => $cells) {
            $rows[] = $this->row($line, $cells);
        }
        array_map($this->animals->add(...), $rows);
        foreach ($rows as $row) {
            $this->animals->repeats($row);
            $this->animals->parentsOf($row);
        }
        $this->hasUnclearDates = $this->cells->hasUnclearDates;
        $this->rows = $rows;
    }

    /** @return array<string, true> names and numbers of the list, in lower case */
    private function listed(): array
    {
        $listed = [];
        foreach ($this->table->rows as $cells) {
            foreach ($cells as $i => $text) {
                if ($text !== '' && in_array($this->columns[$i] ?? null, [Field::Name, Field::Number], true)) {
                    $listed[mb_strtolower($text)] = true;
                }
            }
        }

        return $listed;
    }

    /** @return list<ImportRow> rows that would be written: a soft cell refuses none */
    public function ready(bool $repeated = false): array
    {
        return array_values(
            array_filter(
                $this->rows,
                fn (ImportRow $row): bool => $row->errors === [] && ($repeated || $row->repeats === ''),
            ),
        );
    }

    /**
     * Rows for the eye: of a long list those that need a look, and the first of the others.
     *
     * @return list<ImportRow>
     */
    public function shown(int $most = 400): array
    {
        if (count($this->rows) <= $most) {
            return $this->rows;
        }
        $needs = fn (ImportRow $row): bool => $row->errors !== [] || $row->repeats !== '' || $row->genesUnread || $row->remarks !== [];
        $first = array_slice(array_values(array_filter($this->rows, $needs)), 0, $most - 100);
        $others = array_slice(array_values(array_filter($this->rows, fn (ImportRow $row): bool => ! $needs($row))), 0, $most - count($first));

        return [...$first, ...$others];
    }

    /** @return array<string, int> */
    public function counts(): array
    {
        return [
            'rows' => count($this->rows),
            'ready' => count($this->ready()),
            'wrong' => count(array_filter($this->rows, fn (ImportRow $row): bool => $row->errors !== [])),
            'unread' => count(array_filter($this->rows, fn (ImportRow $row): bool => $row->errors === [] && $row->genesUnread)),
            'remarks' => count(array_filter($this->rows, fn (ImportRow $row): bool => $row->errors === [] && $row->remarks !== [])),
            'repeated' => count(array_filter($this->rows, fn (ImportRow $row): bool => $row->errors === [] && $row->repeats !== '')),
        ];
    }

    public static function keyOf(string $field, string $text): string
    {
        return $field.':'.hash('xxh64', $text);
    }

    /**
     * Cells that need a word from the keeper, equal ones together, those of most rows first.
     *
     * @return list<array{key: string, field: string, text: string, message: string, choices: list<string>, rows: list<int>}>
     */
    public function problems(): array
    {
        $problems = [];
        foreach ($this->rows as $row) {
            $choices = [];
            foreach ($row->asked as $one) {
                $choices[$one['field']] = $one['choices'];
            }
            foreach ($row->errors === [] ? $row->remarks : [] as $one) {
                $key = self::keyOf($one['field'], $one['text']);
                $problems[$key] ??= ['key' => $key, 'choices' => $choices[$one['field']] ?? [], 'rows' => []] + $one;
                $problems[$key]['rows'][] = $row->line;
            }
        }
        usort($problems, fn (array $a, array $b): int => [count($b['rows']), $a['field']] <=> [count($a['rows']), $b['field']]);

        return $problems;
    }

    /** @return array<string, bool|null> by column: as the keeper said, or as one of its dates shows */
    private function orders(): array
    {
        $orders = [];
        foreach ([Field::Hatched, Field::Acquired, Field::Weighed] as $field) {
            $column = array_search($field, $this->columns, true);
            $texts = $column === false
                ? []
                : array_map(fn (array $cells): string => $cells[$column] ?? '', array_values($this->table->rows));
            $orders[$field->value] = $this->slashes === '' ? DateCell::orderOf($texts) : $this->slashes === DateCell::DAY_FIRST;
        }

        return $orders;
    }

    /** @param  list<string>  $cells */
    private function row(int $line, array $cells): ImportRow
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
                $rest[] = $text === '' ? '' : "{$this->table->headings[$i]}: {$text}";
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
}
