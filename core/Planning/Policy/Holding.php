<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** An animal as the keeper knows it. */
final class Holding
{
    /** Matings of this season. */
    public int $mates = 0;

    /** Clutches that it has had a part in. */
    public int $clutches = 0;

    /** Key of the step of a route that a young was kept for; empty where its keeper follows none. */
    public string $keptFor = '';

    /**
     * @param string $id stays the same in every run: founders by their id, young by dam, season and place in the clutch
     * @param int $type what is known of it now
     * @param int $from first season in which it breeds
     * @param bool $isYoung whether it hatched here
     * @param list<string> $pins animals that a project must use and that stand behind it, itself included
     * @param array{string|null, string|null}|null $parents ids of sire and dam, as far as they are known
     */
    public function __construct(
        public readonly string $id,
        public int $type,
        public readonly bool $isMale,
        public readonly int $from,
        public readonly bool $isYoung,
        public readonly array $pins = [],
        public readonly ?array $parents = null,
    ) {}
}
