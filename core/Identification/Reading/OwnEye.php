<?php

declare(strict_types=1);

namespace Destino\Identification\Reading;

/** How a keeper's eye differs from the shipped one. */
final readonly class OwnEye
{
    /**
     * @param float $shift added to every cut, in widths of that cut: above 0 where less is seen than the shipped eye sees
     * @param float $spread times every width: above 1 where the reading errs more
     */
    public function __construct(public float $shift = 0.0, public float $spread = 1.0) {}
}
