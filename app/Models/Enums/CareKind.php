<?php

declare(strict_types=1);

namespace App\Models\Enums;

enum CareKind: string
{
    case Weight = 'weight';
    case Feed = 'feed';
    case Shed = 'shed';
    case Note = 'note';
}
