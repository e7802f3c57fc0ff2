<?php

declare(strict_types=1);

namespace App\Drawing;

/** Breaks a label into lines that fit a tile, estimated from the mean width of a letter. */
class TextFit
{
    private const LETTER = 0.56; // mean width of a letter as a share of the font size

    /** @return list<string> at most $most lines, the last one shortened with … where the text goes on */
    public static function lines(string $text, float $width, float $size, int $most): array
    {
        $fits = (int) floor($width / ($size * self::LETTER));
        if ($fits < 4 || $most < 1) {
            return [];
        }
        $lines = [''];
        foreach (explode(' ', $text) as $word) {
            $last = count($lines) - 1;
            $longer = trim($lines[$last].' '.$word);
            if (mb_strlen($longer) <= $fits) {
                $lines[$last] = $longer;
            } else {
                $lines[] = $word;
            }
        }
        $lines = array_values(array_filter($lines, fn (string $line): bool => $line !== ''));
        $cut = count($lines) > $most;
        $lines = array_slice($lines, 0, $most);
        foreach ($lines as $i => $line) {
            if (mb_strlen($line) > $fits || ($cut && $i === count($lines) - 1)) {
                $lines[$i] = rtrim(mb_substr($line, 0, $fits - 1)).'…';
            }
        }

        return $lines;
    }
}
