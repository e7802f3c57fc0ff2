<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** How an egg stands. */
enum EggState: string
{
    case Good = 'good';
    case Slug = 'slug';
    case Veins = 'veins';
    case NoVeins = 'no-veins';
    case Pipped = 'pipped';
    case Opened = 'opened';
    case GivenUp = 'given-up';
    case Out = 'out';
    case Dead = 'dead';

    /** What an egg is after an event; null where the event says nothing of it. */
    public static function after(EventKind $kind): ?self
    {
        return match ($kind) {
            EventKind::Veins => self::Veins,
            EventKind::NoVeins => self::NoVeins,
            EventKind::Pipped => self::Pipped,
            EventKind::Opened => self::Opened,
            EventKind::EggBad => self::GivenUp,
            EventKind::Out => self::Out,
            EventKind::DeadInEgg => self::Dead,
            default => null,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Good => 'good',
            self::Slug => 'slug',
            self::Veins => 'veins seen',
            self::NoVeins => 'no veins seen',
            self::Pipped => 'pipped',
            self::Opened => 'opened',
            self::GivenUp => 'given up',
            self::Out => 'out',
            self::Dead => 'dead in the egg',
        };
    }

    /** Whether nothing more comes of it. */
    public function isFinal(): bool
    {
        return in_array($this, [self::GivenUp, self::Out, self::Dead], true);
    }

    /** Whether young can still come of it. */
    public function isOpen(): bool
    {
        return ! $this->isFinal() && $this !== self::Slug;
    }
}
