<?php

declare(strict_types=1);

namespace Destino\Appearance;

/** One thing that keepers point at on an animal, as an amount: 0 in the wild type, about -3 to 3. */
final readonly class Axis
{
    /** An amount that takes a pigment away altogether: nothing else brings it back. */
    public const REMOVES = -2.4;

    /**
     * @param string $group pigment, pattern, belly, white, head or eye
     * @param string $where region of the body
     * @param string $more what more of it is called: "more yellow"
     * @param string $less what less of it is called: "less yellow"
     * @param float $spread standard deviation among animals of one genotype
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $group,
        public string $where,
        public string $more,
        public string $less,
        public float $spread,
    ) {}

    /** Whether it belongs to what is drawn on the animal rather than to its colours. */
    public function isPattern(): bool
    {
        return in_array($this->group, ['pattern', 'belly', 'head'], true);
    }

    /** Whether it varies only in animals that have it at all. */
    public function comesAlone(): bool
    {
        return $this->group === 'white' || in_array($this->key, ['freckles', 'flames', 'blush', 'dorsal_stripe'], true);
    }
}
