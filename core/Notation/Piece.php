<?php

declare(strict_types=1);

namespace Destino\Notation;

/** A piece of the typed text and what was understood by it. */
final readonly class Piece
{
    /**
     * @param int $from position of the first character, from 1
     * @param int $to position of the last character, from 1
     */
    public function __construct(public string $text, public int $from, public int $to, public string $meaning) {}
}
