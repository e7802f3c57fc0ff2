<?php

namespace Tests\Feature;

use App\Exchange\Archive\Archive;
use App\Exchange\Errors\ExchangeError;
use App\Exchange\Table;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\Spreadsheet;
use Tests\TestCase;
use ZipArchive;

/** Files that are larger than they look, or broken: a sentence, and no more memory than a list needs. */
class HostileFilesTest extends TestCase
{
    private const ROWS = [['Name', 'Sex', 'Genes'], ['Skiff', 'm', 'Pastel'], ['Tender', 'f', 'het Clown']];

    /** A workbook with something put into its sheet. */
    private function workbook(string $more): string
    {
        $path = Spreadsheet::write(self::ROWS);
        $zip = new ZipArchive;
        $zip->open($path);
        $sheet = (string) $zip->getFromName('xl/worksheets/sheet1.xml');
        $zip->addFromString('xl/worksheets/sheet1.xml', str_replace('</sheetData>', "{$more}</sheetData>", $sheet));
        $zip->close();

        return $path;
    }

    public function test_a_styled_cell_in_the_last_row_costs_nothing(): void
    {
        $path = $this->workbook('<row r="1048576"><c r="A1048576" s="1"/><c r="XFD1048576" s="1"/></row>');
        $before = memory_get_usage();
        memory_reset_peak_usage();
        $table = Table::read($path, 'list.xlsx');
        $this->assertSame([2 => ['Skiff', 'm', 'Pastel'], 3 => ['Tender', 'f', 'het Clown']], $table->rows);
        $this->assertLessThan(30_000_000, memory_get_peak_usage() - $before);
        unlink($path);
    }

    public function test_a_value_far_below_the_list_is_told_and_not_dropped(): void
    {
        $path = $this->workbook('<row r="1048576"><c r="A1048576" t="inlineStr"><is><t>Dinghy</t></is></c></row>');
        $this->expectExceptionObject(ExchangeError::tooLong(Table::MOST_ROWS));
        Table::read($path, 'list.xlsx');
    }

    public function test_a_formula_is_taken_as_it_was_worked_out(): void
    {
        $path = $this->workbook(
            '<row r="4"><c r="A4" t="str"><f>CONCATENATE("Din","ghy")</f><v>Dinghy</v></c><c r="C4" t="str"><f>WEBSERVICE("x")</f><v>Pastel</v></c></row>',
        );
        $this->assertSame(['Dinghy', '', 'Pastel'], Table::read($path, 'list.xlsx')->rows[4]);
    }

    public function test_a_row_keeps_its_number_over_empty_ones(): void
    {
        $path = $this->workbook('<row r="9"><c r="A9" t="inlineStr"><is><t>Dinghy</t></is></c></row>');
        $this->assertSame([2, 3, 9], array_keys(Table::read($path, 'list.xlsx')->rows));
    }

    /** @return iterable<string, array{string, string}> part of the workbook, what stands in it */
    public static function broken(): iterable
    {
        yield 'a sheet cut short' => ['xl/worksheets/sheet1.xml', '<worksheet><sheetData><row r="1"><c r="A1"'];
        yield 'no sheet' => ['xl/worksheets/sheet1.xml', ''];
        yield 'a workbook of other things' => ['xl/workbook.xml', '<html/>'];
        yield 'styles that are none' => ['xl/styles.xml', "\x00\x01"];
        yield 'a cell at no place' => [
            'xl/worksheets/sheet1.xml', '<worksheet><sheetData><row r="x"><c r="??"><v>1</v></c></row></sheetData></worksheet>',
        ];
    }

    #[DataProvider('broken')]
    public function test_a_malformed_workbook_is_a_sentence(string $part, string $content): void
    {
        $path = Spreadsheet::write(self::ROWS);
        $zip = new ZipArchive;
        $zip->open($path);
        $zip->addFromString($part, $content);
        $zip->close();
        try {
            $this->assertNotSame([], Table::read($path, 'list.xlsx')->rows, 'what is broken did not matter');
        } catch (ExchangeError $error) {
            $this->assertMatchesRegularExpression('/neither a CSV nor an XLSX|holds no rows/', $error->getMessage());
        }
    }

    public function test_a_small_zip_that_unpacks_to_much_is_not_unpacked(): void
    {
        $path = sys_get_temp_dir().'/destino-'.bin2hex(random_bytes(6)).'.zip';
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::CREATE);
        $zip->addFromString('collection.json', '{"format":"destino-collection/2","x":"'.str_repeat(' ', 70_000_000).'"}');
        $zip->close();
        $this->assertLessThan(200_000, filesize($path));
        $before = memory_get_usage();
        memory_reset_peak_usage();
        try {
            Archive::open($path);
            $this->fail('it was unpacked');
        } catch (ExchangeError $error) {
            $this->assertSame('The file unpacks to more than 60 MB; nothing of it was read.', $error->getMessage());
        }
        $this->assertLessThan(5_000_000, memory_get_peak_usage() - $before);
        unlink($path);
    }
}
