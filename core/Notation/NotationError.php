<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\DestinoError;
use InvalidArgumentException;

/** A piece of typed text that cannot be read as it stands, with what would be right where that is known. */
final class NotationError extends InvalidArgumentException implements DestinoError
{
    /**
     * @param string $piece as typed
     * @param int $position of the piece, from 1, in characters of the text as typed
     * @param list<string> $suggestions
     */
    private function __construct(
        string $message,
        public readonly string $piece,
        public readonly int $position,
        public readonly array $suggestions = [],
    ) {
        parent::__construct($message);
    }

    public static function unknownName(string $piece, int $position, string ...$suggestions): self
    {
        $shown = self::shown($piece);
        $hint = $suggestions === []
            ? 'Check the spelling, or add it under Genes, as a gene or as your name for a combination.'
            : 'Did you mean '.self::list($suggestions, 'or').'?';

        return new self("“{$shown}” is not a known gene. {$hint}", $shown, $position, array_values($suggestions));
    }

    public static function noGene(string $text): self
    {
        $shown = self::shown(trim($text));

        return new self("“{$shown}” names no gene. For an animal without any write Normal.", $shown, 1, ['Normal']);
    }

    public static function strayPiece(string $piece, int $position): self
    {
        $shown = self::shown($piece);

        return new self(
            "“{$shown}” has no meaning here. Write gene names, with het, super or a percentage before them.",
            $shown,
            $position,
        );
    }

    /** @param list<string> $choices */
    public static function question(string $piece, int $position, string $question, array $choices): self
    {
        $shown = self::shown($piece);

        $means = match (count($choices)) {
            0 => ': ',
            1 => " may mean {$choices[0]}. ",
            default => ' can mean several things: '.self::list(array_map(
                static fn (string $choice): string => str_contains($choice, ' or ') ? "“{$choice}”" : $choice, $choices,
            ), 'or').'? ',
        };

        return new self("“{$shown}”{$means}{$question}", $shown, $position, $choices);
    }

    /**
     * @param list<string> $names of the alleles that were asked for
     * @param list<string> $suggestions
     */
    public static function tooManyAlleles(string $piece, int $position, string $locus, array $names, array $suggestions = []): self
    {
        $hint = $suggestions === [] ? '' : ' Did you mean '.self::list($suggestions, 'or').'?';

        return new self(
            self::list($names, 'and').' all stand at one locus ('.$locus.'), and an animal has two places there, one from each parent: '
            .count($names).' do not fit.'.$hint,
            self::shown($piece), $position, $suggestions,
        );
    }

    public static function namedTwice(string $piece, int $position, string $twoCopies): self
    {
        return new self(
            "“{$piece}” is named twice. For two copies write {$twoCopies}.",
            $piece,
            $position,
            [$twoCopies],
        );
    }

    public static function howLikely(string $piece, int $position, string $form): self
    {
        $isHet = str_starts_with($form, 'het ');

        return new self(
            "How likely is “{$piece}”? Give the chance".($isHet ? ': 66% (from two hets), 50% (from one het).' : ', such as 50%.'),
            self::shown($piece),
            $position,
            $isHet ? ["66% {$form}", "50% {$form}"] : ["50% {$form}"],
        );
    }

    public static function impossiblePercentage(string $piece, int $position): self
    {
        return new self(
            "“{$piece}” is not a possible chance: it must be more than 0% and at most 100%.",
            self::shown($piece),
            $position,
        );
    }

    public static function percentagesOver100(string $piece, int $position, string $locus): self
    {
        return new self(
            "The chances at one locus ({$locus}) come to more than 100% with “{$piece}”: an animal has one or the other.",
            self::shown($piece),
            $position,
        );
    }

    /** @param list<string> $suggestions */
    public static function misplaced(string $piece, int $position, string $why, array $suggestions = []): self
    {
        return new self("“{$piece}”: {$why}", self::shown($piece), $position, $suggestions);
    }

    public static function nothingToRead(string $what): self
    {
        return new self($what, '', 1);
    }

    public static function tooLong(int $length, int $most): self
    {
        return new self("The text has {$length} characters; at most {$most} can be read.", '', $most + 1);
    }

    /** @param array<array-key, string> $items */
    private static function list(array $items, string $word): string
    {
        $items = array_values($items);
        $last = array_pop($items);

        return $items === [] ? (string) $last : implode(', ', $items)." {$word} {$last}";
    }

    private static function shown(string $piece): string
    {
        return mb_strlen($piece) > 60 ? mb_substr($piece, 0, 59).'…' : $piece;
    }
}
