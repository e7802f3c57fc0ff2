<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * The chance of one run: each event draws from a stream of its own, named by what it is (a clutch by its dam and season), so
 * that a change elsewhere in a project moves nothing here.
 */
final readonly class Streams
{
    public function __construct(private int $seed, private int $run) {}

    public function of(string $event): Randomizer
    {
        return new Randomizer(new Xoshiro256StarStar(hash('sha256', "{$this->seed} {$this->run} {$event}", true)));
    }

    /** One number in [0, 1). */
    public function number(string $event): float
    {
        return hexdec(substr(hash('xxh3', "{$this->seed} {$this->run} {$event}"), 0, 13)) / 4503599627370496;
    }
}
