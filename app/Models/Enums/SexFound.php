<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** How the sex of an animal was found. */
enum SexFound: string
{
    case Popped = 'popped';
    case Probed = 'probed';
    case Bred = 'bred';
    case Told = 'told';

    public function sentence(): string
    {
        return match ($this) {
            self::Popped => 'popped as a hatchling',
            self::Probed => 'probed',
            self::Bred => 'has bred',
            self::Told => 'told by the seller',
        };
    }
}
