<?php

declare(strict_types=1);

namespace App\Front;

/** The head of a request (RFC 9112), as far as whoever stands before the server has to read it. */
final readonly class Head
{
    public const END = "\r\n\r\n";

    /** What only the front itself may say. */
    private const OURS = 'x-destino-';

    /**
     * @param list<array{string, string}> $fields name and value, in order
     * @param int $bytes of the body
     */
    private function __construct(private string $line, private array $fields, public int $bytes) {}

    /** @throws Refusal where it cannot be read, or says nothing sure of how long the body is */
    public static function read(string $text): self
    {
        $lines = explode("\r\n", $text);
        $line = (string) array_shift($lines);
        if (preg_match('~^[A-Z]{3,10} /\S* HTTP/1\.[01]$~D', $line) !== 1) {
            throw Refusal::unreadable();
        }
        $fields = $lengths = [];
        foreach ($lines as $field) {
            if (preg_match('/^([!#$%&\'*+.^_`|~0-9A-Za-z-]+):[ \t]*(.*?)[ \t]*$/sD', $field, $found) !== 1
                || preg_match('/[\r\n\0]/', $field) === 1) {
                throw Refusal::unreadable();
            }
            $name = strtolower($found[1]);
            $name === 'content-length' && $lengths[$found[2]] = true;
            if ($name === 'transfer-encoding') {
                throw Refusal::withoutLength();
            }
            $fields[] = [$found[1], $found[2]];
        }
        $length = (string) (array_key_first($lengths) ?? '0');
        if (count($lengths) > 1 || preg_match('/^\d{1,15}$/D', $length) !== 1) {
            throw Refusal::unreadable();
        }

        return new self($line, $fields, (int) $length);
    }

    public function field(string $name): string
    {
        foreach ($this->fields as [$one, $value]) {
            if (strtolower($one) === $name) {
                return $value;
            }
        }

        return '';
    }

    public function expectsToBeAsked(): bool
    {
        return strtolower($this->field('expect')) === '100-continue';
    }

    /** As it is handed on: from whom it comes, and one request a connection. */
    public function handedOn(string $from, string $key): string
    {
        $lines = [$this->line];
        foreach ($this->fields as [$name, $value]) {
            $lower = strtolower($name);
            if (! str_starts_with($lower, self::OURS) && ! in_array($lower, ['connection', 'keep-alive', 'expect', 'upgrade'], true)) {
                $lines[] = "{$name}: {$value}";
            }
        }

        return implode("\r\n", [...$lines, "X-Destino-From: {$from}", "X-Destino-Key: {$key}", 'Connection: close']).self::END;
    }

    /** The question whether whoever sends this may send as much. */
    public function question(string $from, string $key): string
    {
        return implode("\r\n", [
            'GET /may-send HTTP/1.1', "Host: {$this->field('host')}", "Cookie: {$this->field('cookie')}", 'Accept: application/json',
            "X-Destino-From: {$from}", "X-Destino-Key: {$key}", 'Connection: close',
        ]).self::END;
    }
}
