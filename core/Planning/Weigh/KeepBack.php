<?php

declare(strict_types=1);

namespace Destino\Planning\Weigh;

use Destino\Planning\Given\Founder;
use Destino\Planning\Policy\Policy;

/** What tubs for young are worth: the same policy with so many, in the same streams of chance. */
final readonly class KeepBack
{
    private const TUBS = [2, 4, 6, 10];

    /** A tub that adds less than this to the chance by the horizon is not worth its food. */
    private const WORTH = .02;

    /**
     * @param array<int, float> $chances P(target by the horizon) by the number of tubs
     * @param int $advised the fewest that come so near to the best
     */
    private function __construct(public array $chances, public int $advised) {}

    /** @param list<Founder> $bought */
    public static function of(Policy $policy, array $bought, int $runs, int $seed): self
    {
        $space = $policy->law->space;
        $chances = [];
        foreach (self::TUBS as $tubs) {
            $with = $space->for($space->project->withTubs($tubs));
            $own = (new Policy($space->catalogue, $with->project, $with, $policy->effort))->beginning($policy->first());
            $affordable = $own->affordable($own->playing($bought), $runs, $seed, intdiv($policy->work(), 2 * count(self::TUBS)));
            $chances[$tubs] = $own->outcome($bought, $affordable, $seed)->by($space->project->horizon);
        }
        $most = max($chances);
        $advised = (int) array_key_first(array_filter($chances, static fn (float $chance): bool => $chance >= $most - self::WORTH));

        return new self($chances, $advised);
    }
}
