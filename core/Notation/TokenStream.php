<?php

declare(strict_types=1);

namespace Destino\Notation;

/** Walks along the tokens of one text. */
final class TokenStream
{
    private int $at = 0;

    /** @var list<Token> */
    private array $tokens;

    public function __construct(private readonly string $text)
    {
        $this->tokens = Lexer::tokens($text);
    }

    public function current(): Token
    {
        return $this->tokens[$this->at];
    }

    public function peek(int $ahead = 1): Token
    {
        return $this->tokens[min($this->at + $ahead, count($this->tokens) - 1)];
    }

    public function previous(): Token
    {
        return $this->tokens[max(0, $this->at - 1)];
    }

    public function advance(int $steps = 1): void
    {
        $this->at = min($this->at + $steps, count($this->tokens) - 1);
    }

    /** Steps over the current token if it is one of these words. */
    public function take(string ...$words): bool
    {
        $is = $this->current()->isWord(...$words);
        $this->advance($is ? 1 : 0);

        return $is;
    }

    public function takeType(TokenType $type): bool
    {
        $is = $this->current()->is($type);
        $this->advance($is ? 1 : 0);

        return $is;
    }

    public function atEnd(): bool
    {
        return $this->current()->is(TokenType::End);
    }

    /** @return list<Token> from the current one to the end */
    public function rest(): array
    {
        return array_slice($this->tokens, $this->at);
    }

    /** The text as typed, both positions included. */
    public function slice(int $from, int $to): string
    {
        return mb_substr($this->text, $from - 1, $to - $from + 1);
    }

    public function textFrom(int $from): string
    {
        return mb_substr($this->text, $from - 1);
    }

    /** Whether a token of this type stands somewhere ahead. */
    public function hasAhead(TokenType $type): bool
    {
        foreach ($this->rest() as $token) {
            if ($token->is($type)) {
                return true;
            }
        }

        return false;
    }

    public function rewindBehind(Token $token): void
    {
        $this->at = (int) array_search($token, $this->tokens, true) + 1;
    }

    /** Takes the current word for another one of the notation. */
    public function readAs(string $word): void
    {
        $token = $this->current();
        array_splice($this->tokens, $this->at, 1, [new Token($token->type, $token->text, $word, $token->from, $token->to)]);
    }

    /** A keyword, with the full stop of a short form. */
    public function advanceWord(): void
    {
        $word = $this->current();
        $this->advance();
        if ($this->current()->text === '.' && $this->current()->from === $word->to + 1) {
            $this->advance();
        }
    }
}
