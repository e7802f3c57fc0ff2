<?php

declare(strict_types=1);

namespace App\Incubation;

use DomainException;
use Illuminate\Support\Str;

/** A file that holds no readings. */
class UnreadableReadings extends DomainException
{
    public static function empty(): self
    {
        return new self('The file is empty.');
    }

    /** @param list<string> $heading */
    public static function heading(array $heading): self
    {
        return new self(
            'The first line must name a column of times (such as “at”) and one of “temperature” or “humidity”; it reads “'
                .Str::limit(mb_scrub(implode(', ', $heading)), 120).'”.',
        );
    }
}
