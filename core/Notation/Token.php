<?php

declare(strict_types=1);

namespace Destino\Notation;

final readonly class Token
{
    /**
     * @param string $text as typed
     * @param string $word in lower case, apostrophes made alike
     * @param int $from position of the first character, from 1
     * @param int $to position of the last character, from 1
     */
    public function __construct(
        public TokenType $type,
        public string $text,
        public string $word,
        public int $from,
        public int $to,
    ) {}

    public function is(TokenType $type): bool
    {
        return $this->type === $type;
    }

    public function isWord(string ...$words): bool
    {
        return $this->type === TokenType::Word && in_array($this->word, $words, true);
    }
}
