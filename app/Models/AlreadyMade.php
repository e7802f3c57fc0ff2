<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use RuntimeException;

/** A form is sent again whose record is there, and which it would be refused for now. */
class AlreadyMade extends RuntimeException
{
    public function __construct(public readonly Model&Removable $record)
    {
        parent::__construct("“{$record->sentence()}” is saved.");
    }
}
