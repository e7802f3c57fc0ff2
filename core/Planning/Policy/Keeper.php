<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** What a keeper does, given what he can know. */
interface Keeper
{
    /** @return list<array{Holding, Holding}> sires and dams to mate in this season */
    public function mate(Situation $situation): array;

    /**
     * @param list<Holding> $young that hatched in this season
     * @return list<Holding> those of them, and of the young kept before, that are kept from now on
     */
    public function keep(Situation $situation, array $young): array;
}
