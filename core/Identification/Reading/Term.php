<?php

declare(strict_types=1);

namespace Destino\Identification\Reading;

/** What one amount of a look adds to a reading: 0 in the wild type, and as far as other amounts let it be read. */
final readonly class Term
{
    /** @param list<Through> $through */
    public function __construct(public string $axis, public float $times, public float $from, public float $to, public array $through) {}

    public function of(Amounts $look): float
    {
        $value = $this->times * ($this->clipped($look->at($this->axis)) - $this->clipped(0.0));
        foreach ($value === 0.0 ? [] : $this->through as $through) {
            $value *= $through->share($look->at($through->axis));
        }

        return $value;
    }

    public function clipped(float $amount): float
    {
        return max($this->from, min($this->to, $amount));
    }
}
