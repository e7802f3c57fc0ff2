<?php

declare(strict_types=1);

namespace App\View\Components\ProjectNow;

use App\House\House;
use App\Models\Project;
use App\Projects\Now;
use App\Projects\ProjectDrawings;
use App\View\Components\Part\Part;

/** What a project asks for this season. */
class ProjectNow extends Part
{
    public function __construct(
        public readonly Now $now,
        public readonly House $house,
        public readonly Project $project,
        public readonly ProjectDrawings $drawings,
    ) {}

    /** From when on an animal is to be bought, as the end of a sentence; empty for now. */
    public function when(string $from): string
    {
        return $from === '' ? '' : ", when it is for sale, in {$from}";
    }
}
