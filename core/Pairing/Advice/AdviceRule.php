<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Pairing\Cross;

/** One kind of thing to look for in a cross. */
interface AdviceRule
{
    /** @return list<Advice> */
    public function advise(Cross $cross): array;
}
