<?php

namespace App\Care;

enum FeedOutcome: string
{
    case Taken = 'taken';
    case Refused = 'refused';
    case Regurgitated = 'regurgitated';
}
