<?php

declare(strict_types=1);

namespace Destino\Identification\Reading;

/** An amount that lets another be read: not at all at "from", wholly at "to", which may lie below it. */
final readonly class Through
{
    public function __construct(public string $axis, public float $from, public float $to) {}

    public function share(float $amount): float
    {
        return max(0.0, min(1.0, ($amount - $this->from) / ($this->to - $this->from)));
    }
}
