<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Catalogue\CatalogueShelf;
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
     * @param  list<int>  $made  animals that came from this list already
     * @param  string  $weighed  day of weights that have none, or empty
     */
    public function __construct(
        public readonly Table $table,
        public readonly array $columns,
        User $keeper,
        CatalogueShelf $shelf,
        House $house,
        string $slashes = '',
        array $answers = [],
        array $made = [],
        string $weighed = '',
    ) {
        $this->cells = new RowCells($shelf, $house->currency(), RowReader::orders($table, $columns, $slashes), $weighed);
        $this->animals = new ListedAnimals($keeper, $this->listed(), $made);
        $reader = new RowReader($table, $columns, $this->cells, $this->animals, $answers);
        $rows = [];
        foreach ($table->rows as $line => $cells) {
            $rows[] = $reader->read($line, $cells);
        }
        array_map($this->animals->add(...), $rows);
        foreach ($rows as $row) {
            $this->animals->repeats($row);
            $this->animals->parentsOf($row);
        }
        $this->hasUnclearDates = $this->cells->hasUnclearDates;
        $this->rows = $rows;
    }

    /** Whether a column has weights, which need a day. */
    public function hasWeights(): bool
    {
        return in_array(Field::Weight, $this->columns, true);
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
     * Those of some lines, in their order.
     *
     * @param  list<int>  $lines
     * @return list<ImportRow>
     */
    public function ofLines(array $lines): array
    {
        $rows = [];
        foreach ($this->rows as $row) {
            $rows[$row->line] = $row;
        }

        return array_values(array_filter(array_map(fn (int $line): ?ImportRow => $rows[$line] ?? null, $lines)));
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
        $others = array_slice(array_values(array_filter($this->rows, fn (ImportRow $row): bool => ! $needs($row))), 0,
            $most - count($first));

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
                $key = RowReader::keyOf($one['field'], $one['text']);
                $problems[$key] ??= ['key' => $key, 'choices' => $choices[$one['field']] ?? [], 'rows' => []] + $one;
                in_array($row->line, $problems[$key]['rows'], true) ?: $problems[$key]['rows'][] = $row->line;
            }
        }
        usort($problems, fn (array $a, array $b): int => [count($b['rows']), $a['field']] <=> [count($a['rows']), $b['field']]);

        return $problems;
    }
}
