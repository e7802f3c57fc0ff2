<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

/** What a keeper wants done when a pairing can bring a condition. */
enum Stance: string
{
    case Inform = 'inform';
    case Warn = 'warn';
    case Refuse = 'refuse';

    /** Higher is stricter. */
    public function rank(): int
    {
        return match ($this) {
            self::Inform => 0,
            self::Warn => 1,
            self::Refuse => 2,
        };
    }
}
