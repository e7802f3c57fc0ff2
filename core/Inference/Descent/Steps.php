<?php

declare(strict_types=1);

namespace Destino\Inference\Descent;

use Destino\Genome\Diplotype;
use Destino\Probability\Rational;

/** What was taken up one after the other while a belief was derived. */
final class Steps
{
    /** @var list<array{string, array<string, array{array<string, Diplotype>, Rational}>}> who spoke, and the weights after it */
    public array $taken = [];

    /** @param array<string, array{array<string, Diplotype>, Rational}>|null $prior from the parents */
    public function __construct(public readonly ?array $prior)
    {
        if ($prior !== null) {
            $this->taken[] = [Reason::PARENTS, $prior];
        }
    }

    /** @param array<string, array{array<string, Diplotype>, Rational}> $states */
    public function take(string $by, array $states): void
    {
        $this->taken[] = [$by, $states];
    }
}
