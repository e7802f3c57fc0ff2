<?php

declare(strict_types=1);

namespace Destino\Husbandry;

/** When an animal counts as ready to breed: a keeper's choice, with the common cautious values. */
final readonly class BreedingRules
{
    public function __construct(
        public int $maleMonths = 12,
        public int $femaleMonths = 30,
        public int $maleGrams = 500,
        public int $femaleGrams = 1500,
    ) {}

    public function months(bool $isMale): int
    {
        return $isMale ? $this->maleMonths : $this->femaleMonths;
    }

    public function grams(bool $isMale): int
    {
        return $isMale ? $this->maleGrams : $this->femaleGrams;
    }
}
