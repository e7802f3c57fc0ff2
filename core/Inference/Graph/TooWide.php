<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use RuntimeException;

/** A graph whose tables would grow beyond what was allowed. It is caught where another way is found. */
final class TooWide extends RuntimeException
{
    public static function beyond(int $entries): self
    {
        return new self("The tables would hold more than {$entries} entries.");
    }
}
