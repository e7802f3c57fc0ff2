<?php

declare(strict_types=1);

namespace Destino\Genome;

/** Sex is a locus like any other: X/X is female, X/Y male. */
enum Sex: string
{
    case Male = 'male';
    case Female = 'female';

    public const LOCUS = 'sex';

    public const X = 'X';

    public const Y = 'Y';

    /** @return array{string, string} the alleles at the sex locus */
    public function alleles(): array
    {
        return $this === self::Male ? [self::X, self::Y] : [self::X, self::X];
    }

    /** @param array{string, string} $pair alleles at the sex locus */
    public static function ofAlleles(array $pair): self
    {
        return in_array(self::Y, $pair, true) ? self::Male : self::Female;
    }
}
