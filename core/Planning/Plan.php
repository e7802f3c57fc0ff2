<?php

declare(strict_types=1);

namespace Destino\Planning;

use Destino\Planning\Given\Project;
use Destino\Planning\Play\Outcome;
use Destino\Planning\Policy\Answer;
use Destino\Planning\Search\Route;

/** The answer to a project: what a keeper can reach, and the routes that explain it; or why there is no way. */
final readonly class Plan
{
    /**
     * @param list<array{Route, Outcome}> $routes the best first
     * @param Answer|null $policy what a keeper can reach; null where nothing is to be reached, or it is there already
     * @param string|null $unreachable why there is no chance at all
     * @param string|null $already which animal meets the target already
     * @param bool $isCut whether the search stopped before it was through
     */
    public function __construct(
        public Project $project,
        public array $routes,
        public ?Answer $policy,
        public ?string $unreachable,
        public ?string $already,
        public int $runs,
        public int $seed,
        public bool $isCut,
    ) {}
}
