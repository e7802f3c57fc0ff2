<?php

declare(strict_types=1);

namespace Destino\Notation;

/** The word before a gene's name that says how many copies. */
enum Dose
{
    case Plain;
    case Het;
    case Two;
    /** Two copies of any gene; “super” is said only of one that shows in one copy. */
    case Homozygous;
    case Visual;

    public function isTwo(): bool
    {
        return $this === self::Two || $this === self::Homozygous;
    }

    public function word(): string
    {
        return match ($this) {
            self::Plain => '',
            self::Het => 'het',
            self::Two => 'super',
            self::Homozygous => 'homozygous',
            self::Visual => 'visual',
        };
    }
}
