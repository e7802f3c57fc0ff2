<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** What money went for, or came from, besides animals bought and sold. */
enum BookingKind: string
{
    case Feed = 'feed';
    case Equipment = 'equipment';
    case Veterinarian = 'veterinarian';
    case Power = 'power';
    case Cost = 'cost';
    case Income = 'income';

    public function words(): string
    {
        return match ($this) {
            self::Feed => 'feed',
            self::Equipment => 'equipment',
            self::Veterinarian => 'veterinarian',
            self::Power => 'heat and power',
            self::Cost => 'other costs',
            self::Income => 'other income',
        };
    }

    public function isIncome(): bool
    {
        return $this === self::Income;
    }
}
