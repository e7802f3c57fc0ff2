<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Closure;
use Destino\Genome\Catalogue;
use Destino\Inference\Descent\Descent;
use Destino\Inference\Evidence\Hearing;
use Destino\Inference\Faults\ErrorRates;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Inference\Inheritance\Outside;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/** What every family of a collection is read with. */
final readonly class Context
{
    /**
     * @param Closure(Family, string): list<string>  $otherMales ids of the males that may be the sire of a litter instead of
     *     the recorded one
     */
    public function __construct(
        public Catalogue $catalogue,
        public Hearing $hearing,
        public Descent $descent,
        public ErrorRates $rates,
        public Closure $otherMales,
    ) {}

    public function outside(): Outside
    {
        return $this->descent->outside();
    }

    /**
     * P(genotype) of a recorded animal from its statements and parents alone, by number. Where a hypothesis changed what was
     * said of it, its statements are read anew.
     *
     * @return array<int, Rational>
     */
    public function beforehandOf(Member $member, GenotypeSpace $space): array
    {
        $recorded = $this->descent->animal($member->id);
        $derived = $recorded === $member->animal || $member->animal === null
            ? $this->descent->of($member->id)
            : $this->descent->with($member->animal)->of($member->id);
        $prior = new Weights;
        foreach ($derived->belief->statesOver($space->groups) as [$state, $weight]) {
            $prior->add($space->number($state), null, $weight);
        }

        return $prior->numbered();
    }
}
