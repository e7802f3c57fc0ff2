<?php

declare(strict_types=1);

namespace Destino\Husbandry;

use DateTimeImmutable;

final readonly class Weighing
{
    public function __construct(public DateTimeImmutable $on, public int $grams) {}
}
