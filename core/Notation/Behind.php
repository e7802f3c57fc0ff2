<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Sex;
use Destino\Probability\Rational;

/** What stands behind a gene's name: "(60%)", "(33% two copies)", "(male maker)", "het", "66%", "x2", "?". */
final readonly class Behind
{
    public function __construct(
        public Dose $dose = Dose::Plain,
        public ?Rational $chance = null,
        public ?Rational $twoCopies = null,
        public ?Sex $maker = null,
        public bool $isUnsure = false,
        public bool $isInParentheses = false,
    ) {}
}
