<?php

namespace App\Models\Enums;

/** What happens in a season to a pair and to a clutch, in the usual order. */
enum EventKind: string
{
    case Planned = 'planned';
    case Introduced = 'introduced';
    case Lock = 'lock';
    case Separated = 'separated';
    case Ovulation = 'ovulation';
    case Laid = 'laid';
    case Hatched = 'hatched';
    case Counted = 'counted';

    public function words(): string
    {
        return match ($this) {
            self::Planned => 'pairing planned',
            self::Introduced => 'introduced',
            self::Lock => 'lock seen',
            self::Separated => 'separated',
            self::Ovulation => 'ovulation',
            self::Laid => 'eggs laid',
            self::Hatched => 'hatched',
            self::Counted => 'counted',
        };
    }
}
