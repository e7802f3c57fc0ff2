<?php

declare(strict_types=1);

namespace App\Models;

/** A record that can be taken out, and put back. */
interface Removable extends CollectionRecord
{
    /**
     * Puts it back (SoftDeletes).
     *
     * @return bool
     */
    public function restore();

    /** What it says, in a line. */
    public function sentence(): string;

    /** The address of the page that shows it. */
    public function home(): string;
}
