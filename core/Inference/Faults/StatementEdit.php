<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

use Destino\Inference\Evidence\Testimony;
use Destino\Notation\Target;

/** What statements and looks say once something in them is known to be wrong. */
interface StatementEdit
{
    public function testimony(Testimony $testimony): Testimony;

    public function target(Target $saw): Target;
}
