<?php

declare(strict_types=1);

namespace App\Front;

/** What the front lets through, and to where. */
final readonly class Limits
{
    private const SECONDS = 5.0;

    /**
     * @param string $server address of the server behind it
     * @param string $key that only both of them know
     * @param int $most bytes of a message
     * @param int $ofGuests bytes of a message of somebody who is not signed in
     */
    public function __construct(public string $server, public string $key, public int $most, public int $ofGuests = 1_000_000) {}

    /** @return resource|null a new connection to the server */
    public function connect()
    {
        $stream = @stream_socket_client("tcp://{$this->server}", $code, $why, self::SECONDS);
        if ($stream === false) {
            return null;
        }
        stream_set_blocking($stream, false);

        return $stream;
    }
}
