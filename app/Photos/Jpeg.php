<?php

declare(strict_types=1);

namespace App\Photos;

/** The parts of a JPEG file, as far as to say what is in it besides the picture (ITU-T T.81, annex B). */
final class Jpeg
{
    /** Markers that the picture itself needs: frames, tables, restart intervals, and the header of the format. */
    private const NEEDED = [0xC0, 0xC1, 0xC2, 0xC4, 0xDB, 0xDD, 0xE0];

    private const START = "\xFF\xD8";

    private const SCAN = 0xDA;

    private const COMMENT = 0xFE;

    /** The one comment that is allowed: what the library writes that makes our own. */
    private const OWN = '/^CREATOR: gd-jpeg v[\d.]+ \(using IJG JPEG v\d+\), (default quality|quality = \d+)\n$/D';

    private const END = "\xFF\xD9";

    /** Whether it has no notes of a camera or a person (APP1 to APP15, COM), and nothing behind its end. */
    public static function holdsOnlyThePicture(string $content): bool
    {
        if (! str_starts_with($content, self::START) || ! str_ends_with($content, self::END)) {
            return false;
        }
        for ($at = 2; $at + 4 <= strlen($content); $at += 2 + $length) {
            $marker = ord($content[$at + 1]);
            $length = (ord($content[$at + 2]) << 8) + ord($content[$at + 3]);
            if ($content[$at] !== "\xFF") {
                return false;
            }
            if ($marker === self::SCAN) {
                return self::isScan(substr($content, $at + 2 + $length));
            }
            $isOwn = $marker === self::COMMENT && preg_match(self::OWN, substr($content, $at + 4, $length - 2)) === 1;
            if (! $isOwn && ! in_array($marker, self::NEEDED, true)) {
                return false;
            }
        }

        return false;
    }

    /** Data of the picture up to the end of the file: within it, a byte FF is followed by 00, a restart, another scan or its tables. */
    private static function isScan(string $data): bool
    {
        preg_match_all('/\xFF([^\x00\xD0-\xD7\xFF])/s', $data, $found);
        $markers = array_map(ord(...), $found[1]);

        return array_search(ord(self::END[1]), $markers, true) === count($markers) - 1
            && array_diff($markers, [...self::NEEDED, self::SCAN, ord(self::END[1])]) === [];
    }
}
