<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Exchange\Cells\SoftCells;
use App\Exchange\Errors\ExchangeError;
use App\Exchange\Files\Unpacked;
use App\Tables\Sheet;
use PhpOffice\PhpSpreadsheet\Cell\Cell;
use PhpOffice\PhpSpreadsheet\Cell\Coordinate;
use PhpOffice\PhpSpreadsheet\Exception as SpreadsheetException;
use PhpOffice\PhpSpreadsheet\IOFactory;
use PhpOffice\PhpSpreadsheet\Shared\Date;
use PhpOffice\PhpSpreadsheet\Worksheet\Worksheet;

/** Rows of text under headings, as read from a CSV or XLSX file; a list that has none begins with its first animal. */
class Table
{
    public const MOST_ROWS = 5000;

    private const MOST_COLUMNS = 200;

    /** Bytes that a workbook may unpack to. */
    private const MOST_UNPACKED = 150_000_000;

    /**
     * @param  list<string>  $headings
     * @param  array<int, list<string>>  $rows  by the row's number in the file
     */
    private function __construct(public readonly array $headings, public readonly array $rows, public readonly bool $hasHeadings) {}

    /** @throws ExchangeError */
    public static function read(string $path, string $name): self
    {
        $lines = self::looksLikeZip($path) ? self::xlsx($path, $name) : self::csv($path, $name);
        $hasHeadings = self::isHeading($lines[0] ?? [], $lines[1] ?? []);
        $wide = $hasHeadings ? 0 : max([0, ...array_map(count(...), array_slice($lines, 0, 200))]);
        $headings = $hasHeadings ? array_map(trim(...), array_shift($lines)) : array_fill(0, $wide, '');
        while ($hasHeadings && end($headings) === '') {
            array_pop($headings);
        }
        $rows = [];
        foreach ($lines as $i => $line) {
            $cells = array_map(fn (int $at): string => trim((string) ($line[$at] ?? '')), array_keys($headings));
            if (implode('', $cells) !== '') {
                $rows[$i + ($hasHeadings ? 2 : 1)] = $cells;
            }
        }
        if ($rows === []) {
            throw ExchangeError::empty();
        }

        return count($rows) > self::MOST_ROWS ? throw ExchangeError::tooLong(self::MOST_ROWS) : new self($headings, $rows, $hasHeadings);
    }

    /**
     * Whether a line names its columns, and is no animal: by its words, or because it has neither sex nor number while the next line has.
     *
     * @param list<string|null> $line
     * @param list<string|null> $next
     */
    private static function isHeading(array $line, array $next): bool
    {
        $cells = array_map(static fn (?string $cell): string => trim((string) $cell), $line);
        $isOfAnimal = static fn (array $all): bool => array_filter(
            $all, static fn (?string $cell): bool => preg_match('/\d/', (string) $cell) === 1 || SoftCells::sex((string) $cell)[0] !== null,
        ) !== [];

        return array_filter(Field::match($cells)) !== [] || (! $isOfAnimal($cells) && $isOfAnimal($next));
    }

    private static function looksLikeZip(string $path): bool
    {
        return file_get_contents($path, false, null, 0, 2) === 'PK';
    }

    /** @return list<list<string|null>> */
    private static function csv(string $path, string $name): array
    {
        $text = (string) file_get_contents($path);
        if (str_starts_with($text, "\xFF\xFE") || str_starts_with($text, "\xFE\xFF")) {
            $text = mb_convert_encoding($text, 'UTF-8', 'UTF-16');
        } elseif (! mb_check_encoding($text, 'UTF-8')) {
            $text = mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
        }
        $text = preg_replace('/^\x{FEFF}/u', '', (string) $text);
        if (preg_match('/[\x00-\x08]/', (string) $text)) {
            throw ExchangeError::notATable($name);
        }
        $first = strtok((string) $text, "\n");
        $separator = array_search(
            max(
                $counts = [
                    ';' => substr_count((string) $first, ';'), ',' => substr_count((string) $first, ','),
                    "\t" => substr_count((string) $first, "\t"),
                ],
            ),
            $counts, true,
        );
        $stream = fopen('php://temp', 'w+');
        fwrite($stream, (string) $text);
        rewind($stream);
        $lines = [];
        while (($line = fgetcsv($stream, null, (string) $separator, '"', '')) !== false) {
            $lines[] = array_map(
                fn (?string $cell): ?string => $cell === null ? null : Sheet::plain($cell),
                $line,
            );
        }
        fclose($stream);

        return $lines;
    }

    /**
     * Only cells that are there are looked at: a workbook with one styled cell in its last row is as small as it seems.
     *
     * @return list<list<string|null>>
     */
    private static function xlsx(string $path, string $name): array
    {
        Unpacked::check($path, self::MOST_UNPACKED);
        try {
            $sheet = IOFactory::createReader('Xlsx')->load($path)->getActiveSheet();
            $rows = self::filled($sheet);
        } catch (SpreadsheetException|\ValueError|\TypeError|\ErrorException) { // whatever is broken in it, it is no list
            throw ExchangeError::notATable($name);
        }
        ksort($rows);
        $lines = [];
        foreach ($rows as $number => $cells) {
            while (count($lines) < $number - 1) {
                $lines[] = []; // rows keep the numbers that they have in the file
            }
            $lines[] = array_map(fn (int $at): ?string => $cells[$at] ?? null, range(1, max(array_keys($cells))));
        }

        return $lines;
    }

    /**
     * @return array<int, non-empty-array<int, string>> by row and column, from 1
     *
     * @throws ExchangeError when there are more rows than can be taken, or one that stands far below the list
     */
    private static function filled(Worksheet $sheet): array
    {
        $rows = [];
        foreach ($sheet->getCoordinates(false) as $coordinate) {
            [$column, $row] = Coordinate::indexesFromString($coordinate);
            $text = $column > self::MOST_COLUMNS ? null : self::text($sheet->getCell($coordinate));
            if ($text !== null && trim($text) !== '') {
                $rows[$row][$column] = $text;
                if (count($rows) > self::MOST_ROWS + 1 || $row > 4 * self::MOST_ROWS) {
                    throw ExchangeError::tooLong(self::MOST_ROWS);
                }
            }
        }

        return $rows;
    }

    private static function text(Cell $cell): ?string
    {
        // a formula as the program that wrote it worked it out; nothing is computed here
        $value = $cell->isFormula() ? $cell->getOldCalculatedValue() : $cell->getValue();

        return match (true) {
            $value === null => null,
            is_numeric($value) && Date::isDateTime($cell) => Date::excelToDateTimeObject((float) $value)->format('Y-m-d'),
            is_float($value) && floor($value) === $value && abs($value) < 1e15 => (string) (int) $value,
            default => (string) $value,
        };
    }
}
