<?php

namespace Tests\Support;

use Illuminate\Testing\TestResponse;

/** A page as a browser reads it: a break of line in its text is a space. */
final class ReadResponse extends TestResponse
{
    public function getContent(): string|false
    {
        $content = $this->baseResponse->getContent();
        $isPage = str_contains((string) $this->baseResponse->headers->get('Content-Type'), 'text/html');

        return $isPage && is_string($content) ? self::inOneLine($content) : $content;
    }

    public static function inOneLine(string $page): string
    {
        return (string) preg_replace('~[ \t]*\n\s*~', ' ', $page);
    }
}
