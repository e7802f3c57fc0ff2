<?php

declare(strict_types=1);

namespace App\Models\Enums;

enum FeedOutcome: string
{
    case Taken = 'taken';
    case Offered = 'offered';
    case Refused = 'refused';
    case Regurgitated = 'regurgitated';
}
