<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** Where an animal stands in the keeper's plans. */
enum Status: string
{
    case Growing = 'growing';
    case Breeder = 'breeder';
    case HoldBack = 'hold-back';
    case ForSale = 'for sale';
    case Reserved = 'reserved';
    case Sold = 'sold';
    case Quarantine = 'quarantine';
    case Died = 'died';

    /** Whether the animal is still with the keeper. */
    public function isHere(): bool
    {
        return $this !== self::Sold && $this !== self::Died;
    }

    /** Whether it is offered or sold: what is written beside it speaks of money and buyers. */
    public function isOfTrade(): bool
    {
        return in_array($this, [self::ForSale, self::Reserved, self::Sold], true);
    }

    /** Why an animal of this status is not paired; null where it may be. */
    public function whyNotPaired(): ?string
    {
        return match ($this) {
            self::Sold => 'Sold.',
            self::Died => 'Died.',
            self::Quarantine => 'In quarantine.',
            self::Reserved => 'Reserved for a buyer.',
            default => null,
        };
    }

    /** One letter for the rack view, so that colour is never the only sign. */
    public function letter(): string
    {
        return match ($this) {
            self::Growing => 'G',
            self::Breeder => 'B',
            self::HoldBack => 'H',
            self::ForSale => 'S',
            self::Reserved => 'R',
            self::Sold => '–',
            self::Quarantine => 'Q',
            self::Died => '†',
        };
    }
}
