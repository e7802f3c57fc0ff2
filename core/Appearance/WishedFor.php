<?php

declare(strict_types=1);

namespace Destino\Appearance;

/** What of a look to have more of, less of, and what to keep as it is. */
enum WishedFor: string
{
    case More = 'more';
    case Less = 'less';
    case Keep = 'keep';
}
