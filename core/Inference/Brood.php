<?php

declare(strict_types=1);

namespace Destino\Inference;

use Destino\Notation\Target;

/** Eggs of a clutch that nobody named: so many that were seen to meet a condition. */
final readonly class Brood
{
    /**
     * @param list<string|null> $sires possible sires; null for one outside the records, taken as wild type
     * @param bool $isDead seen dead in the egg
     */
    public function __construct(public string $id, public array $sires, public string $dam, public Target $saw, public int $count, public bool $isDead = false) {}
}
