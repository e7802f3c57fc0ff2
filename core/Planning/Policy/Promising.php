<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** A keeper who can say what every pair is worth to him. */
interface Promising extends Keeper
{
    /**
     * @return list<array{Holding, Holding, float}> male, female and worth of every pair that could be mated and is worth something, the
     *     worthiest first
     */
    public function promises(Situation $situation): array;
}
