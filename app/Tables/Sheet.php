<?php

declare(strict_types=1);

namespace App\Tables;

use Closure;
use PhpOffice\PhpSpreadsheet\Cell\Coordinate;
use PhpOffice\PhpSpreadsheet\Cell\DataType;
use PhpOffice\PhpSpreadsheet\Spreadsheet;
use PhpOffice\PhpSpreadsheet\Worksheet\Worksheet;
use PhpOffice\PhpSpreadsheet\Writer\Xlsx;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * A table to be taken along, row by row as CSV or as a workbook. Nothing in either is a formula, whatever was typed: a workbook
 * holds texts and numbers only, and in CSV a text that a spreadsheet would work out gets the sign that it is none.
 *
 * @phpstan-type Row list<string|int|float|null>
 */
final class Sheet
{
    public const CSV = 'csv';

    public const XLSX = 'xlsx';

    public const TYPES = [
        self::CSV => 'text/csv; charset=UTF-8',
        self::XLSX => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
    ];

    /** Characters that a column of a workbook is wide at the most; longer texts run on. */
    private const WIDEST = 60;

    /**
     * @param string $name of the file, without its ending
     * @param list<string> $headings
     * @param Closure(): iterable<Row> $rows
     */
    public static function download(string $name, string $format, array $headings, Closure $rows): StreamedResponse
    {
        return response()->streamDownload(function () use ($format, $headings, $rows): void {
            $stream = fopen('php://output', 'w');
            $stream === false ?: self::write($stream, $format, $headings, $rows());
        }, "{$name}.{$format}", ['Content-Type' => self::TYPES[$format]]);
    }

    /**
     * @param resource $stream
     * @param list<string> $headings
     * @param iterable<Row> $rows
     */
    public static function write($stream, string $format, array $headings, iterable $rows): void
    {
        $format === self::XLSX ? self::workbook($stream, $headings, $rows) : self::lines($stream, $headings, $rows);
    }

    /** A text that a spreadsheet would take for a formula gets the sign that it is none; so does one that begins with such a sign. */
    public static function safe(string $text): string
    {
        return preg_match("/^'*[=+\\-@\\t\\r]/", $text) === 1 && ! is_numeric($text) ? "'{$text}" : $text;
    }

    /** The text as it was before safe(). */
    public static function plain(string $text): string
    {
        return (string) preg_replace("/^'(?='*[=+\\-@\\t\\r])/", '', $text);
    }

    /**
     * @param resource $stream
     * @param list<string> $headings
     * @param iterable<Row> $rows
     */
    private static function lines($stream, array $headings, iterable $rows): void
    {
        fputcsv($stream, array_map(self::safe(...), $headings), ',', '"', '');
        foreach ($rows as $row) {
            fputcsv(
                $stream, array_map(fn (string|int|float|null $cell): string|int|float => is_string($cell) ? self::safe($cell) : $cell
                    ?? '', $row),
                ',', '"', '',
            );
        }
    }

    /**
     * @param resource $stream
     * @param list<string> $headings
     * @param iterable<Row> $rows
     */
    private static function workbook($stream, array $headings, iterable $rows): void
    {
        $book = new Spreadsheet;
        $sheet = $book->getActiveSheet();
        $widths = [];
        $line = 0;
        foreach (self::all($headings, $rows) as $row) {
            $line++;
            foreach ($row as $i => $cell) {
                self::put($sheet, Coordinate::stringFromColumnIndex($i + 1).$line, $cell);
                $widths[$i] = min(self::WIDEST, max($widths[$i] ?? 8, mb_strlen((string) $cell) + 2));
            }
        }
        foreach ($widths as $i => $width) {
            $sheet->getColumnDimension(Coordinate::stringFromColumnIndex($i + 1))->setWidth($width);
        }
        $sheet->getStyle('1:1')->getFont()->setBold(true);
        $sheet->freezePane('A2');
        (new Xlsx($book))->save($stream);
        $book->disconnectWorksheets();
    }

    /**
     * @param list<string> $headings
     * @param iterable<Row> $rows
     * @return iterable<Row>
     */
    private static function all(array $headings, iterable $rows): iterable
    {
        yield $headings;
        yield from $rows;
    }

    private static function put(Worksheet $sheet, string $at, string|int|float|null $cell): void
    {
        if ($cell !== null && $cell !== '') {
            $sheet->setCellValueExplicit($at, $cell, is_string($cell) ? DataType::TYPE_STRING : DataType::TYPE_NUMERIC);
        }
    }
}
