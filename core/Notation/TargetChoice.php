<?php

declare(strict_types=1);

namespace Destino\Notation;

/** A part of a target of which several ways will do: at least so many of its options ("at least two of Pastel, Enchi, Fire"). */
final readonly class TargetChoice
{
    /**
     * @param int $atLeast how many options must hold, from 1
     * @param list<Target> $options without choices of their own
     * @param int $from place of the piece in the text, from 1
     */
    public function __construct(public int $atLeast, public array $options, public string $piece, public int $from) {}
}
