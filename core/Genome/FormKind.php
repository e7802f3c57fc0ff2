<?php

declare(strict_types=1);

namespace Destino\Genome;

/** The groups in which a genotype is written: what shows in one copy first, recessives next, hets last. */
enum FormKind: int
{
    case Visible = 0;
    case Visual = 1;
    case Het = 2;
    case Wild = 3;
}
