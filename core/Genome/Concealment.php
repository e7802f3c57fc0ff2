<?php

declare(strict_types=1);

namespace Destino\Genome;

/** How much of the other genes a masking form hides. */
enum Concealment: string
{
    /** All that is not named as showing through. */
    case All = 'all';
    /** Genes that mainly change the pattern, unless named as showing through. */
    case Pattern = 'pattern';
    /** Nothing for certain: other genes are harder to read. */
    case Part = 'part';
}
