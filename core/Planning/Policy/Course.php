<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** How one run went. */
final class Course
{
    /** Season in which enough had hatched; 0: it was there from the start; null: never. */
    public ?int $reached = null;

    public int $eggs = 0;

    public int $kept = 0;

    /** @var array{male: int, female: int} */
    public array $found = ['male' => 0, 'female' => 0];

    /** @var array<int, float> spent up to each season */
    public array $money;

    /** @var list<Holding> animals at the end, where the target was not reached */
    public array $last = [];

    private int $lastMated = 0;

    public function __construct(private readonly int $horizon)
    {
        $this->money = array_fill(0, $horizon + 1, 0.0);
    }

    public function mated(int $season): void
    {
        $this->lastMated = $season;
    }

    /** Something bought before the pairing of a season, in which spend() is still to come. */
    public function pay(int $season, float $amount): void
    {
        $this->money[$season - 1] += $amount;
    }

    public function spend(int $season, float $amount): void
    {
        $spent = $this->money[$season - 1] + $amount;
        for ($at = $season; $at <= $this->horizon; $at++) {
            $this->money[$at] = $spent;
        }
    }

    public function finish(int $season): void
    {
        $this->reached = $season;
        if ($season === 0) {
            $this->money = array_fill(0, $this->horizon + 1, $this->money[0]);
        }
    }

    public function whereItHung(): string
    {
        return match (true) {
            $this->lastMated === 0 => 'nobody can be mated in time',
            $this->found['male'] + $this->found['female'] > 0 => $this->found['male'] === 0 ? 'the male of the pair does not hatch in time'
                : 'the female of the pair does not hatch in time',
            $this->lastMated < $this->horizon => 'the animals that are needed hatch too late to breed',
            default => 'the last pairings give no hit in time',
        };
    }
}
