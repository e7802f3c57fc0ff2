<?php

namespace App\Models;

/** A record that can be taken out, and put back. */
interface Removable extends CollectionRecord
{
    /** The right that it takes: "log" or "manage". */
    public function rightToRemove(): string;

    /** What it says, in a line. */
    public function sentence(): string;

    /** The address of the page that shows it. */
    public function home(): string;
}
