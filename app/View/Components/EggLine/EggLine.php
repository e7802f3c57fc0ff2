<?php

declare(strict_types=1);

namespace App\View\Components\EggLine;

use App\Clutch\EggLine as Line;
use App\Drawing\EggSigns;
use App\Models\Animal;
use App\Models\Enums\EggState;
use App\View\Components\Part\Part;
use Closure;

/** The eggs of a clutch in a row: small in a list, large on the page of the clutch, where drawn hatchlings look out of them. */
class EggLine extends Part
{
    /** @param (Closure(Animal): string)|null $drawn a drawing of a hatchling; null in a list */
    public function __construct(public readonly Line $line, public readonly ?Closure $drawn = null, public readonly ?string $link = null) {}

    public function sign(EggState $state): ?string
    {
        return EggSigns::of($state->value);
    }

    /** @return array{float, float} half its width and length: a slug is small */
    public function size(EggState $state): array
    {
        return $state === EggState::Slug ? [7, 8.5] : [9.5, 12];
    }
}
