<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Probability\InvalidNumber;
use Destino\Probability\Probability;
use Destino\Probability\Rational;

/** Reads how likely something is. */
final readonly class Chances
{
    public function __construct(private TokenStream $stream) {}

    /**
     * "66%" or "2/3".
     *
     * @throws NotationError where the number cannot be a chance, or two are given for one
     */
    public function read(): ?Rational
    {
        $number = $this->stream->current();
        if (! $number->is(TokenType::Number)) {
            return null;
        }
        $this->stream->advance();
        if ($this->stream->current()->is(TokenType::Number)) { // "50-66%"
            $this->askForOne($number, 1);
        }
        $isFraction = $this->stream->current()->is(TokenType::Slash) && $this->stream->peek()->is(TokenType::Number);
        if ($isFraction && $this->stream->peek(2)->is(TokenType::Percent)) {
            $this->askForOne($number, 2);
        }
        if (
            $this->stream->current()->is(TokenType::Percent)
            && $this->stream->peek()->is(TokenType::Slash)
            && $this->stream->peek(2)->is(TokenType::Number)
        ) {
            $this->askForOne($number, 3);
        }
        if ($isFraction) {
            $this->stream->advance(2);
        } elseif (! $this->stream->takeType(TokenType::Percent) && ! $this->isHetJoined($number)) {
            throw self::alone($number);
        }
        $piece = $this->stream->slice($number->from, $this->stream->previous()->to);
        try {
            $chance = $isFraction ? Probability::typed($piece) : Percentage::parse($number->text);
        } catch (InvalidNumber) {
            throw NotationError::impossiblePercentage($piece, $number->from);
        }

        return $chance->isZero() ? throw NotationError::impossiblePercentage($piece, $number->from) : $chance;
    }

    /** "66het Clown" */
    private function isHetJoined(Token $number): bool
    {
        return in_array($number->text, ['33', '50', '66', '67', '100'], true) && $this->stream->current()->from === $number->to + 1
            && Keyword::of($this->stream->current()) === Keyword::Het;
    }

    private static function alone(Token $number): NotationError
    {
        return match (true) {
            preg_match('/^\d[.,]\d$/D', $number->text) === 1 => NotationError::misplaced(
                $number->text, $number->from, 'it counts males and females: enter each animal by itself.',
            ),
            preg_match('/^[2-9]$/D', $number->text) === 1 => NotationError::misplaced(
                $number->text, $number->from, "it counts animals: enter each by itself. Write {$number->text}% for a chance.", ["{$number->text}%"],
            ),
            (float) strtr($number->text, ',', '.') > 100 => NotationError::misplaced(
                $number->text, $number->from, "no chance is so large. Write #{$number->text} for the animal's number.", ["#{$number->text}"],
            ),
            default => NotationError::misplaced(
                $number->text, $number->from, "a number alone says nothing. Write {$number->text}% for a chance.", ["{$number->text}%"],
            ),
        };
    }

    private function askForOne(Token $first, int $ahead): never
    {
        $this->stream->advance($ahead - 1);
        $second = $this->stream->current();
        $this->stream->advance();
        $this->stream->takeType(TokenType::Percent);
        $piece = $this->stream->slice($first->from, $this->stream->previous()->to);
        throw NotationError::question(
            $piece, $first->from, 'Give one figure: 66% from two hets, 50% from one.',
            ["{$first->text}%", rtrim($second->text, '%').'%'],
        );
    }
}
