<?php

declare(strict_types=1);

namespace Destino\Identification\Reading;

/** How far what is told of a state of a cue can be trusted: it bounds what the state may say, however clear the look. */
enum Grade: string
{
    case Claimed = 'claimed';
    case Likely = 'likely';
    case Established = 'established';
    case Certain = 'certain';

    /** The most that the state says for one genotype against another: so many to one. */
    public function most(): float
    {
        return match ($this) {
            self::Claimed => 6.0,
            self::Likely => 20.0,
            self::Established => 60.0,
            self::Certain => 300.0,
        };
    }

    /** How often it is noted though it is not there. */
    public function slip(): float
    {
        return match ($this) {
            self::Claimed, self::Likely => .03,
            self::Established => .015,
            self::Certain => .0033,
        };
    }
}
