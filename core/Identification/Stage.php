<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\LookAlike;

/** How far grown an animal was when it was looked at, as sets of look-alikes count it. */
enum Stage: string
{
    case Hatchling = 'hatchling';
    case Growing = 'growing';
    case Adult = 'adult';

    /** Days until which it is a hatchling, and until which it is growing. */
    private const DAYS = [60, 540];

    public static function at(?int $days): self
    {
        return match (true) {
            $days === null || $days >= self::DAYS[1] => self::Adult,
            $days <= self::DAYS[0] => self::Hatchling,
            default => self::Growing,
        };
    }

    /** Whether a set is mixed up at this stage: what cannot be told in a growing animal cannot be told in a hatchling either. */
    public function has(LookAlike $set): bool
    {
        return match ($set->stage) {
            'hatchling' => $this === self::Hatchling,
            'growing' => $this !== self::Adult,
            'adult' => $this === self::Adult,
            default => true,
        };
    }
}
