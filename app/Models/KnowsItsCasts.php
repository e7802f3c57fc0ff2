<?php

declare(strict_types=1);

namespace App\Models;

/** Of records that are shown by the hundred: how their values are cast is put together once for each, not at every value. */
trait KnowsItsCasts
{
    /** @var array<string, string>|null */
    private ?array $knownCasts = null;

    /** @return array<string, string> */
    public function getCasts(): array
    {
        return $this->knownCasts ??= parent::getCasts();
    }

    /** @param array<string, string> $casts */
    public function mergeCasts($casts): static
    {
        $this->knownCasts = null;

        return parent::mergeCasts($casts);
    }
}
