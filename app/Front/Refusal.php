<?php

declare(strict_types=1);

namespace App\Front;

use RuntimeException;

/** A request that is not handed on. */
final class Refusal extends RuntimeException
{
    private function __construct(private readonly string $status, string $says)
    {
        parent::__construct($says);
    }

    public static function unreadable(): self
    {
        return new self('400 Bad Request', 'This request cannot be read.');
    }

    public static function withoutLength(): self
    {
        return new self('411 Length Required', 'Say how long the message is.');
    }

    public static function tooLongHead(): self
    {
        return new self('431 Request Header Fields Too Large', 'The head of this request is too long.');
    }

    public static function tooLarge(int $megabytes): self
    {
        return new self('413 Content Too Large', "A message can hold up to {$megabytes} MB. Nothing was saved.");
    }

    public static function ofGuest(int $megabytes): self
    {
        return new self('413 Content Too Large', "Sign in before you send more than {$megabytes} MB. Nothing was saved.");
    }

    public static function late(): self
    {
        return new self('408 Request Timeout', 'The request did not arrive in time.');
    }

    public static function crowded(): self
    {
        return new self('503 Service Unavailable', 'Too many requests at once. Try again.');
    }

    public static function nobodyThere(): self
    {
        return new self('502 Bad Gateway', 'The server does not answer. Try again.');
    }

    public function answer(): string
    {
        $says = $this->getMessage()."\n";

        return implode("\r\n", [
            "HTTP/1.1 {$this->status}", 'Content-Type: text/plain; charset=utf-8', 'Content-Length: '.strlen($says),
            'X-Content-Type-Options: nosniff', 'Connection: close',
        ]).Head::END.$says;
    }
}
