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

    /** What is expected somewhat beyond the horizon may still come within it, with luck. */
    private const BEYOND = 1.25;

    /** @var array<string, Node> */
    private array $best = [];

    /** @var list<Node> */
    private array $males = [];

    /** @var list<Node> */
    private array $females = [];

    /** @var array<string, Node> ways to finish, by the key of the last cross and its young */
    private array $finishes = [];

    /** @var SplPriorityQueue<array{float, int}, Node> */
    private SplPriorityQueue $open;

    private int $count = 0;

    /** Nothing that comes later is of use. */
    private float $bound;

    private readonly float $limit;

    /** @var list<float> the earliest finishes */
    private array $earliest = [];

    /** Whether the search stopped before it was through. */
    public bool $isCut = false;

    private readonly Welfare $welfare;

    private readonly Lineages $lineages;

    private readonly Bounds $bounds;

    /**
     * @param float|null $limit season after which nothing is of use; null: what the horizon allows
     * @param (Closure(Node): bool)|null $accepts whether a way to finish is one that is looked for; the others count for nothing
     */
    public function __construct(
        private readonly Space $space,
        private readonly int $most = 8,
        ?float $limit = null,
        private readonly ?Closure $accepts = null,
    ) {
        $this->lineages = new Lineages($space->project);
        $this->bounds = new Bounds($space);
        $this->welfare = new Welfare($space);
        $this->open = new SplPriorityQueue;
        $this->bound = $this->limit = min($limit ?? INF, self::BEYOND * $space->project->horizon + 2);
    }

    /**
     * @param list<Founder> $founders
     * @return list<Node> targets, each with the crosses behind it, the earliest expected first
     */
    public function from(array $founders): array
    {
        foreach ($this->merged($founders) as $node) {
            $this->offer($node);
        }
        while (! $this->open->isEmpty()) {
            /** @var Node $node */
            $node = $this->open->extract();
            if (
                $node->isSettled
                || $this->best[$node->key] !== $node
                || (! $node->isFounder() && $this->isPassed($node->looks, $node->sex, $node->lineage))
            ) {
                continue;
            }
            if ($node->ready > $this->bound) {
                break;
            }
            if (count($this->males) + count($this->females) >= self::MOST_SETTLED) {
                $this->isCut = true;
                break;
            }
            $this->settle($node);
        }
        $finishes = array_values($this->finishes);
        usort($finishes, static fn (Node $a, Node $b): int => [$a->born, $a->key] <=> [$b->born, $b->key]);

        return $finishes;
    }

    /**
     * Founders that are alike in everything that counts are one node.
     *
     * @param list<Founder> $founders
     * @return list<Node>
     */
    private function merged(array $founders): array
    {
        $alike = [];
        foreach ($founders as $founder) {
            $looks = $this->space->looksOf($founder);
            $ready = max(
                $founder->from,
                $this->space->project->assumptions->firstSeason($founder->sex === Sex::Male, $founder->months, $founder->grams),
            );
            $price = $founder->price === null ? '' : " {$founder->id}"; // an offer is one animal
            $left = implode(
                ',',
                array_map(
                    static fn (array $pair): string => implode(':', $pair),
                    array_filter($this->space->project->forbidden, static fn (array $pair): bool => in_array($founder->id, $pair, true)),
                ),
            );
            $apart = $this->lineages->isTraced($founder->id) ? " = {$founder->id}" : '';
            $alike[
                implode('.', $looks)."{$founder->sex->value} {$ready}{$price} {$left}{$apart} {$this->welfare->marks($founder)}"
            ][] = [$founder, $looks, $ready];
        }
        $nodes = [];
        foreach ($alike as $key => $same) {
            [$first, $looks, $ready] = $same[0];
            $nodes[] = new Node(
                "founder {$key}", $looks, $first->sex, 0.0, (float) $ready, array_column($same, 0),
                lineage: $this->lineages->isTraced($first->id) ? [$first->id] : [],
            );
        }

        return $nodes;
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
            $this->males[] = $node;
            foreach ($this->females as $dam) {
                $this->cross($node, $dam);
            }
        } else {
            $this->females[] = $node;
            foreach ($this->males as $sire) {
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
        $hit = 1.0;
        foreach ($this->space->groups as $i => $group) {
            $hit *= $group->meeting($sire->looks[$i], $dam->looks[$i])->toFloat();
        }
        $wanted = $this->space->project->target->sex;
        if ($hit > 0.0 && (! $this->space->project->sure || $this->space->isSure($sire->looks, $dam->looks))) {
            $looks = $this->space->likeliestHit($sire->looks, $dam->looks);
            $hit *= $wanted === null ? 1.0 : $this->space->shareOf($wanted);
            $this->finish(
                new Node(
                    implode('.', $looks), $looks, $wanted ?? Sex::Female, $this->bounds->expected($from, $hit, $females), INF, [], $sire,
                    $dam, $hit, Lineages::joined($sire, $dam),
                ),
            );
        }
        $this->descend($sire, $dam, $from, $females, 0, [], 1.0, null, []);
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
        if ($this->bounds->expected($from, $chance, $females) > $this->bound) {
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
        if ($born > $this->bound || (isset($this->best[$key]) && $this->best[$key]->ready <= $ready) || ! Wanted::isAnyIn($this->space->groups, $looks)) {
            return;
        }
        if ($this->bounds->earliestFinish($looks, $sex, $ready) <= $this->bound && ! $this->isPassed($looks, $sex, $lineage)) {
            $this->offer(new Node($key, $looks, $sex, $born, $ready, [], $sire, $dam, $chance, $lineage));
        }
    }

    private function finish(Node $node): void
    {
        $key = "{$node->key} {$node->sire?->key} {$node->dam?->key}";
        if (
            $node->born <= $this->limit
            && (! isset($this->finishes[$key]) || $this->finishes[$key]->born > $node->born)
            && $this->isLookedFor($node)
        ) {
            $this->finishes[$key] = $node;
            $this->earliest[] = $node->born;
            sort($this->earliest);
            $this->earliest = array_slice($this->earliest, 0, $this->most);
            if (count($this->earliest) === $this->most) {
                $this->bound = min($this->bound, $this->earliest[$this->most - 1]);
            }
        }
    }

    /**
     * Whether an animal that is settled already, and so ready no later, is at least as good everywhere.
     *
     * @param list<int> $looks
     * @param list<string> $lineage
     */
    private function isPassed(array $looks, Sex $sex, array $lineage): bool
    {
        foreach ($sex === Sex::Male ? $this->males : $this->females as $settled) {
            if (! $this->lineages->standsFor($settled->lineage, $lineage)) {
                continue;
            }
            foreach ($looks as $i => $look) {
                if (! $this->space->groups[$i]->isAtLeast($settled->looks[$i], $look)) {
                    continue 2;
                }
            }

            return true;
        }

        return false;
    }

    private function isLookedFor(Node $node): bool
    {
        return array_diff($this->space->project->pinned, $node->lineage) === []
            && $this->welfare->allows($node)
            && ($this->accepts === null || ($this->accepts)($node));
    }
}
