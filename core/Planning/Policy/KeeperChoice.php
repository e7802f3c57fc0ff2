<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Closure;
use Destino\Planning\Given\Aim;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\Project;

/**
 * Which keeper an answer has, and how much he gives. Building up step by step is cheap and never gives up; looking ahead in expected
 * numbers costs much, and is taken where it does clearly better. Of what a keeper who builds up could give, the least is taken that
 * comes nearly as far. All are played in the same runs, of a seed of their own, which no figure is reported from.
 */
final readonly class KeeperChoice
{
    /** Runs in which the two are compared, as far as looking ahead can be afforded. */
    private const RUNS = 400;

    /** Of a first answer. */
    private const QUICK_RUNS = 10;

    /** Runs of looking ahead at the least, whatever they cost. */
    private const FEWEST = 6;

    /** With fewer runs than this the two are compared by their shares alone, and looking ahead has to be clearly better. */
    private const TELLING = 40;

    private const CLEAR_GAIN = .03;

    /** Runs by which efforts are compared. */
    private const EFFORT_RUNS = 400;

    /** Runs by which one effort is compared at first, and the standard errors after which it is plain. */
    private const AT_FIRST = 100;

    private const PLAIN = 2.0;

    /** What less effort may cost: chance by the horizon, and seasons on average. */
    private const NEARLY = .01;

    private const LATER = .5;

    private const LATER_WHERE_EARLY = .1;

    /** The largest standard error with which a loss of chance is told at all. */
    private const SURELY = .05;

    private const TUBS = [12, 8, 6, 4, 3, 2, 1];

    private const CLUTCHES = [8, 6, 4, 3, 2, 1];

    private const SEED = 7_919;

    private Project $project;

    private Aim $aim;

    public function __construct(private Simulation $simulation, private LookAhead $keeper)
    {
        $this->project = $simulation->law()->space->project;
        $this->aim = $this->project->aim;
    }

    /**
     * @param list<Founder> $bought
     * @param int $work that it may take (Law::$work)
     */
    public function of(array $bought, int $seed, int $work, bool $isQuick): Beginning
    {
        if ($this->project->keep !== []) {
            return new Beginning; // what is kept as it is written is weighed by looking ahead
        }
        $build = $this->building($bought, new Effort);
        $runs = $this->simulation->atEffort($isQuick ? self::QUICK_RUNS : self::RUNS);
        $runs = min($runs, $this->simulation->affordable($build, $runs, $seed, intdiv($work, 2)));
        $built = $build->seasons($runs, $seed + self::SEED);
        if ($this->looksAhead($bought, $built, $seed, intdiv($work, 2), $isQuick)) {
            return new Beginning;
        }

        return new Beginning([], true, $isQuick ? new Effort($this->aim->tubs, $this->aim->clutches)
            : $this->least($bought, $built, $seed));
    }

    /**
     * @param list<Founder> $bought
     * @param list<int|null> $built seasons of building up, by run
     */
    private function looksAhead(array $bought, array $built, int $seed, int $work, bool $isQuick): bool
    {
        if ($isQuick && $this->simulation->isLarge()) {
            return self::share($built) <= 0.0;
        }
        $looking = $this->simulation->playing($bought, $this->keeper);
        $fewest = max(self::FEWEST, $this->simulation->atEffort(2 * self::FEWEST));
        $runs = min(count($built), max($fewest, $this->simulation->affordable($looking, count($built), $seed, $work, self::FEWEST)));
        $looked = $looking->seasons($runs, $seed + self::SEED);
        if ($runs < self::TELLING) {
            [$of, $other] = [self::share($built), self::share($looked)];

            return $other > $of + self::CLEAR_GAIN + sqrt(($of * (1 - $of) + 1 / $runs) / $runs);
        }
        $built = array_slice($built, 0, $runs);
        [$gain, $error] = $this->aim->early
            ? Comparison::sooner($looked, $built, $this->simulation->law()->horizon)
            : Comparison::difference($looked, $built);

        return $gain > max(1.5 * $error, $this->aim->early ? .05 : .005);
    }

    /**
     * The least that comes nearly as far: first of clutches, which what follows costs less work with, then of tubs.
     *
     * @param list<Founder> $bought
     * @param list<int|null> $built seasons of one who gives everything, by run
     */
    private function least(array $bought, array $built, int $seed): Effort
    {
        $built = array_slice($built, 0, $this->simulation->atEffort(self::EFFORT_RUNS));
        $isEnough = fn (Effort $effort): bool => $this->isEnough($this->building($bought, $effort), $built, $seed + self::SEED);
        $effort = new Effort($this->aim->tubs, $this->aim->clutches);
        $clutches = $this->aim->clutches === null ? $this->below(self::CLUTCHES, count($this->project->founders)) : [];
        $fewest = self::last($clutches, static fn (int $one): bool => $isEnough($effort->withClutches($one)));
        $effort = $fewest === null ? $effort : $effort->withClutches($fewest);
        $tubs = $this->aim->tubs === null ? $this->below(self::TUBS, $this->project->tubs ?? BuildUp::KEPT) : [];
        $fewest = self::last($tubs, static fn (int $one): bool => $isEnough($effort->withTubs($one)));

        return $fewest === null ? $effort : $effort->withTubs($fewest);
    }

    /**
     * Whether a keeper comes nearly as far; what is plain after some of the runs needs no more of them.
     *
     * @param list<int|null> $built seasons of one who gives everything, by run
     */
    private function isEnough(Play $play, array $built, int $seed): bool
    {
        $limits = [self::NEARLY, $this->aim->early ? self::LATER_WHERE_EARLY : self::LATER];
        $own = [];
        do {
            $runs = min(count($built), max(self::AT_FIRST, 2 * count($own)));
            array_push($own, ...$play->seasons($runs - count($own), $seed, count($own)));
            $all = array_slice($built, 0, $runs);
            $lost = [Comparison::difference($all, $own), Comparison::sooner($all, $own, $this->simulation->law()->horizon)];
            foreach ($lost as $i => [$mean, $error]) {
                if ($mean - self::PLAIN * $error > $limits[$i]) {
                    return false;
                }
            }
            $isPlain = $lost[0][0] + self::PLAIN * $lost[0][1] <= $limits[0] && $lost[1][0] + self::PLAIN * $lost[1][1] <= $limits[1];
        } while (! $isPlain && $runs < count($built));

        return $lost[0][0] <= $limits[0] && $lost[0][1] <= self::SURELY && $lost[1][0] <= $limits[1];
    }

    /**
     * @param list<int> $numbers the most first
     * @param Closure(int): bool $isEnough what is enough stays enough with more
     * @return int|null the last that is enough, found by halving; null where none is
     */
    private static function last(array $numbers, Closure $isEnough): ?int
    {
        if ($numbers === [] || ! $isEnough($numbers[0])) {
            return null; // where hardly less is too little already, nothing else is tried
        }
        [$enough, $tooFew] = [0, count($numbers)];
        while ($tooFew - $enough > 1) {
            $middle = intdiv($enough + $tooFew, 2);
            $isEnough($numbers[$middle]) ? $enough = $middle : $tooFew = $middle;
        }

        return $numbers[$enough];
    }

    /**
     * @param list<int> $numbers
     * @return list<int>
     */
    private function below(array $numbers, int $most): array
    {
        return array_values(array_filter($numbers, static fn (int $one): bool => $one < $most));
    }

    /** @param list<Founder> $bought */
    private function building(array $bought, Effort $effort): Play
    {
        return $this->simulation->playing($bought, new BuildUp($this->simulation->law(), $effort));
    }

    /** @param list<int|null> $seasons */
    private static function share(array $seasons): float
    {
        return count(array_filter($seasons, is_int(...))) / count($seasons);
    }
}
