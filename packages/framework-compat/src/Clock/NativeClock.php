<?php

namespace Symfony\Component\Clock;

/** The part of the native clock that Carbon uses: waiting. */
final class NativeClock
{
    public function sleep(float|int $seconds): void
    {
        usleep(max(0, (int) round($seconds * 1_000_000)));
    }
}
