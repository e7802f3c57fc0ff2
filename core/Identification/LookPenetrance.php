<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Sex;
use Destino\Inference\Evidence\Penetrance;
use Destino\Notation\Target;
use Destino\Probability\Rational;

/** A look that an animal has or has not: 1 where a genotype meets it as seen, 0 where not. */
final readonly class LookPenetrance implements Penetrance
{
    public function __construct(private Eye $eye, private Target $saw) {}

    public function among(array $possible): array
    {
        return [$this];
    }

    public function loci(): array
    {
        return $this->eye->lociOf($this->saw);
    }

    public function of(array $forms, ?Sex $sex): Rational
    {
        return $this->eye->accepts($this->saw, $forms, $sex) ? Rational::one() : Rational::zero();
    }

    public function content(): string
    {
        return $this->saw->text;
    }
}
