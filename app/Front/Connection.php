<?php

declare(strict_types=1);

namespace App\Front;

/**
 * One client, from the first byte to the last: its head is read, where it wants to send much the server is asked whether it may,
 * and then bytes go both ways, as many as fit in between.
 */
final class Connection
{
    private const HEAD_BYTES = 32_768;

    /** Bytes on their way in one direction. */
    private const BUFFER = 262_144;

    private const READ = 65_536;

    /** Seconds for the head, and without a byte in either direction. */
    private const HEAD_SECONDS = 15;

    private const SILENT_SECONDS = 300;

    private string $toServer = '';

    private string $toClient = '';

    private string $head = '';

    private ?Head $request = null;

    private int $left = 0;

    private bool $isAsking = false;

    private bool $isEnding = false;

    private float $since;

    /** @var resource|null */
    private $server = null;

    /**
     * @param resource $client
     * @param string $from address of the client
     */
    public function __construct(private $client, private readonly string $from, private readonly Limits $limits)
    {
        $this->since = microtime(true);
        stream_set_blocking($client, false);
    }

    /** @return list<resource> that may be read now */
    public function readable(): array
    {
        $streams = [];
        $mayRead = $this->request === null || ($this->left > 0 && ! $this->isAsking && strlen($this->toServer) < self::BUFFER);
        if ($mayRead && ! $this->isEnding) {
            $streams[] = $this->client;
        }
        if ($this->server !== null && strlen($this->toClient) < self::BUFFER) {
            $streams[] = $this->server;
        }

        return $streams;
    }

    /** @return list<resource> for which something waits */
    public function writable(): array
    {
        return [
            ...($this->toClient !== '' && ! $this->isAsking ? [$this->client] : []),
            ...($this->server !== null && $this->toServer !== '' ? [$this->server] : []),
        ];
    }

    /** @param resource $stream */
    public function read($stream): void
    {
        $bytes = (string) @fread($stream, self::READ);
        $isOver = $bytes === '' && feof($stream);
        $this->since = $bytes === '' ? $this->since : microtime(true);
        if ($stream === $this->client) {
            $isOver ? $this->drop() : $this->take($bytes);
        } elseif ($isOver) {
            $this->serverEnds();
        } else {
            $this->toClient .= $bytes;
        }
    }

    /** @param resource $stream */
    public function write($stream): void
    {
        $isClient = $stream === $this->client;
        $written = @fwrite($stream, $isClient ? $this->toClient : $this->toServer, self::READ);
        if ($written === false || ($written === 0 && feof($stream))) {
            $isClient ? $this->drop() : $this->refuse(Refusal::nobodyThere());

            return;
        }
        $this->since = $written === 0 ? $this->since : microtime(true);
        $isClient ? $this->toClient = substr($this->toClient, $written) : $this->toServer = substr($this->toServer, $written);
    }

    /** Whether it is over, and everything was handed on. */
    public function isOver(): bool
    {
        $late = microtime(true) - $this->since;
        if ($this->request === null && ! $this->isEnding && $late > self::HEAD_SECONDS) {
            $this->refuse(Refusal::late());
        }

        return $late > self::SILENT_SECONDS || ($this->isEnding && $this->toClient === '');
    }

    public function close(): void
    {
        $this->leaveServer();
        @fclose($this->client);
    }

    public function refuse(Refusal $refusal): void
    {
        $this->leaveServer();
        $this->isAsking = false;
        $this->isEnding = true;
        $this->toClient .= $this->toClient === '' ? $refusal->answer() : ''; // an answer that has begun is not mixed with another
    }

    private function take(string $bytes): void
    {
        if ($this->request !== null) {
            $this->toServer .= substr($bytes, 0, $this->left);
            $this->left -= min($this->left, strlen($bytes));

            return;
        }
        $this->head .= $bytes;
        $end = strpos($this->head, Head::END);
        try {
            if ($end !== false) {
                $this->begin(substr($this->head, 0, $end), substr($this->head, $end + strlen(Head::END)));
            } elseif (strlen($this->head) > self::HEAD_BYTES) {
                throw Refusal::tooLongHead();
            }
        } catch (Refusal $refusal) {
            $this->refuse($refusal);
        }
    }

    /** @throws Refusal */
    private function begin(string $head, string $rest): void
    {
        $this->request = Head::read($head);
        $this->head = substr($rest, 0, $this->request->bytes);
        $this->left = $this->request->bytes - strlen($this->head);
        if ($this->request->bytes > $this->limits->most) {
            throw Refusal::tooLarge(intdiv($this->limits->most, 1_048_576));
        }
        $this->isAsking = $this->request->bytes > $this->limits->ofGuests;
        $this->toServer = $this->isAsking ? $this->request->question($this->from, $this->limits->key) : $this->whole();
        $this->server = $this->limits->connect() ?? throw Refusal::nobodyThere();
        ! $this->isAsking && $this->sayGoOn();
    }

    private function whole(): string
    {
        return ($this->request?->handedOn($this->from, $this->limits->key) ?? '').$this->head;
    }

    private function sayGoOn(): void
    {
        if ($this->request?->expectsToBeAsked() && $this->left > 0) {
            $this->toClient .= 'HTTP/1.1 100 Continue'.Head::END;
        }
    }

    private function serverEnds(): void
    {
        $this->leaveServer();
        if (! $this->isAsking) {
            $this->isEnding = true;

            return;
        }
        $this->isAsking = false;
        $isAllowed = preg_match('~^HTTP/1\.[01] 204 ~', $this->toClient) === 1;
        $this->toClient = '';
        try {
            if (! $isAllowed) {
                throw Refusal::ofGuest(intdiv($this->limits->ofGuests, 1_000_000));
            }
            $this->toServer = $this->whole();
            $this->server = $this->limits->connect() ?? throw Refusal::nobodyThere();
            $this->sayGoOn();
        } catch (Refusal $refusal) {
            $this->refuse($refusal);
        }
    }

    private function drop(): void
    {
        $this->leaveServer();
        $this->isEnding = true;
        $this->toClient = '';
    }

    private function leaveServer(): void
    {
        if ($this->server !== null) {
            @fclose($this->server);
            $this->server = null;
            $this->toServer = '';
        }
    }
}
