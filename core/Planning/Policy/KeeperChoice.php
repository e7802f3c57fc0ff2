<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Planning\Given\Founder;

/**
 * Which keeper an answer has. Looking ahead in expected numbers is near the best where it sees a way, and costs much; where the way is
 * long it may see none. Building up step by step is cheap and never gives up. Both are played in the same runs, of a seed of their own.
 */
final readonly class KeeperChoice
{
    /** Runs in which they are compared, as far as looking ahead can be afforded. */
    private const RUNS = 60;

    /** Of a first answer. */
    private const QUICK_RUNS = 10;

    /** With fewer runs than this the two are compared by their shares alone, and building up, which mates more, has to be clear. */
    private const TELLING = 40;

    private const CLEAR_GAIN = .03;

    /** Runs of looking ahead at the least, whatever they cost. */
    private const FEWEST = 4;

    /** Where building up has it so often, and looking ahead never in its first runs, no more are played. */
    private const CLEARLY = .4;

    private const SEED = 7_919;

    public function __construct(private Policy $policy, private LookAhead $keeper, private BuildUp $builder) {}

    /**
     * @param list<Founder> $bought
     * @param int $work that it may take (Law::$work)
     * @return bool whether building up is the better one
     */
    public function buildsUp(array $bought, int $seed, int $work, bool $isQuick): bool
    {
        if ($this->policy->law->space->project->keep !== []) {
            return false; // what is kept as it is written is weighed by looking ahead
        }
        $builder = $this->policy->playing($bought, $this->builder);
        $built = $builder->seasons($this->policy->atEffort($isQuick ? self::QUICK_RUNS : self::RUNS), $seed + self::SEED);
        if ($isQuick && $this->policy->isLarge()) {
            return array_filter($built, is_int(...)) !== [];
        }
        $looking = $this->policy->playing($bought, $this->keeper);
        if (self::share($built) >= self::CLEARLY && self::share($looking->seasons(self::FEWEST, $seed + self::SEED)) <= 0.0) {
            return true;
        }
        $fewest = max(self::FEWEST, $this->policy->atEffort(3 * self::FEWEST));
        $runs = min(count($built), max($fewest, $this->policy->affordable($looking, count($built), $seed, $work, self::FEWEST)));
        $looked = $looking->seasons($runs, $seed + self::SEED);
        if ($runs < self::TELLING) {
            [$of, $other] = [self::share($built), self::share($looked)];

            return $of > $other + self::CLEAR_GAIN + .5 * sqrt(($other * (1 - $other) + 1 / $runs) / $runs);
        }
        [$gain, $error] = Comparison::difference(array_slice($built, 0, $runs), $looked);

        return $gain > max(2 * $error, .01);
    }

    /** @param list<int|null> $seasons */
    private static function share(array $seasons): float
    {
        return count(array_filter($seasons, is_int(...))) / count($seasons);
    }
}
