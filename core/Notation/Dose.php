<?php

declare(strict_types=1);

namespace Destino\Notation;

/** The word before a gene's name that says how many copies. */
enum Dose
{
    case Plain;
    case Het;
    case Two;
    case Visual;

    public function word(): string
    {
        return match ($this) {
            self::Plain => '',
            self::Het => 'het',
            self::Two => 'super',
            self::Visual => 'visual',
        };
    }
}
