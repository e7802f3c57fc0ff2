<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** What two types give. */
final readonly class Pair
{
    /** Whether it gives nothing that is wanted. */
    public bool $isIdle;

    /**
     * @param float $hit P(an egg that hatches meets the target)
     * @param float $male of these, males
     * @param float $female females
     * @param array<int, float> $children P(an egg that hatches is of this type), by number of the type; those that carry nothing wanted left out
     * @param bool $isRefused whether house rules refuse the cross
     */
    public function __construct(
        public float $hit, public float $male, public float $female, public array $children, public bool $isRefused,
    ) {
        $this->isIdle = $hit <= 0.0 && $children === [];
    }
}
