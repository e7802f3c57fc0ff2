<?php

declare(strict_types=1);

namespace Destino\Season;

/** Days from one thing that happens to the next, as keepers know them before any record. */
final readonly class Gap
{
    /**
     * @param float $mean days
     * @param float $between standard deviation of a female's own mean about it
     * @param float $within standard deviation of one time about her own mean
     */
    private function __construct(public string $key, public float $mean, public float $between, public float $within) {}

    /** Pre-lay shed 14 to 21 days after ovulation, in nine of ten. */
    public static function ovulationToShed(): self
    {
        return new self('ovulation-shed', 17.5, 1.5, 1.5);
    }

    /** Eggs 28 to 32 days after the pre-lay shed. */
    public static function shedToLaying(): self
    {
        return new self('shed-laying', 30.0, .8, .9);
    }

    /** The two together. */
    public static function ovulationToLaying(): self
    {
        return new self('ovulation-laying', 47.5, 1.7, 1.75);
    }

    /** First pips 53 to 62 days after laying, at 31.5 °C. */
    public static function layingToPip(): self
    {
        return new self('laying-pip', 57.5, 1.9, 1.9);
    }

    /** The first shed of a hatchling, 7 to 14 days after it came out. */
    public static function hatchToShed(): self
    {
        return new self('hatch-shed', 10.5, 1.2, 1.7);
    }
}
