<?php

declare(strict_types=1);

namespace App\Front;

use RuntimeException;

/**
 * Stands before PHP's own server, which reads the whole of a message into its memory before anybody can ask who sends it. Here the
 * head is read first: what is too large, or larger than a guest may send, is turned away, and nothing of it is kept. What is let
 * through passes in small pieces.
 */
final class Front
{
    private const MOST_AT_ONCE = 400;

    /** @var array<int, Connection> by the number of their client */
    private array $connections = [];

    /** @var array<int, Connection> by the number of each of their streams */
    private array $of = [];

    public function __construct(private readonly Limits $limits) {}

    /** @throws RuntimeException where nothing can listen at the address */
    public function listen(string $address): never
    {
        $door = @stream_socket_server("tcp://{$address}", $code, $why);
        if ($door === false) {
            throw new RuntimeException("Nothing can listen at {$address}: {$why}");
        }
        stream_set_blocking($door, false);
        while (true) { // until a signal ends it
            $this->turn($door);
        }
    }

    /** @param resource $door */
    private function turn($door): void
    {
        [$read, $write, $except] = [[$door], [], null];
        $this->of = [];
        foreach ($this->connections as $connection) {
            foreach ([...$readable = $connection->readable(), ...$writable = $connection->writable()] as $stream) {
                $this->of[get_resource_id($stream)] = $connection;
            }
            array_push($read, ...$readable);
            array_push($write, ...$writable);
        }
        if (@stream_select($read, $write, $except, 1) === false) {
            return; // a signal
        }
        foreach ($write as $stream) {
            is_resource($stream) && $this->of[get_resource_id($stream)]->write($stream);
        }
        foreach ($read as $stream) {
            if ($stream === $door) {
                $this->admit($door);
            } elseif (is_resource($stream)) {
                $this->of[get_resource_id($stream)]->read($stream);
            }
        }
        foreach ($this->connections as $number => $connection) {
            if ($connection->isOver()) {
                $connection->close();
                unset($this->connections[$number]);
            }
        }
    }

    /** @param resource $door */
    private function admit($door): void
    {
        while (($client = @stream_socket_accept($door, 0, $peer)) !== false) {
            $from = trim((string) preg_replace('/:\d+$/', '', (string) $peer), '[]');
            $connection = new Connection($client, $from, $this->limits);
            count($this->connections) < self::MOST_AT_ONCE || $connection->refuse(Refusal::crowded());
            $this->connections[get_resource_id($client)] = $connection;
        }
    }
}
