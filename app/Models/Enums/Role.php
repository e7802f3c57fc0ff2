<?php

declare(strict_types=1);

namespace App\Models\Enums;

enum Role: string
{
    case Owner = 'owner';
    case Helper = 'helper';
    case Viewer = 'viewer';

    public function has(Right $right): bool
    {
        return match ($this) {
            self::Owner => true,
            self::Helper => $right === Right::Read || $right === Right::Log,
            self::Viewer => $right === Right::Read,
        };
    }

    public function sentence(): string
    {
        return match ($this) {
            self::Owner => 'Full access',
            self::Helper => 'logs care and season events, changes no genetics or rules, and sees no prices or buyers',
            self::Viewer => 'reads, except prices and buyers',
        };
    }
}
