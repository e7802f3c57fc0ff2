<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Closure;
use Destino\Genome\Catalogue;
use Destino\Inference\Descent\Derived;
use Destino\Inference\Descent\Descent;
use Destino\Inference\Evidence\Hearing;
use Destino\Inference\Faults\ErrorRates;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Inference\Inheritance\Outside;
use Destino\Probability\Rational;
use Destino\Probability\Weights;
use WeakMap;

/** What every family of a collection is read with. */
final readonly class Context
{
    /** @var WeakMap<GenotypeSpace, array<string, array<int, Rational>>> what beforehandOf() gave, by member: every hypothesis asks again */
    private WeakMap $beforehand;

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
    ) {
        $this->beforehand = new WeakMap;
    }

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
        $isRecorded = $member->animal === null || $this->descent->animal($member->id) === $member->animal;
        if (! $isRecorded) {
            return self::numbered($this->descent->with($member->animal)->of($member->id), $space);
        }
        $known = $this->beforehand[$space] ?? [];
        $known[$member->id] ??= self::numbered($this->descent->of($member->id), $space);
        $this->beforehand[$space] = $known;

        return $known[$member->id];
    }

    /** @return array<int, Rational> */
    private static function numbered(Derived $derived, GenotypeSpace $space): array
    {
        $prior = new Weights;
        foreach ($derived->belief->statesOver($space->groups) as [$state, $weight]) {
            $prior->add($space->number($state), null, $weight);
        }

        return $prior->numbered();
    }
}
