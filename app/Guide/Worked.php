<?php

declare(strict_types=1);

namespace App\Guide;

use App\Catalogue\CatalogueShelf;
use Destino\Genome\Sex;
use Destino\Pairing\Cross;
use Destino\Pairing\TargetOdds;
use Destino\Probability\Rational;

/** The worked numbers of the guide: worked out by the same core as every page, so that they stay true. */
final readonly class Worked
{
    public function __construct(private CatalogueShelf $shelf) {}

    /** "1/24" for an egg of two parents as typed. */
    public function egg(string $sire, string $dam, string $target): Rational
    {
        return $this->odds($sire, $dam, $target)->chance->perEgg();
    }

    /** At least one among so many eggs. */
    public function clutch(string $sire, string $dam, string $target, int $eggs): Rational
    {
        return $this->odds($sire, $dam, $target)->chance->atLeastOne($eggs);
    }

    /**
     * What is left of a chance to carry a recessive after so many young that do not show it, from a mate that shows it.
     *
     * @param Rational $before P(carries), 0 to 1
     */
    public function stillCarries(Rational $before, int $young): Rational
    {
        $miss = Rational::one();
        for ($i = 0; $i < $young; $i++) {
            $miss = $miss->times(Rational::of(1, 2));
        }
        $silent = $before->times($miss);

        return $silent->dividedBy($silent->plus(Rational::one()->minus($before)));
    }

    private function odds(string $sire, string $dam, string $target): TargetOdds
    {
        $read = fn (string $text, Sex $sex) => $this->shelf->reader()->read($text, $sex)->beliefOrFail();

        return TargetOdds::of(
            Cross::of($this->shelf->catalogue(), $read($sire, Sex::Male), $read($dam, Sex::Female)), $this->shelf->targetsWithChoices()->read($target),
        );
    }
}
