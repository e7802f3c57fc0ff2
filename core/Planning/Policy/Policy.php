<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Genome\Catalogue;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\Project;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Play\Outcome;

/**
 * The answer to a project: the policy of a keeper who looks ahead, played out. Every figure that is shown of a project comes
 * from here, with the same streams of chance.
 */
final class Policy implements Simulation
{
    /** Runs that show what one costs: of a seed of their own, since runs that were played before cost nothing. */
    private const TRIAL = 5;

    private const TRIAL_OF_LARGE = 2;

    private const TRIAL_SEED = 104_729;

    /** What is chosen is chosen by runs of a seed of its own: the draws that made it look good would make the headline look good. */
    private const CHOOSING_SEED = 15_485_863;

    /** Work that an answer may take (Law::$work), and a first one; about a second each 350,000. */
    public const WORK = 1_200_000;

    /** Large projects may take longer: so many times; with very many genes each run takes more than its work says. */
    private const LARGE = 4;

    private const MANY_GENES = 4;

    /** A keeper who builds up plays cheaper than his work says: so much more for the band of the answer. */
    private const LAST = 1.0;

    public const QUICK_WORK = 60_000;

    private const FEWEST = 60;

    private const FEWEST_OF_LARGE = 24;

    /** Of a first answer: a wide band at once. */
    private const FEWEST_AT_ONCE = 8;

    private const FEWEST_AT_ONCE_OF_LARGE = 4;

    public readonly Law $law;

    /** Trials so far, each of a seed of its own. */
    private int $trials = 0;

    private Beginning $first;

    private readonly LookAhead $keeper;

    private BuildUp $builder;

    private readonly Buying $buying;

    /** @param float $effort share of the usual work that answers may take; less work gives wider bands */
    public function __construct(
        Catalogue $catalogue, private readonly Project $project, ?Space $space = null, public readonly float $effort = 1.0,
    ) {
        $this->law = new Law($space ?? new Space($catalogue, $project));
        $this->keeper = new LookAhead($this->law);
        $this->builder = new BuildUp($this->law);
        $this->first = new Beginning;
        $this->buying = new Buying($this, $this->keeper);
    }

    /** @param (callable(int, int): bool)|null $goOn told how much of how much is done; false stops */
    public function answer(int $runs, int $seed, bool $quick = false, ?callable $goOn = null): Answer
    {
        $go = $goOn ?? static fn (int $done, int $of): bool => true;
        $choice = new KeeperChoice($this, $this->keeper);
        $work = $quick ? (int) ($this->effort * self::QUICK_WORK) : $this->work();
        $this->beginning(new Beginning);
        $bought = $this->buying->foreseen();
        if (! $quick && $this->buying->isOpen()) { // weighed by the keeper who is likely to play
            $this->beginning($choice->of($bought, $seed + self::CHOOSING_SEED, intdiv($work, 6), true));
            $bought = $this->buying->purchases($seed + self::CHOOSING_SEED, intdiv($work, 4));
        }
        $go(1, 4);
        $this->beginning($choice->of($bought, $seed, intdiv($work, 3), $quick));
        if (! $quick) {
            [$bought, $later] = $this->buying->inTime($bought, $seed + self::CHOOSING_SEED, intdiv($work, 4));
            $this->first = $this->first->thenBuying($later);
        }
        if (! $quick) {
            $begun = new Situation(1, $this->playing($bought)->start(), ['male' => 0, 'female' => 0]);
            $pairs = (new Rollouts($this, $this->best()))->pairs($begun, $bought, $seed + self::CHOOSING_SEED, intdiv($work, 3));
            $this->first = $this->first->with($pairs);
        }
        $play = $this->playing($bought);
        $last = $quick || ! $this->first->buildsUp ? $work : (int) (self::LAST * $work);
        $outcome = $play->run($this->affordable($play, $runs, $seed, $last, $this->fewest($quick)), $seed);
        $go(2, 4);
        $start = new Situation(1, $play->start(), ['male' => 0, 'female' => 0]);
        $advice = new SeasonAdvice($this, $this->keeper, $this->builder);
        $matings = $advice->matings($this->begun(), $start, $bought, $outcome, $seed, $quick ? 0 : intdiv($work, 4));
        $go(4, 4);

        $later = array_filter($this->project->founders, fn (Founder $one): bool => in_array($one->id, $this->first->later, true));

        return new Answer(
            $outcome, $bought, $matings, $advice->young($start, $matings), $seed, $advice->possible(), $this->first->effort,
                array_values($later),
        );
    }

    private function fewest(bool $isQuick): int
    {
        return match (true) {
            $isQuick => $this->isLarge() ? self::FEWEST_AT_ONCE_OF_LARGE : self::FEWEST_AT_ONCE,
            default => $this->isLarge() ? self::FEWEST_OF_LARGE : self::FEWEST,
        };
    }

    /**
     * The same project with the same purchases, played so often.
     *
     * @param list<Founder> $bought
     */
    public function outcome(array $bought, int $runs, int $seed): Outcome
    {
        return $this->playing($bought)->run($runs, $seed);
    }

    public function law(): Law
    {
        return $this->law;
    }

    /** Work that an answer may take, by the size of the project. */
    public function work(): int
    {
        $isLonger = $this->isLarge() && count($this->law->space->groups) <= self::MANY_GENES;

        return (int) ($this->effort * self::WORK * ($isLonger ? self::LARGE : 1));
    }

    public function isLarge(): bool
    {
        return count($this->project->founders) > 25 || count($this->law->space->groups) > 3;
    }

    /** So many of what is tried where little effort is asked for: all of it from a quarter of the usual effort on. */
    public function atEffort(int $usual): int
    {
        return max(1, (int) ceil(min(1.0, 4 * $this->effort) * $usual));
    }

    /** How many runs can be played with so much work, as far as a few show. */
    public function affordable(Play $play, int $runs, int $seed, int $work, int $fewest = self::FEWEST_COMPARED): int
    {
        [$before, $runs] = [$this->law->work, $this->atEffort($runs)];
        $trial = $this->atEffort($this->isLarge() ? self::TRIAL_OF_LARGE : self::TRIAL);
        $play->run(min($runs, $trial), $seed + ++$this->trials * self::TRIAL_SEED);
        $each = max(1, intdiv($this->law->work - $before, $trial));

        return max(
            min($runs, (int) ceil($this->effort * $fewest)), min($runs, intdiv($work, $each)),
        );
    }

    /** How the answer is played, for what is compared with it. */
    public function first(): Beginning
    {
        return $this->first;
    }

    /** Begins as another answer does, so that what is compared differs in one thing only; pairs that are not there are passed over. */
    public function beginning(Beginning $first): self
    {
        $this->first = $first;
        $this->builder = new BuildUp($this->law, $first->effort);

        return $this;
    }

    /** The keeper who does better here. */
    private function best(): Promising
    {
        return $this->first->buildsUp ? $this->builder : $this->keeper;
    }

    private function begun(): Keeper
    {
        $keeper = $this->best();
        foreach ($this->first->pairs as [$sire, $dam]) {
            $keeper = new Insisting($keeper, $sire, $dam, $this->law->femalesPerMale);
        }

        return $keeper;
    }

    public function playing(array $bought, ?Keeper $keeper = null, ?array $later = null): Play
    {
        $ids = array_map(static fn (Founder $founder): string => $founder->id, $bought);

        return new Play($this->law, $keeper ?? $this->begun(), $ids, array_values(array_diff($later ?? $this->first->later, $ids)));
    }

    /** The first season in which the target can hatch, with everything that is owned or offered; null where it never can. */
    public function leastSeasons(int $latest): ?int
    {
        $play = $this->playing([]);
        $affordable = array_filter(
            $this->project->founders, fn (Founder $founder): bool => ($founder->price ?? 0.0) <= ($this->project->budget ?? INF),
        );

        return Reach::of($this->law, array_map($play->holding(...), array_values($affordable)), $latest);
    }

    /**
     * What the target's chance by the horizon gains when a pair is mated in the first season, everything else decided as well as can be.
     *
     * @param list<Founder> $bought
     * @return array{array{float, float}, array{float, float}} gain (negative where it costs chance), seasons sooner, each with its standard error
     */
    public function gainOf(string $sire, string $dam, array $bought, int $runs, int $seed): array
    {
        $runs = $this->affordable($this->playing($bought), $runs, $seed, intdiv($this->work(), 4));
        $with = $this->playing($bought, new Insisting($this->begun(), $sire, $dam, $this->law->femalesPerMale));

        [$with, $without] = [$with->seasons($runs, $seed), $this->playing($bought)->seasons($runs, $seed)];

        return [Comparison::difference($with, $without), Comparison::sooner($with, $without, $this->law->horizon)];
    }

    /** What having one more animal adds, looked ahead from the start. */
    public function promiseOf(Founder $founder): float
    {
        $play = $this->playing([]);
        $holding = $play->holding($founder);
        $outlook = $this->keeper->outlook(new Situation(1, $play->start(), ['male' => 0, 'female' => 0]));

        return $outlook->worthNow($holding->type, $holding->from);
    }
}
