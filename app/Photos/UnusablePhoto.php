<?php

declare(strict_types=1);

namespace App\Photos;

use DomainException;

class UnusablePhoto extends DomainException
{
    public static function noPicture(): self
    {
        return new self('The file is no JPEG, PNG or WebP picture, whatever its name says.');
    }

    public static function tooManyPixels(int $width, int $height, int $most): self
    {
        return new self(
            "The picture has {$width} × {$height} pixels; more than ".number_format($most / 1e6).' million cannot be taken in.',
        );
    }
}
