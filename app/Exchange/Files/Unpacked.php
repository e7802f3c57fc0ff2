<?php

declare(strict_types=1);

namespace App\Exchange\Files;

use App\Exchange\Errors\ExchangeError;
use ZipArchive;

/** Looks at what a zip says it holds before anything of it is unpacked. */
final class Unpacked
{
    /**
     * @param int $most bytes that all of it may come to
     * @param int $mostOne bytes that one file in it may come to
     *
     * @throws ExchangeError when it would come to more
     */
    public static function check(string $path, int $most, int $mostOne = PHP_INT_MAX): void
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            return; // whoever reads it says what is wrong
        }
        $all = 0;
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $size = (int) ($zip->statIndex($i)['size'] ?? 0);
            $all += $size;
            if ($all > $most || $size > $mostOne) {
                $zip->close();

                throw ExchangeError::unpacksTooLarge(intdiv($size > $mostOne ? $mostOne : $most, 1_000_000));
            }
        }
        $zip->close();
    }
}
