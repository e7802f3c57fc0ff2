<?php

declare(strict_types=1);

namespace Destino\Planning\Search;

use Closure;
use Destino\Genome\Mask;
use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Phenotypes\GroupTable;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Phenotypes\Wanted;
use SplPriorityQueue;

/**
 * Finds routes to a target: a best-first search over the directed hypergraph of looks and sexes, in which a cross joins
 * two animals to each look of their young (Knuth 1977, the generalisation of Dijkstra's method).
 *
 * A young of a cross whose parents are ready in season t is expected in t + 1/h − 1, h = P(a season brings one of the wanted
 * sex), and breeds after growing up. That is never less than what its parents took, so animals settled in the order of
 * their readiness are settled at their least. An animal whose young cannot come before the k-th best finish, or before
 * the horizon, is left out, with the best mates that there could be (earliestFinish): a bound that loses nothing. So is one
 * that an animal ready no later passes in everything that it could give (GroupTable::isAtLeast).
 *
 * Where a founder is pinned, animals with it and without it behind them are different nodes; where relatedness is limited,
 * so are animals of different founders, since the one that is ready first may be too close to its mate. Looks that hide
 * others come first among the groups; young in which they hide something that differs are not built on, as no keeper
 * could tell which of them to keep.
 */
final class RouteSearch
{
    /** Animals that are settled at the most; beyond it the search stops and says so. */
    private const MOST_SETTLED = 1500;

    /** @var array<string, Node> */
    private array $best = [];

    private readonly Settled $settled;

    /** @var SplPriorityQueue<array{float, int}, Node> */
    private SplPriorityQueue $open;

    private int $count = 0;

    /** Whether the search stopped before it was through. */
    public bool $isCut = false;

    private readonly Finishes $finishes;

    private readonly Welfare $welfare;

    private readonly Lineages $lineages;

    private readonly Bounds $bounds;

    /**
     * @param float|null $limit season after which nothing is of use; null: what the horizon allows
     * @param (Closure(Node): bool)|null $accepts whether a way to finish is one that is looked for; the others count for nothing
     */
    public function __construct(
        private readonly Space $space,
        int $most = 8,
        ?float $limit = null,
        ?Closure $accepts = null,
    ) {
        $this->lineages = new Lineages($space->project);
        $this->settled = new Settled($space->groups, $this->lineages);
        $this->bounds = new Bounds($space);
        $this->welfare = new Welfare($space);
        $this->open = new SplPriorityQueue;
        $this->finishes = new Finishes($space->project, $this->welfare, $most, $limit, $accepts);
    }

    /**
     * @param list<Founder> $founders
     * @return list<Node> targets, each with the crosses behind it, the earliest expected first
     */
    public function from(array $founders): array
    {
        foreach ((new FounderNodes($this->space, $this->lineages, $this->welfare))->merged($founders) as $node) {
            $this->offer($node);
        }
        while (! $this->open->isEmpty()) {
            /** @var Node $node */
            $node = $this->open->extract();
            if (
                $node->isSettled
                || $this->best[$node->key] !== $node
                || (! $node->isFounder() && $this->settled->isPassed($node->looks, $node->sex, $node->lineage))
            ) {
                continue;
            }
            if ($node->ready > $this->finishes->bound) {
                break;
            }
            if (count($this->settled->males) + count($this->settled->females) >= self::MOST_SETTLED) {
                $this->isCut = true;
                break;
            }
            $this->settle($node);
        }
        return $this->finishes->all();
    }

    /** A node worth waiting for is put in line. */
    private function offer(Node $node): void
    {
        if (isset($this->best[$node->key]) && $this->best[$node->key]->ready <= $node->ready) {
            return;
        }
        $this->best[$node->key] = $node;
        $this->open->insert($node, [-$node->ready, -$this->count++]);
    }

    private function settle(Node $node): void
    {
        $node->isSettled = true;
        if ($node->sex === Sex::Male) {
            $this->settled->males[] = $node;
            foreach ($this->settled->females as $dam) {
                $this->cross($node, $dam);
            }
        } else {
            $this->settled->females[] = $node;
            foreach ($this->settled->males as $sire) {
                $this->cross($sire, $node);
            }
        }
    }

    private function cross(Node $sire, Node $dam): void
    {
        if ($this->lineages->isForbidden($sire, $dam) || $this->welfare->refuses($sire->looks, $dam->looks)) {
            return;
        }
        $from = max($sire->ready, $dam->ready);
        $females = $dam->isFounder() ? min(count($dam->founders), max(1, $this->space->project->assumptions->femalesPerMale)) : 1;
        $hit = $this->chanceOfTarget($sire->looks, $dam->looks);
        $wanted = $this->space->project->target->sex;
        if ($hit > 0.0 && (! $this->space->project->sure || $this->space->crossing->isSure($sire->looks, $dam->looks))) {
            $looks = $this->space->crossing->likeliestHit($sire->looks, $dam->looks);
            $hit *= $wanted === null ? 1.0 : $this->space->shareOf($wanted);
            $this->finishes->add(
                new Node(
                    implode('.', $looks), $looks, $wanted ?? Sex::Female, $this->bounds->expected($from, $hit, $females), INF, [], $sire,
                    $dam, $hit, Lineages::joined($sire, $dam),
                ),
            );
        }
        $this->descend($sire, $dam, $from, $females, 0, [], 1.0, null, []);
    }

    /**
     * @param list<int> $sire
     * @param list<int> $dam
     */
    private function chanceOfTarget(array $sire, array $dam): float
    {
        if ($this->space->choices->isAny()) {
            return $this->space->crossing->oddsOfTarget($sire, $dam)->toFloat();
        }
        $hit = 1.0;
        foreach ($this->space->groups as $i => $group) {
            $hit *= $group->chanceOfMeeting($sire[$i], $dam[$i]);
        }

        return $hit;
    }

    /**
     * Every combination of looks that these two give, as long as one can still come in time.
     *
     * @param list<int> $looks so far
     * @param list<Mask> $hiding what they hide of the groups that follow
     */
    private function descend(
        Node $sire,
        Node $dam,
        float $from,
        int $females,
        int $at,
        array $looks,
        float $chance,
        ?Sex $sex,
        array $hiding,
    ): void {
        if ($this->bounds->expected($from, $chance, $females) > $this->finishes->bound) {
            return; // the chance only falls from here on, so nothing below can be in time either
        }
        if ($at === count($this->space->groups)) {
            foreach ($sex === null ? [Sex::Male, Sex::Female] : [$sex] as $own) {
                $this->young($sire, $dam, $from, $females, $looks, $chance * $this->space->shareOf($own), $own);
            }

            return;
        }
        $group = $this->space->groups[$at];
        foreach ($group->cross($sire->looks[$at], $dam->looks[$at], $hiding) as [$look, , $p, $ownSex]) {
            if ($hiding !== [] && $group->isBlurred($look)) {
                continue;
            }
            $this->descend(
                $sire, $dam, $from, $females, $at + 1, [...$looks, $look], $chance * $p, $sex ?? $ownSex,
                $group->canHide ? [...$hiding, ...$group->hides($look)] : $hiding,
            );
        }
    }

    /** @param list<int> $looks */
    private function young(Node $sire, Node $dam, float $from, int $females, array $looks, float $chance, Sex $sex): void
    {
        $born = $this->bounds->expected($from, $chance, $females);
        $ready = $born + $this->space->project->assumptions->seasonsToGrow($sex === Sex::Male);
        $lineage = Lineages::joined($sire, $dam);
        $key = implode('.', $looks).$sex->value.($lineage === [] ? '' : ' of '.implode(',', $lineage));
        $isLate = $born > $this->finishes->bound || (isset($this->best[$key]) && $this->best[$key]->ready <= $ready);
        if ($isLate || ! Wanted::isAnyIn($this->space->groups, $looks)) {
            return;
        }
        $isInTime = $this->bounds->earliestFinish($looks, $sex, $ready) <= $this->finishes->bound;
        if ($isInTime && ! $this->settled->isPassed($looks, $sex, $lineage)) {
            $this->offer(new Node($key, $looks, $sex, $born, $ready, [], $sire, $dam, $chance, $lineage));
        }
    }
}
