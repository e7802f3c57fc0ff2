<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** What somebody may do in a collection. */
enum Right
{
    case Read;

    /** Care and season events: weights, meals, sheds, dates, counts of eggs, tubs. */
    case Log;

    /** What is paid and asked, and who buys: wherever it is shown, exported, printed or searched. */
    case Money;

    /** Everything else: records, genetics, rules, people, import. */
    case Manage;

    /** The name under which the policies ask for it. */
    public function ability(): string
    {
        return strtolower($this->name);
    }
}
