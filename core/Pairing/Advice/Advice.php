<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\Severity;
use Destino\Probability\Rational;

/** Something a keeper should know before this pairing. */
final readonly class Advice
{
    /**
     * @param string $code stable, for programs
     * @param Rational|null $probability per egg, where the advice is about an egg
     * @param list<string> $loci what it concerns
     */
    public function __construct(
        public string $code,
        public Severity $severity,
        public string $text,
        public ?Rational $probability = null,
        public array $loci = [],
    ) {}
}
