<?php

declare(strict_types=1);

namespace Destino\Genome;

enum Viability: string
{
    case Viable = 'viable';
    /** Some of the young are lost; those of a clutch are still counted. */
    case Reduced = 'reduced';
    case Lethal = 'lethal';
    case Unknown = 'unknown';
}
