<?php

declare(strict_types=1);

namespace App\Models\Enums;

enum Grade: string
{
    case None = 'none';
    case Slight = 'slight';
    case Moderate = 'moderate';
    case Severe = 'severe';
}
