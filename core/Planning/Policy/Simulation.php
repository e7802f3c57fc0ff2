<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Planning\Given\Founder;

/** A project that can be played: whatever compares decisions plays it in the same runs, as far as the work allows. */
interface Simulation
{
    /** Of what is only compared with an answer: runs at the least. */
    public const FEWEST_COMPARED = 20;

    public function law(): Law;

    /** How the answer is played, for what is compared with it. */
    public function first(): Beginning;

    /**
     * @param list<Founder> $bought
     * @param Keeper|null $keeper null: the one of the answer
     * @param list<string>|null $later ids of offers that may be bought in later seasons; null: those of the answer
     */
    public function playing(array $bought, ?Keeper $keeper = null, ?array $later = null): Play;

    /** How many runs can be played with so much work (Law::$work), as far as a few show. */
    public function affordable(Play $play, int $runs, int $seed, int $work, int $fewest = self::FEWEST_COMPARED): int;

    /** So many of what is tried where little effort is asked for: all of it from a quarter of the usual effort on. */
    public function atEffort(int $usual): int;

    public function isLarge(): bool;
}
