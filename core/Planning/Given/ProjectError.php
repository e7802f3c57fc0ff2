<?php

declare(strict_types=1);

namespace Destino\Planning\Given;

use Destino\DestinoError;
use Destino\Spelling;
use DomainException;

/** Something in a project that cannot be planned with, and what would be right. */
final class ProjectError extends DomainException implements DestinoError
{
    /** @param list<string> $known */
    public static function unknownAssumption(string $name, array $known): self
    {
        $near = Spelling::nearest($name, array_combine($known, $known));

        return new self(
            "“{$name}” is not an assumption. ".($near === [] ? '' : 'Did you mean '.implode(' or ', $near).'? ').'Known are: '
                .implode(', ', $known).'.',
        );
    }

    public static function notANumber(string $name): self
    {
        return new self("The assumption {$name} must be a number.");
    }

    public static function outOfRange(string $name, int|float $from, int|float $to): self
    {
        return new self("{$name} must lie between {$from} and {$to}.");
    }

    public static function tooManyOptions(int $count, int $most): self
    {
        return new self("These animals can meet the target in {$count} ways, and a plan handles at most {$most}. Name the genes to choose among.");
    }

    public static function nobody(string $where, string $id): self
    {
        return new self("{$where}: no animal of the document is called {$id}.");
    }

    public static function missing(string $where, string $what): self
    {
        return new self("{$where}: {$what} is missing or not as it should be.");
    }

    public static function genes(string $who, string $why): self
    {
        return new self("{$who}: {$why}");
    }

    public static function twice(string $id): self
    {
        return new self("Two animals are called {$id}.");
    }
}
