<?php

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Tests\Browser\Support\Server;

/** bin/destino as a keeper runs it: real processes, a database file of its own. */
class EntryScriptTest extends TestCase
{
    private string $database;

    protected function setUp(): void
    {
        $this->database = (string) tempnam(sys_get_temp_dir(), 'destino-');
        unlink($this->database);
    }

    protected function tearDown(): void
    {
        foreach (['', '-wal', '-shm'] as $suffix) {
            if (is_file($this->database.$suffix)) {
                unlink($this->database.$suffix);
            }
        }
    }

    public function test_the_demo_starts_keeps_its_data_and_can_be_reset(): void
    {
        $this->while(['demo'], function (string $address): void {
            $this->assertStringContainsString('24 of 24 animals.', $this->page("{$address}/animals"));
            $this->assertStringContainsString('Demo collection', $this->page("{$address}/pair"));
        });
        $this->change('delete from animals where name = "Yawl"');
        $this->while(['demo'], fn (string $address) => $this->assertStringContainsString('23 of 23 animals.', $this->page("{$address}/animals")));
        $this->while(['demo', '--fresh'], fn (string $address) => $this->assertStringContainsString('24 of 24 animals.', $this->page("{$address}/animals")));
    }

    public function test_serve_starts_with_an_empty_collection(): void
    {
        $this->while(['serve'], function (string $address): void {
            $page = $this->page("{$address}/animals");
            $this->assertStringContainsString('No animals yet.', $page);
            $this->assertStringNotContainsString('Demo collection', $page);
        });
    }

    public function test_it_explains_itself_and_passes_commands_on(): void
    {
        [$code, $said] = $this->ask(['help']);
        $this->assertSame(0, $code);
        foreach (['demo', 'serve', 'test', 'check', 'bench', 'shots', 'predict'] as $word) {
            $this->assertStringContainsString($word, $said);
        }
        [$code, $said] = $this->ask(['predict', '--sire=het Clown', '--dam=het Clown', '--json']);
        $this->assertSame([0, '1/2'], [$code, json_decode($said)->outcomes[0]->probability]);
        [$code, $said] = $this->ask(['predict', '--sire=Pastle', '--dam=Normal', '--json']);
        $this->assertSame([2, 'Pastle'], [$code, json_decode($said)->error->piece]);
    }

    /**
     * @param  list<string>  $arguments
     * @param  callable(string): void  $check  is given the address that was printed
     */
    private function while(array $arguments, callable $check): void
    {
        $process = $this->start($arguments, $pipes);
        try {
            $said = '';
            $until = microtime(true) + 60;
            while (microtime(true) < $until && ! preg_match('~Destino is at (\S+)~', $said)) {
                $said .= (string) fgets($pipes[1]);
            }
            $this->assertSame(1, preg_match('~Destino is at (http://127\.0\.0\.1:\d+)~', $said, $found), $said);
            for ($try = 0; $try < 100 && ($socket = @fsockopen('127.0.0.1', (int) parse_url($found[1], PHP_URL_PORT))) === false; $try++) {
                usleep(50_000);
            }
            $check($found[1]);
        } finally {
            proc_terminate($process);
            proc_close($process);
        }
    }

    /**
     * @param  list<string>  $arguments
     * @return array{int, string} exit code and standard output
     */
    private function ask(array $arguments): array
    {
        $process = $this->start($arguments, $pipes);
        $said = (string) stream_get_contents($pipes[1]);

        return [proc_close($process), $said];
    }

    /**
     * @param  list<string>  $arguments
     * @param  array<int, resource>|null  $pipes
     * @return resource
     */
    private function start(array $arguments, ?array &$pipes)
    {
        $env = ['PATH' => (string) getenv('PATH'), 'HOME' => (string) getenv('HOME'), 'DESTINO_DATABASE' => $this->database, 'DESTINO_PORT' => (string) Server::freePort()];
        $process = proc_open([dirname(__DIR__, 2).'/bin/destino', ...$arguments], [['file', '/dev/null', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']], $pipes, null, $env);
        $this->assertIsResource($process);

        return $process;
    }

    private function page(string $address): string
    {
        return (string) file_get_contents($address);
    }

    private function change(string $sql): int
    {
        return (int) (new \PDO("sqlite:{$this->database}"))->exec($sql);
    }
}
