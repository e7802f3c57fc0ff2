<?php

declare(strict_types=1);

namespace Destino\Planning;

use Destino\Planning\Given\Project;
use Destino\Planning\Play\Outcome;
use Destino\Planning\Search\Route;

/** The answer to a project: routes that really differ, or why there is none. */
final readonly class Plan
{
    /**
     * @param list<array{Route, Outcome}> $routes the best first
     * @param string|null $unreachable why there is none
     * @param string|null $already which animal meets the target already
     * @param bool $isCut whether the search stopped before it was through
     */
    public function __construct(
        public Project $project,
        public array $routes,
        public ?string $unreachable,
        public ?string $already,
        public int $runs,
        public int $seed,
        public bool $isCut,
    ) {}
}
