<?php

declare(strict_types=1);

namespace App\Models;

use Destino\Planning\Policy\Beginning;

/**
 * What a plan came to, as it was kept: the document destino-plan/1 and what stands beside it.
 *
 * @phpstan-type At array{season: int, decimal: float, low: float, high: float}
 * @phpstan-type Spent array{season: int, money: float}
 * @phpstan-type Seasons array{median: int|null, p10: int|null, p90: int|null}
 * @phpstan-type Kept array{genes: string, sex: string|null, count: int, young?: string}
 * @phpstan-type Step array{key: string, season: int, sire: string, dam: string, sire_genes: string, dam_genes: string, probability: string,
 *     decimal: float, keep: non-empty-list<Kept>, cautions?: list<string>, buy: list<array{genes: string, sex: string, price: float}>,
 *     from: array{sire: string|null, dam: string|null}}
 * @phpstan-type Route array{name: string, why: string, expected: float, steps: non-empty-list<Step>, inbreeding: string,
 *     probability_by_season: non-empty-list<At>, season: Seasons, eggs: float, kept: float, money: float, money_by_season?: list<Spent>,
 *     risk: array<string, float>}
 * @phpstan-type MatingNow array{sire: string, dam: string, target_an_egg: float, worth: float|null, error: float, sooner: float,
 *     sooner_error: float}
 * @phpstan-type KeepNow array{genes: string, sex: string, expected: float, keep: bool}
 * @phpstan-type BuyNow array{id: string, genes: string, sex: string, price: float, from_season?: int}
 * @phpstan-type Reach array{runs?: int, probability_by_season: non-empty-list<At>, season: Seasons, eggs: float, kept: float, money: float,
 *     money_by_season?: list<Spent>, risk: array<string, float>, now?: array{buy: list<BuyNow>, matings: list<MatingNow>, keep: list<KeepNow>}}
 * @phpstan-type Possible array{sire: string, dam: string, target_an_egg: float, hazard: float}
 * @phpstan-type Figures array{median: int|null, by_horizon: float|null}
 * @phpstan-type Influenced array{assumption: string, low: float, high: float, at_low: Figures, at_high: Figures}
 * @phpstan-type Choice array{question: string, choice: string, money: float, median: int|null, by_horizon: float|null}
 */
final readonly class PlanResult
{
    /** @var Reach|null what a keeper can reach who decides each season by what hatched */
    public ?array $policy;

    /** @var list<Route> single ways, held to whatever hatches */
    public array $routes;

    /** @var array<string, string> of the animals by the core's id */
    public array $names;

    /** @var list<Possible> pairings that could be made now */
    public array $possible;

    /** @var list<array<string, mixed>> the best pairings of the collection for the target */
    public array $pairs;

    /** @var list<Influenced> */
    public array $influence;

    /** @var list<Choice> */
    public array $dilemmas;

    /** @var list<array<string, mixed>> pairings that were tried against the plan, the last first */
    public array $tried;

    /**
     * The chance by the horizon, by tubs for young and by clutches in a season.
     *
     * @var array{chances: array<int, float>, advised: int, clutches?: array<int, float>}|null
     */
    public ?array $tubs;

    /** What nobody can do better than by the horizon; null where that is not worked out. */
    public ?float $bound;

    /** @var array<string, int|float> */
    public array $assumptions;

    /** @var array<string, float> share of the young of a pair that is sound */
    public array $sound;

    /** How the answer is played. */
    public Beginning $first;

    /** @var list<array<string, mixed>>|null what each animal is worth to the target; null where that was not worked out */
    public ?array $animals;

    /** @var list<array<string, mixed>> what to buy next */
    public array $next;

    /**
     * @var list<array{season: int, sire: string, dam: string, instead: string, sooner: float, error: float}> what another pair of a
     *     past season would have brought
     */
    public array $past;

    /** @var list<string> what changed, where it is an update; empty where somebody asked for it */
    public array $because;

    /** What the plan before it said in a sentence, where it is an update. */
    public ?string $before;

    /** @param array<string, mixed> $stored */
    private function __construct(private array $stored)
    {
        $this->policy = $stored['policy'] ?? null;
        $this->routes = $stored['routes'] ?? [];
        $this->names = $stored['names'] ?? [];
        $this->possible = $stored['possible'] ?? [];
        $this->pairs = $stored['pairs'] ?? [];
        $this->influence = $stored['influence'] ?? [];
        $this->dilemmas = $stored['dilemmas'] ?? [];
        $this->tried = $stored['tried'] ?? [];
        $this->tubs = $stored['tubs'] ?? null;
        $this->bound = isset($stored['bound']) ? (float) $stored['bound'] : null;
        $this->assumptions = $stored['assumptions'] ?? [];
        $this->sound = $stored['sound'] ?? [];
        $this->past = $stored['past'] ?? [];
        $this->because = $stored['because'] ?? [];
        $this->before = $stored['before'] ?? null;
        $this->first = Beginning::fromArray((array) ($stored['first'] ?? []));
        $this->animals = $stored['animals'] ?? null;
        $this->next = $stored['next'] ?? [];
    }

    /** @param array<string, mixed>|null $stored */
    public static function of(?array $stored): self
    {
        return new self($stored ?? []);
    }

    /** Why no plan could be made. */
    public function error(): ?string
    {
        return $this->stored['error'] ?? null;
    }

    /** The core's id of an animal that meets the target already. */
    public function already(): ?string
    {
        return $this->stored['already'] ?? null;
    }

    /** Why the target cannot be reached. */
    public function unreachable(): ?string
    {
        return $this->stored['unreachable']['why'] ?? null;
    }

    /** Whether the search for ways was broken off. */
    public function isCut(): bool
    {
        return ! ($this->stored['search_complete'] ?? true);
    }
}
