<?php

declare(strict_types=1);

namespace Destino\Pairing\Asking;

use Destino\DestinoError;
use InvalidArgumentException;

/** A question that cannot be asked as it stands: says which part of it. */
final class QuestionError extends InvalidArgumentException implements DestinoError
{
    /** @param list<string> $suggestions */
    private function __construct(
        string $message,
        public readonly string $field,
        public readonly string $piece,
        public readonly array $suggestions = [],
    ) {
        parent::__construct($message);
    }

    public static function eggs(string $typed): self
    {
        $shown = mb_substr($typed, 0, 30);

        return new self("“{$shown}” is not a number of eggs. Give a whole number from 1 to ".Question::MOST_EGGS.'.', 'eggs', $shown);
    }

    /** @param list<string> $choices */
    public static function notOneOf(string $field, string $typed, array $choices): self
    {
        $shown = mb_substr($typed, 0, 30);

        return new self("“{$shown}” is not a choice for {$field}. Choose ".implode(' or ', $choices).'.', $field, $shown, $choices);
    }

    /** @param string $shown what can be shown of it */
    public static function notText(string $field, string $shown): self
    {
        return new self("{$field} holds bytes that are not text (UTF-8).", ltrim($field, '-'), mb_substr($shown, 0, 30));
    }

    public static function missing(string $field, string $what): self
    {
        return new self("{$what} is missing.", $field, '');
    }

    public static function count(string $field, string $typed, int $most): self
    {
        $shown = mb_substr($typed, 0, 30);

        return new self("“{$shown}” is not a number of {$field}. Give a whole number from 0 to {$most}.", $field, $shown);
    }

    public static function top(string $typed): self
    {
        $shown = mb_substr($typed, 0, 30);

        return new self("“{$shown}” is not a number of outcomes to show. Give a whole number from 1 to 100000.", 'top', $shown);
    }
}
