<?php

declare(strict_types=1);

namespace Destino\Genome;

use Destino\CarriesFacts;
use Destino\DestinoError;
use DomainException;

/** Something that no genome can be: haplotypes that do not match, chances of recombination beyond a half, and the like. */
final class GenomeError extends DomainException implements DestinoError
{
    use CarriesFacts;

    /**
     * @param list<string> $first
     * @param list<string> $second
     */
    public static function haplotypesDiffer(array $first, array $second): self
    {
        return new self(
            'The two haplotypes of a diplotype have one allele for each locus: '.count($first).' and '.count($second).' do not match.',
            ['first' => $first, 'second' => $second],
        );
    }

    public static function recombination(string $group, string $fraction): self
    {
        return new self(
            "Between neighbours on a chromosome 0 to 1/2 recombine; {$group} has {$fraction}.",
            ['group' => $group, 'fraction' => self::shown($fraction, 30)],
        );
    }

    public static function neighbours(string $group, int $loci, int $fractions): self
    {
        return new self(
            "A group of {$loci} loci has ".max(0, $loci - 1)." pairs of neighbours; {$group} has {$fractions} fractions.",
            ['group' => $group, 'loci' => $loci, 'fractions' => $fractions],
        );
    }

    /** @param list<string> $held */
    public static function locusNotHeld(string $locus, string $group, array $held): self
    {
        return new self("The linkage group {$group} does not hold {$locus}.", ['locus' => $locus, 'group' => $group, 'held' => $held]);
    }

    /** @param list<string> $held */
    public static function groupNotHeld(string $group, array $held): self
    {
        return new self("The genotype says nothing of the linkage group {$group}.", ['group' => $group, 'held' => $held]);
    }

    public static function believedTwice(string $group): self
    {
        return new self("Two parts of a belief speak of {$group}; each group has one.", ['group' => $group]);
    }

    /**
     * @param list<string> $named
     * @param list<string> $held
     */
    public static function groupsDiffer(array $named, array $held): self
    {
        return new self(
            'A belief over '.implode(', ', $named).' holds genotypes over '.implode(', ', $held).'.',
            ['named' => $named, 'held' => $held],
        );
    }
}
