<?php

declare(strict_types=1);

namespace Destino\Inference\Evidence;

use Destino\Probability\Rational;

/** Who says what an animal carries. */
enum Source: string
{
    case Seller = 'seller';
    case Own = 'own';
    case Laboratory = 'laboratory';
    case Parents = 'parents';
    case Offspring = 'offspring';

    /** Higher speaks first: its percentages are taken, the others narrow them. */
    public function rank(): int
    {
        return match ($this) {
            self::Laboratory => 4,
            self::Offspring => 3,
            self::Own => 2,
            self::Parents => 1,
            self::Seller => 0,
        };
    }

    /**
     * P(the statement is right) that is used only where certain statements exclude each other. Assumed figures.
     */
    public function trust(): Rational
    {
        return match ($this) {
            self::Laboratory => Rational::of(99, 100),
            self::Offspring => Rational::of(98, 100),
            self::Own => Rational::of(95, 100),
            self::Parents => Rational::of(95, 100),
            self::Seller => Rational::of(90, 100),
        };
    }
}
