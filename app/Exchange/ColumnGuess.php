<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Catalogue\CatalogueShelf;
use App\Exchange\Cells\DateCell;
use App\Exchange\Cells\SoftCells;
use App\Exchange\Cells\WeightCell;
use Destino\Genome\Sex;

/** What the columns of a list without headings are, by what stands in them. */
final readonly class ColumnGuess
{
    /** Rows that are looked at. */
    private const ROWS = 60;

    /** A column is what so many of its filled cells are. */
    private const MOST = .6;

    public function __construct(private CatalogueShelf $shelf) {}

    /** @return array<int, Field|null> by column; each meaning is given once, to the column that fits it best */
    public function of(Table $table): array
    {
        $fits = [];
        foreach (array_keys($table->headings) as $i) {
            $cells = array_values(array_filter(
                array_map(static fn (array $row): string => $row[$i] ?? '', array_slice($table->rows, 0, self::ROWS)),
                static fn (string $cell): bool => $cell !== '',
            ));
            foreach ($cells === [] ? [] : $this->shares($cells) as $field => $share) {
                $share < self::MOST ?: $fits[] = [$share, $field, $i];
            }
        }
        $order = array_flip(['sex', 'hatched', 'genes', 'price', 'weight', 'number', 'name']);
        usort($fits, static fn (array $a, array $b): int => [$order[$a[1]], $b[0], $a[2]] <=> [$order[$b[1]], $a[0], $b[2]]);
        $columns = array_fill_keys(array_keys($table->headings), null);
        $taken = [];
        foreach ($fits as [, $field, $i]) {
            if ($columns[$i] === null && ! isset($taken[$field])) {
                $columns[$i] = Field::from($field);
                $taken[$field] = true;
            }
        }

        return $columns;
    }

    /**
     * @param non-empty-list<string> $cells
     * @return array<string, float> share of the cells that can be read as each meaning
     */
    private function shares(array $cells): array
    {
        $share = static fn (callable $is): float => count(array_filter($cells, $is)) / count($cells);
        $isNumber = static fn (string $cell): bool => preg_match('/^[~\d.,\s]+(?:g|gr|grams?|kg|oz|lbs?)?\.?$/iu', $cell) === 1;

        return [
            'sex' => $share(static fn (string $cell): bool => SoftCells::sex($cell)[2]),
            'hatched' => $share(static fn (string $cell): bool => self::isDate($cell)),
            'genes' => $share($this->isGenes(...)),
            'price' => $share(static fn (string $cell): bool => preg_match('/[$€£]|\b(?:eur|usd|gbp|chf)\b/iu', $cell) === 1),
            'weight' => $share(static fn (string $cell): bool => $isNumber($cell) && (WeightCell::read($cell, null)->grams ?? 0) >= 20),
            'number' => $share(static fn (string $cell): bool => preg_match('/^#?[\p{L}]{0,4}[-. ]?\d[\d-]{0,7}$/u', $cell) === 1)
                * (count(array_unique($cells)) / count($cells)),
            'name' => $share(fn (string $cell): bool => preg_match('/\p{L}/u', $cell) === 1 && ! $this->isGenes($cell))
                * (count(array_unique($cells)) / count($cells)),
        ];
    }

    private static function isDate(string $cell): bool
    {
        $date = DateCell::read($cell, true);

        return $date->day !== null && preg_match('/^\d+$/', $cell) !== 1 || preg_match('/^(?:19|20)\d\d$/', $cell) === 1;
    }

    private function isGenes(string $cell): bool
    {
        if (preg_match('/\p{L}{2}/u', $cell) !== 1 || SoftCells::sex($cell)[0] instanceof Sex) {
            return false;
        }
        $reading = $this->shelf->reader()->read($cell, Sex::Female);

        return count($reading->errors) < count($reading->pieces) || ($reading->errors === [] && $reading->pieces !== []);
    }
}
