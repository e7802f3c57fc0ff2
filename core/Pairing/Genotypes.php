<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Notation\Printer;

/** The outcomes of a cross by genotype. */
final readonly class Genotypes
{
    /**
     * @param bool $sexed keep sons and daughters apart even where no gene depends on sex
     * @param bool $phased keep genotypes apart that differ in phase only
     * @param bool $hatched per living hatchling instead of per egg
     *
     * @throws PairingError when per hatchling is asked and nothing hatches
     */
    public static function of(Cross $cross, bool $sexed = false, bool $phased = false, bool $hatched = false): OutcomeSpace
    {
        $region = array_map(
            static fn (array $outcomes): array => array_map(
                static fn (BlockOutcome $outcome): SpaceItem => new SpaceItem([$outcome], $outcome->probability), $outcomes,
            ),
            self::blockOutcomes($cross, $sexed, $phased, $hatched),
        );

        return new OutcomeSpace([$region], new OutcomeDescriber(new Printer($cross->catalogue)));
    }

    /**
     * @return list<list<BlockOutcome>> by block; the block that holds nothing but sex is left out unless asked for
     *
     * @throws PairingError when per hatchling is asked and nothing hatches
     */
    public static function blockOutcomes(Cross $cross, bool $sexed, bool $phased, bool $hatched): array
    {
        $blocks = [];
        foreach ($cross->blocks as $block) {
            if ($block->holdsSex() && ! $sexed && ! $cross->isSexLinked) {
                continue;
            }
            $outcomes = $block->outcomes($phased, $hatched);
            $blocks[] = $outcomes !== [] ? $outcomes : throw PairingError::nothingHatches();
        }

        return $blocks;
    }
}
