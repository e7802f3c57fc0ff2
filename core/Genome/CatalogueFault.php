<?php

declare(strict_types=1);

namespace Destino\Genome;

use Destino\DestinoError;
use RuntimeException;

final class CatalogueFault extends RuntimeException implements DestinoError
{
    public static function missing(string $path, string $wanted): self
    {
        return new self("The catalogue needs {$wanted} at {$path}.");
    }

    public static function unknownAllele(string $allele, string $where): self
    {
        return new self("The catalogue names the allele “{$allele}” in {$where}, and no gene file has that key.");
    }

    public static function unknownLocus(string $locus, string $where): self
    {
        return new self("The catalogue names the locus “{$locus}” in {$where}, and the list of loci does not have it.");
    }

    public static function unknownCondition(string $condition, string $where): self
    {
        return new self("The catalogue names the condition “{$condition}” in {$where}, and no such condition is described.");
    }

    public static function unknownChange(string $change): self
    {
        return new self("A school of the catalogue asks for the change “{$change}”, which is not known.");
    }

    public static function fractionOutOfRange(string $fraction): self
    {
        return new self("A recombination fraction lies between 0 and 1/2, and {$fraction} does not.");
    }
}
