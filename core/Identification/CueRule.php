<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Notation\Target;
use Destino\Probability\Rational;

/** What a cue shows where a genotype meets a condition. */
final readonly class CueRule
{
    /**
     * @param Target|null $when null for the last rule, which holds of everything else
     * @param list<Rational> $chances of the states, in their order; they add up to 1
     * @param int $fromDays age from which the rule holds
     */
    public function __construct(public ?Target $when, public array $chances, public int $fromDays = 0) {}

    public function text(): string
    {
        return $this->when->text ?? '';
    }
}
