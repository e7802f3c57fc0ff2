<?php

declare(strict_types=1);

namespace Destino\Inference\Evidence;

use Destino\Notation\Target;
use Destino\Probability\Rational;

/** Eggs of a clutch that nobody named: so many that were seen to meet a condition. */
final readonly class Brood
{
    /**
     * @param list<string|null> $sires possible sires; null for one outside the records
     * @param bool $isDead seen dead in the egg
     * @param list<Rational> $weights of the sires, above 0; empty where all are alike
     * @param string|null $clutch name of the clutch, whose young share one sire; null where none is named
     */
    public function __construct(
        public string $id,
        public array $sires,
        public string $dam,
        public Target $saw,
        public int $count,
        public bool $isDead = false,
        public array $weights = [],
        public ?string $clutch = null,
    ) {}
}
