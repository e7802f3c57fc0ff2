<?php

namespace Tests\Feature;

use App\Front\Head;
use App\Front\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Browser\Support\Server;

/** Who stands before PHP's own server: nothing large gets to it from somebody who is not signed in. */
class FrontTest extends TestCase
{
    private string $folder;

    private Process $server;

    private Process $front;

    private int $port;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/destino-front-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
        // A server that says what it was sent, and lets those in who have the right cookie.
        file_put_contents("{$this->folder}/index.php", <<<'PHP'
            <?php
            if ($_SERVER['REQUEST_URI'] === '/may-send') {
                http_response_code(($_COOKIE['who'] ?? '') === 'keeper' ? 204 : 401);

                return;
            }
            header('Content-Type: application/json');
            echo json_encode(['method' => $_SERVER['REQUEST_METHOD'], 'bytes' => strlen((string) file_get_contents('php://input')), 'long' => str_repeat('x', (int) ($_GET['long'] ?? 0)),
                'from' => $_SERVER['HTTP_X_DESTINO_FROM'] ?? null, 'key' => $_SERVER['HTTP_X_DESTINO_KEY'] ?? null]);
            PHP);
        [$behind, $this->port] = [Server::freePort(), Server::freePort()];
        $this->server = new Process([PHP_BINARY, '-d', 'memory_limit=1G', '-S', "127.0.0.1:{$behind}", '-t', $this->folder, "{$this->folder}/index.php"], timeout: null);
        $this->server->start();
        $this->front = new Process(
            [PHP_BINARY, dirname(__DIR__, 2).'/bin/front.php', "127.0.0.1:{$this->port}", "127.0.0.1:{$behind}", '8'], env: ['DESTINO_FRONT' => 'the key'], timeout: null,
        );
        $this->front->start();
        foreach ([$behind, $this->port] as $port) {
            for ($try = 0; $try < 200 && ! @fsockopen('127.0.0.1', $port); $try++) {
                usleep(20_000);
            }
        }
    }

    protected function tearDown(): void
    {
        $this->front->stop(1);
        $this->server->stop(1);
        exec('rm -r '.escapeshellarg($this->folder));
    }

    /** Sends bytes as they are, and answers what comes back until the connection ends. */
    private function sent(string $bytes, int $more = 0): string
    {
        $stream = stream_socket_client("tcp://127.0.0.1:{$this->port}", timeout: 5);
        self::assertNotFalse($stream);
        stream_set_timeout($stream, 20);
        fwrite($stream, $bytes);
        for ($part = str_repeat('a', 65_536); $more > 0; $more -= 65_536) {
            if (@fwrite($stream, substr($part, 0, $more)) === false) {
                break; // turned away in the middle
            }
        }

        return (string) stream_get_contents($stream);
    }

    /** @return array<string, mixed> */
    private function post(int $bytes, string $fields = ''): array
    {
        $answer = $this->sent("POST /x HTTP/1.1\r\nHost: a\r\nContent-Type: text/plain\r\nContent-Length: {$bytes}\r\n{$fields}\r\n", $bytes);

        return ['status' => explode(' ', $answer)[1] ?? ''] + (array) json_decode(explode(Head::END, $answer, 2)[1] ?? '', true) + ['said' => $answer];
    }

    private function memory(Process $process): int
    {
        preg_match('/VmHWM:\s+(\d+) kB/', (string) file_get_contents("/proc/{$process->getPid()}/status"), $found);

        return (int) ($found[1] ?? 0);
    }

    public function test_what_is_small_passes_with_whom_it_comes_from(): void
    {
        $answer = $this->post(900_000, "X-Destino-From: 10.9.8.7\r\nX-Destino-Key: guessed\r\n");
        self::assertSame(['200', 900_000, '127.0.0.1', 'the key'], [$answer['status'], $answer['bytes'], $answer['from'], $answer['key']]);
        $long = $this->sent("GET /x?long=3000000 HTTP/1.1\r\nHost: a\r\n\r\n");
        self::assertGreaterThan(3_000_000, strlen($long));
        self::assertStringEndsWith('}', $long);
    }

    public function test_a_guest_sends_nothing_large_and_the_server_never_holds_it(): void
    {
        $before = $this->memory($this->server);
        $refused = $this->sent("POST /x HTTP/1.1\r\nHost: a\r\nContent-Length: 700000000\r\n\r\n", 40_000_000);
        self::assertMatchesRegularExpression('~^HTTP/1.1 413 |^$~', $refused); // or the line is cut while it still sends
        $answer = $this->post(1_500_000, "Cookie: who=somebody\r\n");
        self::assertTrue($answer['status'] === '413' || $answer['said'] === '', $answer['said']);
        $asked = $this->sent("POST /x HTTP/1.1\r\nHost: a\r\nExpect: 100-continue\r\nContent-Length: 5000000\r\n\r\n");
        self::assertStringContainsString('Sign in before you send more than 1 MB.', $asked);
        self::assertLessThan(8_000, $this->memory($this->server) - $before, 'kB');
        self::assertLessThan(60_000, $this->memory($this->front), 'kB');
        self::assertSame('200', $this->post(10)['status'], 'it goes on');
    }

    public function test_whoever_is_signed_in_may_send_as_much_as_is_promised(): void
    {
        $answer = $this->post(5_000_000, "Cookie: who=keeper\r\n");
        self::assertSame(['200', 5_000_000], [$answer['status'], $answer['bytes'] ?? $answer['said']]);
        $asked = $this->sent("POST /x HTTP/1.1\r\nHost: a\r\nCookie: who=keeper\r\nExpect: 100-continue\r\nContent-Length: 2000000\r\n\r\n", 2_000_000);
        self::assertStringStartsWith("HTTP/1.1 100 Continue\r\n\r\nHTTP/1.1 200", $asked);
        self::assertStringContainsString('8 MB', $this->sent("POST /x HTTP/1.1\r\nHost: a\r\nCookie: who=keeper\r\nContent-Length: 9000000\r\n\r\n"));
    }

    /** @return array<string, array{string, string}> a request, and the status that it gets */
    public static function odd(): array
    {
        return [
            'no request' => ["what is this\r\n\r\n", '400'], 'two lengths' => ["POST / HTTP/1.1\r\nContent-Length: 1\r\nContent-Length: 2\r\n\r\n", '400'],
            'a length that is none' => ["POST / HTTP/1.1\r\nContent-Length: -1\r\n\r\n", '400'], 'a length with a sign' => ["POST / HTTP/1.1\r\nContent-Length: +1\r\n\r\n", '400'],
            'in pieces of no length' => ["POST / HTTP/1.1\r\nTransfer-Encoding: chunked\r\n\r\n", '411'],
            'a field in two lines' => ["GET / HTTP/1.1\r\nHost: a\r\n b: c\r\n\r\n", '400'], 'a bare end of line' => ["GET / HTTP/1.1\r\nHost: a\nX: b\r\n\r\n", '400'],
            'a head without end' => ['GET / HTTP/1.1'.str_repeat("\r\nX: ".str_repeat('a', 1000), 40), '431'],
            'another address' => ["GET http://other/ HTTP/1.1\r\n\r\n", '400'], 'equal lengths' => ["POST /x HTTP/1.1\r\nHost: a\r\nContent-Length: 0\r\nContent-Length: 0\r\n\r\n", '200'],
        ];
    }

    #[DataProvider('odd')]
    public function test_what_cannot_be_read_for_sure_is_not_handed_on(string $request, string $status): void
    {
        self::assertStringStartsWith("HTTP/1.1 {$status} ", str_replace('HTTP/1.0', 'HTTP/1.1', $this->sent($request)));
    }

    public function test_many_at_once_are_all_answered_and_a_slow_one_holds_nobody_up(): void
    {
        $slow = stream_socket_client("tcp://127.0.0.1:{$this->port}");
        self::assertNotFalse($slow);
        fwrite($slow, "POST /x HTTP/1.1\r\nHost: a\r\nContent-Length: 3\r\n\r\na");
        $streams = [];
        for ($i = 0; $i < 60; $i++) {
            $streams[$i] = stream_socket_client("tcp://127.0.0.1:{$this->port}");
            self::assertNotFalse($streams[$i]);
            fwrite($streams[$i], "POST /x HTTP/1.1\r\nHost: a\r\nContent-Length: 100000\r\n\r\n".str_repeat('a', 50_000));
        }
        foreach ($streams as $stream) {
            fwrite($stream, str_repeat('b', 50_000));
            self::assertStringContainsString('"bytes":100000', (string) stream_get_contents($stream));
        }
        fwrite($slow, 'bc');
        self::assertStringContainsString('"bytes":3', (string) stream_get_contents($slow));
    }

    public function test_without_a_server_behind_it_says_so(): void
    {
        $this->server->stop(1);
        self::assertStringStartsWith('HTTP/1.1 502 ', $this->sent("GET / HTTP/1.1\r\nHost: a\r\n\r\n"));
        self::assertStringContainsString('411', Refusal::withoutLength()->answer());
    }
}
