<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** What somebody may do in a collection. */
enum Right
{
    case Read;

    /** Care and season events: weights, meals, sheds, dates, counts of eggs, tubs. */
    case Log;

    /** Everything else: records, genetics, prices, rules, people, import. */
    case Manage;

    /** The name under which the policies ask for it. */
    public function ability(): string
    {
        return strtolower($this->name);
    }
}
