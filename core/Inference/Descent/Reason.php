<?php

declare(strict_types=1);

namespace Destino\Inference\Descent;

use Destino\Probability\Distribution;

/** One step toward what is believed at a locus: who spoke, and P(pair of alleles) after it. */
final readonly class Reason
{
    public const PARENTS = 'parents';

    /** Young, siblings and further relatives. */
    public const RELATIVES = 'relatives';

    /**
     * @param string $by id of the statement, or Reason::PARENTS
     * @param Distribution<array{string, string}> $after
     */
    public function __construct(public string $by, public Distribution $after) {}
}
