<?php

declare(strict_types=1);

namespace App\Http;

/** What PHP itself lets in, which the start script sets to what the application promises. */
class Limits
{
    /** Megabytes that one file may have here, where so many are promised. */
    public static function upload(float $promised): float
    {
        return min($promised, self::megabytes('upload_max_filesize'), self::megabytes('post_max_size'));
    }

    public static function words(float $megabytes): string
    {
        return rtrim(rtrim(number_format($megabytes, 1), '0'), '.').' MB';
    }

    private static function megabytes(string $setting): float
    {
        $text = trim((string) ini_get($setting));
        $number = (float) $text;

        return $number <= 0.0 ? INF : $number * match (strtoupper(substr($text, -1))) {
            'G' => 1024, 'M' => 1, 'K' => 1 / 1024, default => 1 / 1048576,
        };
    }
}
