<?php

namespace Tests\Support;

use PhpOffice\PhpSpreadsheet\Shared\Date;
use ZipArchive;

/** A small XLSX file written part by part, as a spreadsheet program would, so that reading is tested against the format. */
class Spreadsheet
{
    /** @param  list<list<string|array{date: string}>>  $rows */
    public static function write(array $rows): string
    {
        $sheet = '';
        foreach ($rows as $r => $row) {
            $cells = '';
            foreach ($row as $c => $value) {
                $at = chr(65 + $c).($r + 1);
                $cells .= is_array($value)
                    ? "<c r=\"{$at}\" s=\"1\"><v>".Date::stringToExcel($value['date']).'</v></c>'
                    : ($value === '' ? '' : "<c r=\"{$at}\" t=\"inlineStr\"><is><t>".htmlspecialchars($value).'</t></is></c>');
            }
            $sheet .= '<row r="'.($r + 1)."\">{$cells}</row>";
        }
        $main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
        $relations = 'http://schemas.openxmlformats.org/package/2006/relationships';
        $office = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
        $type = 'application/vnd.openxmlformats-officedocument.spreadsheetml';
        $path = sys_get_temp_dir().'/destino-'.bin2hex(random_bytes(6)).'.xlsx';
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::CREATE);
        $zip->addFromString(
            '[Content_Types].xml',
            '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" '
                .'ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" '
                .'ContentType="application/xml"/><Override PartName="/xl/workbook.xml" '
                ."ContentType=\"{$type}.sheet.main+xml\"/><Override PartName=\"/xl/worksheets/sheet1.xml\" "
                ."ContentType=\"{$type}.worksheet+xml\"/><Override PartName=\"/xl/styles.xml\" "
                ."ContentType=\"{$type}.styles+xml\"/></Types>",
        );
        $zip->addFromString(
            '_rels/.rels',
            "<Relationships xmlns=\"{$relations}\"><Relationship Id=\"r1\" Type=\"{$office}/officeDocument\" "
                .'Target="xl/workbook.xml"/></Relationships>',
        );
        $zip->addFromString(
            'xl/workbook.xml',
            "<workbook xmlns=\"{$main}\" xmlns:r=\"{$office}\"><sheets><sheet name=\"Snakes\" sheetId=\"1\" "
                .'r:id="r1"/></sheets></workbook>',
        );
        $zip->addFromString(
            'xl/_rels/workbook.xml.rels',
            "<Relationships xmlns=\"{$relations}\"><Relationship Id=\"r1\" Type=\"{$office}/worksheet\" "
                ."Target=\"worksheets/sheet1.xml\"/><Relationship Id=\"r2\" Type=\"{$office}/styles\" "
                .'Target="styles.xml"/></Relationships>',
        );
        $zip->addFromString(
            'xl/styles.xml',
            "<styleSheet xmlns=\"{$main}\"><fonts count=\"1\"><font/></fonts><fills count=\"1\"><fill/></fills><borders "
                .'count="1"><border/></borders><cellStyleXfs count="1"><xf/></cellStyleXfs><cellXfs count="2"><xf/><xf '
                .'numFmtId="14" applyNumberFormat="1"/></cellXfs></styleSheet>',
        );
        $zip->addFromString('xl/worksheets/sheet1.xml', "<worksheet xmlns=\"{$main}\"><sheetData>{$sheet}</sheetData></worksheet>");
        $zip->close();

        return $path;
    }
}
