<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** A keeper who can say himself what was missing in a run that did not reach the target. */
interface TellsWhereItHung
{
    /** @return string a clause that goes on "1 in 12 that …" */
    public function whereItHung(Course $course): string;
}
