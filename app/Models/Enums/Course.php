<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** What a keeper decides for an animal that is malformed or ailing. */
enum Course: string
{
    case Watch = 'watch';
    case Veterinarian = 'veterinarian';
    case HumaneEnd = 'humane end';
}
