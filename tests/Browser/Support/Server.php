<?php

namespace Tests\Browser\Support;

use RuntimeException;
use Tests\Support\DemoDatabase;

/** The application on a free port of this machine, with a database of its own in a temporary file. */
class Server
{
    /**
     * @param resource $process
     * @param array<string, string> $env
     */
    private function __construct(public readonly string $address, private readonly string $database, private $process, private readonly array $env) {}

    /**
     * @param bool $empty a demo without its animals: whoever asks is signed in as the owner that is put there
     * @param bool $works whether long work is done at once; otherwise it waits for a worker that is not there, and pages show
     *     the first answer
     * @param float $plans share of the usual work that goes into the plans of the demo before it starts; 0 makes none
     */
    public static function start(bool $demo, bool $empty = false, ?string $database = null, bool $works = false, float $plans = 0): self
    {
        $root = dirname(__DIR__, 3);
        $isOnServer = $database === null && getenv('DESTINO_TEST_DATABASE') === 'pgsql';
        $database ??= $isOnServer ? self::madeOnServer() : (string) tempnam(sys_get_temp_dir(), 'destino-');
        $port = self::freePort();
        $env = [
            'APP_URL' => "http://127.0.0.1:{$port}", 'QUEUE_CONNECTION' => $works ? 'sync' : 'database',
            'DESTINO_COLLECTION' => $demo ? 'demo' : 'own',
        ] + self::env($database, $isOnServer);
        if ($demo && ! $empty && ! $isOnServer) {
            DemoDatabase::copyTo($database, $plans);
        } elseif ($demo && ! $empty) {
            self::fill($env, $plans);
        } else {
            self::artisan($root, $env, 'migrate', '--force', '--quiet');
        }
        $null = ['file', '/dev/null', 'r'];
        // php -S itself rather than artisan serve, so that one signal ends it.
        $process = proc_open(
            [
                ...self::php(), '-S', "127.0.0.1:{$port}", '-t', "{$root}/public", "{$root}/bin/router.php",
            ],
            [$null, ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']], $pipes, "{$root}/public", $env,
        );
        if ($process === false) {
            throw new RuntimeException('The application could not be started.');
        }
        for ($try = 0; $try < 100; $try++) {
            $socket = @fsockopen('127.0.0.1', $port);
            if ($socket !== false) {
                fclose($socket);

                return new self("http://127.0.0.1:{$port}", $database, $process, $env);
            }
            usleep(50_000);
        }
        throw new RuntimeException('The application did not answer in time.');
    }

    /** Makes the demo in a file that is not there yet. */
    public static function seed(string $database, float $plans): void
    {
        touch($database);
        self::fill(['DESTINO_COLLECTION' => 'demo', 'QUEUE_CONNECTION' => 'database'] + self::env($database, false), $plans);
    }

    /** @param array<string, string> $env */
    private static function fill(array $env, float $plans): void
    {
        $root = dirname(__DIR__, 3);
        self::artisan($root, $env, 'migrate', '--force', '--quiet');
        self::artisan($root, $env, 'db:seed', '--class=DemoSeeder', '--force', '--quiet');
        if ($plans > 0) {
            self::artisan(
                $root, ['DESTINO_PLAN_EFFORT' => (string) $plans, 'QUEUE_CONNECTION' => 'sync'] + $env, 'destino:replan', '--quiet',
            );
        }
    }

    /** @return array<string, string> */
    private static function env(string $database, bool $isOnServer): array
    {
        return [
            'PATH' => (string) getenv('PATH'), 'HOME' => (string) getenv('HOME'),
            'APP_ENV' => 'local', 'APP_DEBUG' => 'false', 'APP_KEY' => 'base64:AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA=',
            'DB_DATABASE' => $database,
            'DB_CONNECTION' => $isOnServer ? 'pgsql' : 'sqlite', 'DB_HOST' => (string) getenv('DESTINO_TEST_HOST'),
            'SESSION_DRIVER' => 'file', 'CACHE_STORE' => 'file', 'LOG_CHANNEL' => 'single', 'SESSION_COOKIE' => 'destino_browser',
            'DESTINO_PLAN_EFFORT' => '0.01',
        ];
    }

    /** @return list<string> PHP as bin/destino runs it */
    private static function php(): array
    {
        $code = dirname(__DIR__, 3).'/storage/framework/code';
        is_dir($code) || @mkdir($code, 0775, true);

        return [
            PHP_BINARY, '-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=disable', '-d', 'opcache.jit_buffer_size=0',
            ...(is_writable($code) ? ['-d', "opcache.file_cache={$code}"] : []),
        ];
    }

    /** Runs a command beside it, on the same collection. */
    public function run(string ...$arguments): void
    {
        self::artisan(dirname(__DIR__, 3), $this->env, ...$arguments);
    }

    /** Of the process, for those who would kill it. */
    public function pid(): int
    {
        return proc_get_status($this->process)['pid'];
    }

    /** @param bool $keep whether the database stays */
    public function stop(bool $keep = false): void
    {
        proc_terminate($this->process);
        proc_close($this->process);
        if ($keep) {
            return;
        }
        if (! str_contains($this->database, '/')) {
            exec(self::onServer('dropdb', '--force', $this->database));

            return;
        }
        foreach (['', '-wal', '-shm', '-gate', '-writers'] as $suffix) {
            if (is_file($this->database.$suffix)) {
                unlink($this->database.$suffix);
            }
        }
    }

    /** Name of a new database, where the tests run on a database server. */
    private static function madeOnServer(): string
    {
        $name = 'destino_browser_'.bin2hex(random_bytes(6));
        exec(self::onServer('createdb', $name), result_code: $code);

        return $code === 0 ? $name : throw new RuntimeException("The database {$name} could not be made.");
    }

    private static function onServer(string $program, string ...$arguments): string
    {
        return implode(' ', array_map(escapeshellarg(...), [$program, '-h', (string) getenv('DESTINO_TEST_HOST'), '-U', 'destino', ...$arguments]));
    }

    /** A port out of those of this worker, so that two workers never take the same one between asking and listening. */
    public static function freePort(): int
    {
        $from = 20_000 + 3_000 * ((int) getenv('TEST_TOKEN') % 10);
        for ($try = 0; $try < 200; $try++) {
            $port = random_int($from, $from + 2_999);
            $socket = @stream_socket_server("tcp://127.0.0.1:{$port}");
            if ($socket !== false) {
                fclose($socket);

                return $port;
            }
        }
        throw new RuntimeException('No port is free.');
    }

    /** @param  array<string, string>  $env */
    private static function artisan(string $root, array $env, string ...$arguments): void
    {
        $process = proc_open(
            [...self::php(), "{$root}/artisan", ...$arguments], [['file', '/dev/null', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes,
            $root, $env,
        );
        $said = $process === false ? '' : stream_get_contents($pipes[1]).stream_get_contents($pipes[2]);
        if ($process === false || proc_close($process) !== 0) {
            throw new RuntimeException("artisan {$arguments[0]} failed: {$said}");
        }
    }
}
