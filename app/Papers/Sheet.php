<?php

declare(strict_types=1);

namespace App\Papers;

use TCPDF;

/** A4 in millimetres, with texts that are made smaller rather than cut, and codes that open a record. */
class Sheet extends TCPDF
{
    /** Points below which nobody reads a label. */
    private const SMALLEST = 4.0;

    private const FONT = 'dejavusans';

    /** @var bool no advertisement on the last page */
    protected $tcpdflink = false;

    public function __construct(string $title)
    {
        parent::__construct('P', 'mm', 'A4', true, 'UTF-8');
        $this->setPrintHeader(false);
        $this->setPrintFooter(false);
        $this->SetCreator('Destino');
        $this->SetTitle($title);
        $this->SetMargins(18, 18, 18);
        $this->setCellPaddings(0, 0, 0, 0);
        $this->SetAutoPageBreak(false);
        $this->setFont(self::FONT, '', 9);
    }

    /** A text in a box, as large as it fits; what does not fit even small is told, not dropped in silence. */
    public function fit(string $text, float $x, float $y, float $width, float $height, float $points, bool $isBold = false): void
    {
        for ($size = $points; $size > self::SMALLEST && ! $this->fits($text, $size, $width, $height, $isBold); $size -= .25);
        $rest = '… the whole is in the record';
        for ($words = explode(' ', $text); count($words) > 1 && ! $this->fits($text, $size, $width, $height, $isBold);) {
            array_pop($words);
            $text = implode(' ', $words).$rest;
        }
        $this->font($size, $isBold);
        $this->MultiCell($width, 0, $text, 0, 'L', false, 1, $x, $y);
    }

    public function code(string $address, float $x, float $y, float $size): void
    {
        $this->write2DBarcode($address, 'QRCODE,M', $x, $y, $size, $size, ['border' => false, 'padding' => 0], 'N');
    }

    public function font(float $points, bool $isBold = false): void
    {
        $this->setFont(self::FONT, $isBold ? 'B' : '', $points);
    }

    public function bytes(): string
    {
        return (string) $this->Output('', 'S');
    }

    private function fits(string $text, float $size, float $width, float $height, bool $isBold): bool
    {
        $this->font($size, $isBold);

        return $this->getStringHeight($width, $text) <= $height;
    }
}
