<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\Severity;
use Destino\Probability\Rational;

/** Something a keeper should know before this pairing. */
final readonly class Advice
{
    /** The condition of a form that dies in the egg, for which the catalogue has no single entry. */
    public const DIES = 'dies-in-the-egg';

    /** The condition of young whose parents are close relatives. */
    public const RELATED = 'close-relatives';

    /**
     * @param string $code stable, for programs
     * @param Rational|null $probability per egg, where the advice is about an egg
     * @param list<string> $loci what it concerns
     * @param string|null $condition the condition that it is about, as house rules name it
     */
    public function __construct(
        public string $code,
        public Severity $severity,
        public string $text,
        public ?Rational $probability = null,
        public array $loci = [],
        public ?string $condition = null,
    ) {}
}
