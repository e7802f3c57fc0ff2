<?php

declare(strict_types=1);

namespace Destino;

/** An error with the facts that it is about, each under its name, for programs; the message says the same to a person. */
trait CarriesFacts
{
    /** @param array<string, scalar|list<string>|null> $facts */
    private function __construct(string $message, public readonly array $facts = [])
    {
        parent::__construct($message);
    }

    /** A piece of what was typed, as long as a message can show. */
    private static function shown(string $piece, int $most = 60): string
    {
        return mb_strlen($piece) > $most ? mb_substr($piece, 0, $most - 1).'…' : $piece;
    }
}
