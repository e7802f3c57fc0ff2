<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Genome\Form;
use Destino\Notation\Printer;
use Destino\Probability\Rational;

/**
 * The outcomes of a cross by look: genotypes that cannot be told apart by eye are one outcome.
 *
 * Hidden hets collapse and come back as percentages. A form that hides other traits (an all-white compound) makes a
 * region of its own, in which those traits are merged with their absence and come back as "possible". Look-alike sets
 * of the catalogue can be merged further.
 */
final readonly class Looks
{
    /**
     * @param bool $sexed keep sons and daughters apart even where no gene depends on sex
     * @param bool $alike merge look-alike sets of the catalogue, as at hatching
     * @param bool $hatched per living hatchling instead of per egg
     *
     * @throws PairingError when per hatchling is asked and nothing hatches
     */
    public static function of(Cross $cross, bool $sexed = false, bool $alike = false, bool $hatched = false): OutcomeSpace
    {
        $blocks = Genotypes::blockOutcomes($cross, $sexed, false, $hatched);
        $classes = null;
        if ($alike) {
            $classes = new AlikeForms($cross->catalogue, AlikeForms::formsOf($blocks));
            foreach ($classes->lociTogether() as $loci) {
                $blocks = AlikeForms::joined($blocks, $loci);
            }
        }
        $looks = new self(new Seeing($cross->catalogue, $classes));

        return new OutcomeSpace($looks->regions($blocks), new OutcomeDescriber(new Printer($cross->catalogue), $classes));
    }

    private function __construct(private Seeing $seeing) {}

    /**
     * @param list<list<BlockOutcome>> $blocks
     * @return list<list<list<SpaceItem>>>
     */
    private function regions(array $blocks): array
    {
        return [...$this->living($blocks), ...$this->dead($blocks)];
    }

    /**
     * Eggs that live: one region for each way in which masking forms come together.
     *
     * @param list<list<BlockOutcome>> $blocks
     * @return list<list<list<SpaceItem>>>
     */
    private function living(array $blocks): array
    {
        $regions = $this->seeing->regions(array_map(self::alive(...), $blocks));

        return array_map(
            fn (array $region): array => array_map(
                fn (array $members): array =>
                    self::items($members, fn (BlockOutcome $member): string => $this->seeing->look($member, $region[1])),
                $region[0],
            ),
            $regions,
        );
    }

    /**
     * Eggs that die of their form: told apart by the lethal forms alone, since nothing else is ever seen of them. One
     * region for each set of blocks that hold a lethal form at once.
     *
     * @param list<list<BlockOutcome>> $blocks
     * @return list<list<list<SpaceItem>>>
     */
    private function dead(array $blocks): array
    {
        /** @var list<array{bool, list<list<SpaceItem>>}> $regions whether a block holds a lethal form; items by block */
        $regions = [[false, []]];
        foreach ($blocks as $outcomes) {
            $alive = self::items(self::alive($outcomes), static fn (): string => '');
            $dead = self::items(self::dying($outcomes), self::lethalForms(...));
            $longer = [];
            foreach ($regions as [$isDead, $before]) {
                if ($alive !== []) {
                    $longer[] = [$isDead, [...$before, $alive]];
                }
                if ($dead !== []) {
                    $longer[] = [true, [...$before, $dead]];
                }
            }
            $regions = $longer;
        }

        return array_column(array_filter($regions, static fn (array $region): bool => $region[0]), 1);
    }

    /**
     * @param list<BlockOutcome> $outcomes
     * @return list<BlockOutcome>
     */
    private static function alive(array $outcomes): array
    {
        return array_values(array_filter($outcomes, static fn (BlockOutcome $outcome): bool => ! $outcome->isLethal));
    }

    /**
     * @param list<BlockOutcome> $outcomes
     * @return list<BlockOutcome>
     */
    private static function dying(array $outcomes): array
    {
        return array_values(array_filter($outcomes, static fn (BlockOutcome $outcome): bool => $outcome->isLethal));
    }

    private static function lethalForms(BlockOutcome $outcome): string
    {
        return implode(
            '|',
            array_map(AlikeForms::key(...), array_filter($outcome->forms, static fn (Form $form): bool => $form->isLethal())),
        );
    }

    /**
     * @param list<BlockOutcome> $members
     * @param callable(BlockOutcome): string $look equal for outcomes that belong together
     * @return list<SpaceItem>
     */
    private static function items(array $members, callable $look): array
    {
        $looks = [];
        foreach ($members as $member) {
            $looks[$look($member)][] = $member;
        }

        return array_values(array_map(static fn (array $alike): SpaceItem => new SpaceItem($alike, array_reduce(
            $alike,
            static fn (Rational $sum, BlockOutcome $member): Rational => $sum->plus($member->probability),
            Rational::zero(),
        )), $looks));
    }
}
