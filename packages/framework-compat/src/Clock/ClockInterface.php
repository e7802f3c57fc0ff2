<?php

namespace Symfony\Component\Clock;

use DateTimeImmutable;
use DateTimeZone;

/** The part of the clock contract that Carbon names. */
interface ClockInterface
{
    public function now(): DateTimeImmutable;

    public function sleep(float|int $seconds): void;

    public function withTimeZone(DateTimeZone|string $timezone): static;
}
