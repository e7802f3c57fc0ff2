<?php

declare(strict_types=1);

namespace Destino\Genome;

use Destino\DestinoError;
use Destino\Spelling;
use InvalidArgumentException;

final class UnknownSchool extends InvalidArgumentException implements DestinoError
{
    /** @param list<string> $suggestions keys that would be right */
    private function __construct(string $message, public readonly string $piece, public readonly array $suggestions)
    {
        parent::__construct($message);
    }

    /** @param list<string> $claims */
    public static function noSuchClaim(string $claim, array $claims): self
    {
        $shown = mb_substr($claim, 0, 60);

        return new self(
            "“{$shown}” is not a disputed fact of the catalogue.",
            $shown,
            Spelling::nearest($claim, array_combine($claims, $claims)),
        );
    }

    /** @param list<string> $schools */
    public static function noSuchChoice(string $claim, string $choice, array $schools): self
    {
        $shown = mb_substr($choice, 0, 60);

        return new self("“{$shown}” is not a school of {$claim}. Choose one of: ".implode(', ', $schools).'.', $shown, $schools);
    }

    public static function notAPair(string $text): self
    {
        $shown = mb_substr($text, 0, 60);

        return new self("“{$shown}” does not choose a school. Write CLAIM=CHOICE.", $shown, []);
    }
}
