<?php

declare(strict_types=1);

namespace App\Models\Enums;

enum FeedOutcome: string
{
    case Taken = 'taken';
    case Offered = 'offered';
    case Refused = 'refused';
    case Regurgitated = 'regurgitated';
    /** Fed by hand: a meal, but none that it took by itself. */
    case Assisted = 'assisted';

    /** @return list<self> what is tapped in a round of the whole collection */
    public static function ofRounds(): array
    {
        return [self::Taken, self::Offered, self::Refused, self::Regurgitated];
    }
}
