<?php

namespace Tests\Feature;

use App\Exchange\Table;
use App\Tables\Sheet;
use PhpOffice\PhpSpreadsheet\IOFactory;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/** Tables that are taken along: what was typed is what is read again, and nothing of it is a formula. */
class SheetTest extends TestCase
{
    private const PIECES = ["'", '=1+1', '+', '-', '@cmd', '"', ',', ';', "\n", '’', 'é', '½', '☂', '<b>', '&amp;', '0012', '3.50', 'Clown', ' ', 'x'];

    #[DataProvider('formats')]
    public function test_any_text_comes_back_as_it_was_typed(string $format): void
    {
        $chance = new Randomizer(new Mt19937(8));
        $rows = [];
        for ($i = 0; $i < 60; $i++) {
            $text = fn (): string => trim(implode('', array_map(
                fn (): string => self::PIECES[$chance->getInt(0, count(self::PIECES) - 1)], range(1, $chance->getInt(1, 5)),
            )));
            $rows[] = ["row {$i}", $text(), $text()];
        }
        $this->assertSame($rows, array_values($this->readAgain($format, ['name', 'one', 'other'], $rows)->rows));
    }

    #[DataProvider('formats')]
    public function test_numbers_are_numbers_and_what_is_not_there_is_empty(string $format): void
    {
        $table = $this->readAgain($format, ['name', 'grams', 'odds', 'none'], [['Dory', 1500, 0.25, null], ['=Skiff', -3, 1.0, '']]);
        $this->assertSame([['Dory', '1500', '0.25', ''], ['=Skiff', '-3', '1', '']], array_values($table->rows));
    }

    public function test_a_workbook_holds_texts_and_numbers_only(): void
    {
        $file = $this->written(Sheet::XLSX, ['=name', 'grams'], [['=HYPERLINK("http://elsewhere.example")', 12], ['-1+2', 3.5]]);
        $sheet = IOFactory::createReader('Xlsx')->load($file)->getActiveSheet();
        foreach ($sheet->getCoordinates() as $at) {
            $this->assertFalse($sheet->getCell($at)->isFormula(), $at);
        }
        $this->assertSame('=HYPERLINK("http://elsewhere.example")', $sheet->getCell('A2')->getValue());
        $this->assertEquals(12, $sheet->getCell('B2')->getValue());
        $this->assertSame('A2', $sheet->getFreezePane(), 'the headings stay in sight');
        unlink($file);
    }

    public function test_in_a_list_what_a_spreadsheet_would_work_out_is_marked(): void
    {
        $file = $this->written(Sheet::CSV, ['name'], [['=1+1'], ['+49 30'], ['@cmd'], ['-12'], ['-x'], ["\tx"], ['12=3']]);
        $this->assertSame(
            ['name', "'=1+1", "'+49 30", "'@cmd", '-12', "'-x", "'\tx", '12=3'],
            array_map(fn (array $row): string => $row[0], array_map(fn (string $line): array => str_getcsv($line, ',', '"', ''), file($file, FILE_IGNORE_NEW_LINES))),
        );
        unlink($file);
    }

    /** @return iterable<string, array{string}> */
    public static function formats(): iterable
    {
        yield 'a list' => [Sheet::CSV];
        yield 'a workbook' => [Sheet::XLSX];
    }

    /**
     * @param list<string> $headings
     * @param list<list<string|int|float|null>> $rows
     */
    private function written(string $format, array $headings, array $rows): string
    {
        $file = sys_get_temp_dir().'/destino-sheet-'.bin2hex(random_bytes(4)).".{$format}";
        $stream = fopen($file, 'w');
        Sheet::write($stream, $format, $headings, $rows);
        fclose($stream);

        return $file;
    }

    /**
     * @param list<string> $headings
     * @param list<list<string|int|float|null>> $rows
     */
    private function readAgain(string $format, array $headings, array $rows): Table
    {
        $file = $this->written($format, $headings, $rows);
        try {
            $table = Table::read($file, basename($file));
        } finally {
            unlink($file);
        }
        $this->assertSame($headings, $table->headings);

        return $table;
    }
}
