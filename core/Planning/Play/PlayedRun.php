<?php

declare(strict_types=1);

namespace Destino\Planning\Play;

use Destino\Genome\Sex;
use Destino\Planning\Search\Route;

/** What one run of a route has come to: animals by the key of their node, and what is counted. */
final class PlayedRun
{
    public int $eggs = 0;

    public int $kept = 0;

    public float $spent = 0.0;

    /** @var array<int, float> spent by the end of each season */
    public array $money = [0 => 0.0];

    /** @var array<string, true> steps that were mated */
    public array $bred = [];

    /**
     * @param array<string, list<PlayedAnimal>> $animals
     * @param array{male: int, female: int} $found animals that meet the target
     */
    public function __construct(public array $animals, public array $found) {}

    /** @param array{any: int, male: int, female: int} $wanted */
    public function isEnough(array $wanted): bool
    {
        return $this->found['male'] >= $wanted['male']
            && $this->found['female'] >= $wanted['female']
            && $this->found['male'] + $this->found['female'] >= max($wanted['any'], $wanted['male'] + $wanted['female']);
    }

    /** Nobody has mated yet. */
    public function begin(): void
    {
        foreach ($this->animals as $group) {
            foreach ($group as $animal) {
                $animal->mates = 0;
            }
        }
    }

    public function end(int $season, float $yearlyKeep): void
    {
        $this->spent += $yearlyKeep * array_sum(array_map(count(...), $this->animals));
        $this->money[$season] = $this->spent;
    }

    public function count(Sex $sex): void
    {
        $this->found[$sex->value]++;
    }

    public function whereItHung(?Route $route): string
    {
        foreach ($route->steps ?? [] as $step) {
            if ($step->isLast) {
                break;
            }
            if (($this->animals[$step->key] ?? []) === []) {
                return isset($this->bred["{$step->key} {$step->sire} {$step->dam}"])
                    ? 'no '.($step->sex->value ?? 'young')." {$step->genes} hatches in time"
                    : "{$step->sireGenes} × {$step->damGenes} is never mated in time";
            }
        }
        $has = array_sum($this->found) > 0 ? 'the second animal of the target' : 'the target';

        return "the last cross is made and {$has} does not hatch in time";
    }
}
