<?php

declare(strict_types=1);

namespace Destino\Genome;

enum Severity: string
{
    case Info = 'info';
    case Watch = 'watch';
    case Serious = 'serious';
    case Lethal = 'lethal';

    /** Higher is graver. */
    public function rank(): int
    {
        return match ($this) {
            self::Info => 0,
            self::Watch => 1,
            self::Serious => 2,
            self::Lethal => 3,
        };
    }
}
