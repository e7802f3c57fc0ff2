<?php

declare(strict_types=1);

namespace Destino\Genome;

/** What a gene mainly does to the look: the kind that the beads are coloured and lettered by. */
enum Effect: string
{
    case Light = 'light';
    case Dark = 'dark';
    case Colour = 'colour';
    case Pattern = 'pattern';
    case White = 'white';
    case Scale = 'scale';
    case Unclear = 'unclear';
}
