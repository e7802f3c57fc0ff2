<?php

declare(strict_types=1);

namespace Destino\Inference\Conclusions;

use Closure;
use Destino\Genome\LinkageGroup;
use Destino\Inference\Family\Bundles;
use Destino\Inference\Family\Context;
use Destino\Inference\Family\Family;
use Destino\Inference\Faults\Explanation;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Faults\Misidentified;
use Destino\Inference\Inheritance\GenotypeSpace;

/**
 * Weighs sets of faults: P(faults) · P(evidence | faults), over all loci. For one matter all sets of one or two faults that
 * make its records possible, no smaller one of which does; for several, their sets in combination, so that what explains
 * two of them counts once.
 *
 * @phpstan-import-type Combination from Explainer
 * @phpstan-type Weighed array{faults: list<Fault>, log: float}
 */
final class Weighing
{
    /** Sets of a matter that are combined with those of others, and combinations that are gone on with. */
    private const BEAM = 10;

    /** Sets less likely than this beside the best are not looked at. */
    private const HOPELESS = 1e-5;

    /** Explanations of a matter that are told. */
    private const TOLD = 12;

    /** @var array<int, list<Weighed>> by matter */
    private array $sets = [];

    /** @var list<Combination>|null */
    private ?array $combinations = null;

    private readonly Candidates $candidates;

    private readonly FaultEvidence $evidence;

    /**
     * @param list<Fault> $decided
     * @param non-empty-list<Matter> $matters
     * @param Closure(list<LinkageGroup>): GenotypeSpace $space
     */
    public function __construct(
        private readonly Context $context,
        private readonly Family $family,
        Bundles $bundles,
        array $decided,
        private readonly array $matters,
        Closure $space,
    ) {
        $this->evidence = new FaultEvidence($context, $family, $bundles, $decided, $matters, $space);
        $this->candidates = new Candidates($context->catalogue, $family, $context->rates);
    }

    /** @return list<Explanation> of a matter, the likeliest first; their odds sum to 1 */
    public function explanations(int $matter): array
    {
        $weights = $faults = [];
        $most = max([-INF, ...array_column($this->combinations($this->matters), 'log')]);
        foreach ($this->combinations($this->matters) as $one) {
            $chosen = $one['chosen'][$matter];
            $key = (new Explanation($chosen === [] ? [new Misidentified('')] : $chosen, 1.0))->key();
            $weights[$key] = ($weights[$key] ?? 0.0) + exp($one['log'] - $most);
            $faults[$key] = $chosen;
        }
        arsort($weights);
        $weights = array_slice($weights, 0, self::TOLD, true);
        $sum = array_sum($weights);
        $explanations = [];
        foreach ($weights as $key => $weight) {
            if ($faults[$key] !== []) {
                $explanations[] = new Explanation($faults[$key], $weight / $sum);
            }
        }

        return $explanations;
    }

    /**
     * @param list<Matter> $matters
     * @return list<Combination> faults for all matters together
     */
    public function combinations(array $matters): array
    {
        if ($this->combinations !== null) {
            return $this->combinations;
        }
        $beam = [['faults' => [], 'log' => 0.0, 'chosen' => []]];
        foreach ($matters as $i => $matter) {
            $next = [];
            foreach ($beam as $before) {
                foreach ($this->setsOf($i) as $set) {
                    $faults = FaultSets::union($before['faults'], $matter->really($set['faults']));
                    $chosen = [...$before['chosen'], $set['faults']];
                    $log = count($matters) === 1 ? $set['log'] : $this->log($faults, range(0, $i), $this->insisted($chosen));
                    if ($log > -INF) {
                        $next[] = ['faults' => $faults, 'log' => $log, 'chosen' => $chosen];
                    }
                }
            }
            usort($next, static fn (array $a, array $b): int => $b['log'] <=> $a['log']);
            $beam = count($matters) === 1 ? $next : array_slice($next, 0, self::BEAM);
        }

        return $this->combinations = $beam;
    }

    /** @return list<Weighed> sets that explain one matter while the others are not heard, the likeliest first */
    private function setsOf(int $i): array
    {
        if (isset($this->sets[$i])) {
            return $this->sets[$i];
        }
        $matter = $this->matters[$i];
        $candidates = array_values(array_filter(
            $this->candidates->of($matter),
            static fn (array $one): bool => $one[1] > 0.0 && ! ($matter->isDoubted && $one[0] instanceof Misidentified),
        ));
        $found = [];
        $singles = array_map(static fn (array $one): array => [[$one[0]], log($one[1])], $candidates);
        foreach ([...$this->candidates->whole($matter), ...$singles] as [$faults, $prior]) {
            $log = $prior + $this->evidence->log($matter->really($faults), [$i], $this->insisted([$i => $faults]));
            if ($log > -INF) {
                $found[FaultSets::keyOf($faults)] = ['faults' => $faults, 'log' => $log];
            }
        }
        $found = $this->withPairs($i, $candidates, $found);
        $best = max([-INF, ...array_column($found, 'log')]);
        $sets = array_values(array_filter($found, static fn (array $set): bool => $set['log'] > $best + log(self::HOPELESS)));
        usort($sets, static fn (array $a, array $b): int => $b['log'] <=> $a['log']);

        return $this->sets[$i] = count($this->matters) === 1 ? $sets : array_slice($sets, 0, self::BEAM);
    }

    /**
     * Two faults together, of which neither explains the matter by itself.
     *
     * @param list<array{Fault, float}> $candidates
     * @param array<string, Weighed> $found
     * @return array<string, Weighed> with what was found besides
     */
    private function withPairs(int $i, array $candidates, array $found): array
    {
        $free = $this->evidence->log([], [], []);
        $best = max([-INF, ...array_column($found, 'log')]);
        foreach ($candidates as $a => [$one, $p]) {
            foreach (array_slice($candidates, $a + 1) as [$other, $q]) {
                $prior = log($p) + log($q);
                if (
                    ! FaultSets::fit($one, $other)
                    || isset($found[FaultSets::keyOf([$one])])
                    || isset($found[FaultSets::keyOf([$other])])
                    || $prior + $free < $best + log(self::HOPELESS)
                ) {
                    continue;
                }
                $log = $prior + $this->evidence->log([$one, $other], [$i], $this->insisted([$i => [$one, $other]]));
                if ($log > -INF) {
                    $found[FaultSets::keyOf([$one, $other])] = ['faults' => [$one, $other], 'log' => $log];
                    $best = max($best, $log);
                }
            }
        }

        return $found;
    }

    /**
     * Whose doubtful statements an explanation takes for right: of those that it does not hold to be simply wrong.
     *
     * @param array<int, list<Fault>> $chosen faults by matter
     * @return list<string>
     */
    public function insisted(array $chosen): array
    {
        $insisted = [];
        foreach ($chosen as $i => $faults) {
            $isWrong = array_filter($faults, static fn (Fault $fault): bool => $fault instanceof Misidentified) !== [];
            $insisted = $this->matters[$i]->isDoubted && ! $isWrong ? [...$insisted, ...$this->matters[$i]->subjects] : $insisted;
        }

        return $insisted;
    }

    /**
     * @param list<Fault> $faults
     * @param list<int> $heard matters whose subjects are heard
     * @param list<string> $insisted
     */
    private function log(array $faults, array $heard, array $insisted): float
    {
        $log = 0.0;
        foreach ($faults as $fault) {
            $log += log($this->priorOf($fault));
        }

        return $log + $this->evidence->log($faults, $heard, $insisted);
    }

    private function priorOf(Fault $fault): float
    {
        foreach ($this->matters as $matter) {
            foreach ($this->candidates->of($matter) as [$one, $prior]) {
                if ($one->key() === $fault->key()) {
                    return $prior;
                }
            }
        }

        return $fault->chance($this->context->rates);
    }
}
