<?php

declare(strict_types=1);

namespace Destino\Season;

/** Something about an incubator that is to be looked at now. */
final readonly class Alarm
{
    /**
     * @param int $since second of the Unix era
     * @param float $value drift: the last value; jump: the change; silence: hours; clock: hours that it is behind
     */
    public function __construct(public AlarmKind $kind, public int $since, public float $value) {}
}
