<?php

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Browser\Support\Server;
use Tests\Support\DemoDatabase;

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
        foreach (['', '-wal', '-shm', '-gate', '-writers'] as $suffix) {
            if (is_file($this->database.$suffix)) {
                unlink($this->database.$suffix);
            }
        }
    }

    public function test_the_demo_starts_keeps_its_data_and_can_be_reset(): void
    {
        $this->while(['demo'], function (string $address): void {
            $this->assertStringContainsString('28 of 29 animals.', $this->page("{$address}/animals"));
            $this->assertStringContainsString('Demo collection', $this->page("{$address}/pair"));
        });
        $this->change('update animals set deleted_at = current_timestamp where name = "Yawl"');
        $this->while(
            ['demo'],
            fn (string $address) => $this->assertStringContainsString('27 of 28 animals.', $this->page("{$address}/animals")),
        );
        $this->while(
            ['demo', '--fresh'],
            fn (string $address) => $this->assertStringContainsString('28 of 29 animals.', $this->page("{$address}/animals")),
        );
    }

    public function test_serve_asks_for_an_owner_first(): void
    {
        $this->while(['serve'], function (string $address): void {
            $page = $this->page("{$address}/animals");
            $this->assertStringContainsString('Create your account', $page);
            $this->assertStringNotContainsString('Demo collection', $page);
        });
    }

    public function test_with_the_server_ends_whatever_was_started_beside_it(): void
    {
        $this->while(['serve'], function (string $address, int $script): void {
            $this->workers($script, 'queue:work', 2);
            $beside = self::below($script);
            $servers = array_values(array_filter(
                self::childrenOf($script), fn (int $one): bool => str_contains((string) file_get_contents("/proc/{$one}/cmdline"), "-S\0"),
            ));
            $this->assertCount(1, $servers);
            posix_kill($servers[0], SIGKILL);
            for ($try = 0; $try < 100 && array_filter($beside, self::isThere(...)) !== []; $try++) {
                usleep(100_000);
            }
            $this->assertSame([], array_values(array_filter($beside, self::isThere(...))));
        });
    }

    public function test_an_address_that_cannot_be_had_is_said_and_nothing_is_left_running(): void
    {
        foreach ([['DESTINO_PORT', 'x1'], ['DESTINO_PORT', '0'], ['DESTINO_PORT', '70000'], ['DESTINO_HOST', '203.0.113.7'], ['DESTINO_HOST', 'no such host']] as [$name, $value]) {
            $script = proc_open(
                ['bin/destino', 'serve'], [['file', '/dev/null', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes, dirname(__DIR__, 2),
                [$name => $value, 'DESTINO_DATABASE' => $this->database] + getenv(),
            );
            $this->assertIsResource($script);
            [$out, $said] = array_map(fn ($pipe): string => (string) stream_get_contents($pipe), array_slice($pipes, 0, 2));
            $this->assertSame(1, proc_close($script), $said);
            $this->assertStringContainsString("“{$value}”", $said);
            $this->assertStringNotContainsString('Destino is at', $out);
        }
    }

    public function test_a_server_that_cannot_be_had_is_said_before_anything_runs(): void
    {
        $refusals = [
            'both files must be readable' => ['DESTINO_CERT' => '/none', 'DESTINO_KEY' => '/none'], 'DB_HOST and REDIS_HOST' => [],
        ];
        foreach ($refusals as $said => $env) {
            $server = new Process(
                [dirname(__DIR__, 2).'/bin/destino', 'server', ...($env === [] ? ['--only=web'] : [])], env: $env, timeout: 120,
            );
            $this->assertSame(1, $server->run());
            $this->assertStringContainsString($said, $server->getErrorOutput());
        }
    }

    public function test_a_worker_or_a_clock_that_ends_is_followed_by_another(): void
    {
        $this->while(['serve'], function (string $address, int $script): void {
            foreach (['queue:work' => 2, 'schedule:work' => 1] as $what => $count) {
                $first = $this->workers($script, $what, $count);
                foreach ($first as $worker) {
                    posix_kill($worker, SIGKILL);
                }
                $this->assertSame([], array_intersect($this->workers($script, $what, $count, $first), $first), $what);
            }
        });
    }

    /**
     * @param list<int> $without that are on their way out
     * @return list<int> those below the script that do this, once there are as many
     */
    private function workers(int $script, string $what, int $count, array $without = []): array
    {
        $found = [];
        for ($try = 0; $try < 100 && count($found) !== $count; $try++) {
            usleep(100_000);
            $found = array_values(array_filter(
                array_diff(self::below($script), $without),
                fn (int $one): bool => self::isThere($one) && str_contains((string) @file_get_contents("/proc/{$one}/cmdline"), "{$what}\0"),
            ));
        }
        $this->assertCount($count, $found);

        return $found;
    }

    private static function isThere(int $process): bool
    {
        return preg_match('/^State:\s+[^Z]/m', (string) @file_get_contents("/proc/{$process}/status")) === 1;
    }

    /** @return list<int> */
    private static function childrenOf(int $process): array
    {
        $children = trim((string) @file_get_contents("/proc/{$process}/task/{$process}/children"));

        return $children === '' ? [] : array_map(intval(...), explode(' ', $children));
    }

    /** @return list<int> everything that a process has started */
    private static function below(int $process): array
    {
        $all = [];
        foreach (self::childrenOf($process) as $child) {
            array_push($all, $child, ...self::below($child));
        }

        return $all;
    }

    public function test_the_scale_sends_a_round_to_the_running_demo(): void
    {
        DemoDatabase::copyTo($this->database);
        $this->while(['demo'], function (string $address): void {
            [$code, $said] = $this->ask(['scale', "--address={$address}", '--json']);
            $this->assertSame(0, $code, $said);
            $results = array_count_values(array_column(json_decode($said, true)['results'], 'result'));
            $this->assertSame(29, $results['kept']);
            $this->assertGreaterThan(
                0, min($results['kept already'], $results['no such animal or tub'], $results['out of range: 1 to 8000 g']),
            );
        });
    }

    public function test_styles_and_scripts_are_kept_by_browsers_and_sent_small(): void
    {
        DemoDatabase::copyTo($this->database);
        $this->while(['demo'], function (string $address): void {
            preg_match('~/build/[0-9a-f]+/css/destino.css~', $this->page("{$address}/pair"), $found);
            [$headers, $body] = $this->asked($address.$found[0], ['Accept-Encoding: gzip']);
            $this->assertSame(
                ['200', 'gzip', 'nosniff'], [$headers['status'], $headers['content-encoding'], $headers['x-content-type-options']],
            );
            $this->assertStringContainsString('max-age=31536000', $headers['cache-control']);
            $this->assertSame(file_get_contents(dirname(__DIR__, 2).'/public/css/destino.css'), gzdecode($body));
            $this->assertSame('304', $this->asked($address.$found[0], ["If-None-Match: {$headers['etag']}"])[0]['status']);
            $this->assertSame('gzip', $this->asked("{$address}/pair", ['Accept-Encoding: gzip'])[0]['content-encoding']);
            foreach (['/build/00000000/css/..%2f..%2findex.php', '/.env', '/build/00000000/css/none.css', '/vendor/../../composer.json'] as $no) {
                $this->assertSame('404', $this->asked($address.$no, [])[0]['status'], $no);
            }
        });
    }

    /**
     * @param list<string> $headers
     * @return array{array<string, string>, string} headers of the answer by their name, with its status; and its body
     */
    private function asked(string $address, array $headers): array
    {
        $context = stream_context_create(
            ['http' => ['header' => implode("\r\n", $headers), 'ignore_errors' => true, 'follow_location' => 0]],
        );
        $body = (string) file_get_contents($address, false, $context);
        $answer = ['status' => explode(' ', $http_response_header[0])[1]];
        foreach (array_slice($http_response_header, 1) as $line) {
            [$name, $value] = [...explode(': ', $line, 2), ''];
            $answer[strtolower($name)] = $value;
        }

        return [$answer, $body];
    }

    public function test_a_probe_sends_a_day_to_the_running_demo_once(): void
    {
        DemoDatabase::copyTo($this->database);
        $this->while(['demo'], function (string $address): void {
            $day = ['probe', "--address={$address}", '--place=Loft', '--every=15', '--fault=dropouts', '--json'];
            [$code, $said] = $this->ask($day);
            $this->assertSame(0, $code, $said);
            $sent = json_decode($said, true);
            $this->assertSame([$sent['sent'], 156], [$sent['results']['kept'], $sent['sent']]);
            $this->assertStringContainsString('“Loft”', $this->page("{$address}/incubators"));
            [$code, $said] = $this->ask([...$day, '--fault=earthquake']);
            $this->assertSame(2, $code, $said);
        });
    }

    public function test_a_backup_is_made_and_put_back(): void
    {
        DemoDatabase::copyTo($this->database);
        [$code, $said] = $this->ask(['backup', '--json']);
        $made = json_decode($said, true);
        $this->assertSame([0, true], [$code, is_file($made['path'] ?? '')], $said);
        $this->change('update animals set name = "Lost" where name = "Yawl"');
        [$code, $said] = $this->ask(['restore', $made['made'], '--json']);
        $this->assertSame(0, $code, $said);
        $this->while(['demo'], fn (string $address) => $this->assertStringContainsString('Yawl', $this->page("{$address}/animals")));
        exec('rm -r '.escapeshellarg(dirname($made['path'])));
    }

    public function test_whoever_starts_while_another_sets_up_waits(): void
    {
        $root = dirname(__DIR__, 2);
        $lock = fopen("{$root}/storage/framework/.starting", 'c');
        $this->assertTrue($lock !== false && flock($lock, LOCK_EX));
        $others = array_map(function (string $command) use ($root): Process {
            $process = new Process(['bash', "{$root}/bin/destino", $command], $root, timeout: 60);
            $process->start();

            return $process;
        }, ['setup', 'setup']);
        foreach ($others as $other) {
            for ($try = 0; $try < 100 && ! str_contains($other->getErrorOutput(), 'waits for it'); $try++) {
                usleep(50_000);
            }
            $this->assertStringContainsString('another start is setting up; this one waits for it', $other->getErrorOutput());
            $this->assertTrue($other->isRunning());
        }
        flock($lock, LOCK_UN);
        foreach ($others as $other) {
            $this->assertSame(0, $other->wait(), $other->getErrorOutput());
        }
    }

    public function test_what_belongs_to_a_collection_is_found_in_git(): void
    {
        $folder = sys_get_temp_dir().'/destino-git-'.bin2hex(random_bytes(6));
        mkdir("{$folder}/database/backups", 0700, true);
        $check = fn (): Process => new Process([PHP_BINARY, dirname(__DIR__, 2).'/bin/check-files.php'], $folder);
        (new Process(['git', 'init', '-q'], $folder))->mustRun();
        file_put_contents("{$folder}/notes.md", 'about a list.sqlite');
        (new Process(['git', 'add', '-A'], $folder))->mustRun();
        $this->assertSame(0, $check()->run());
        $files = [
            'database/backups/one.part-wal' => 'x', 'list.sqlite' => '', 'hidden.txt' => "SQLite format 3\0 and more", 'dump.bin' => 'PGDMP...',
            'anchor.JPG' => 'x', 'snake.png' => "\xFF\xD8\xFF\xE0 a photograph", '.env' => 'APP_KEY=x',
        ];
        foreach ($files as $file => $content) {
            file_put_contents("{$folder}/{$file}", $content);
        }
        (new Process(['git', 'add', '-f', '-A'], $folder))->mustRun();
        $said = $check();
        $this->assertSame(1, $said->run());
        $found = array_filter(explode("\n", $said->getOutput()));
        sort($found);
        $expected = array_keys($files);
        sort($expected);
        $this->assertSame($expected, array_values($found));
        exec('rm -rf '.escapeshellarg($folder));
    }

    public function test_bytes_that_are_no_text_are_told_with_their_argument(): void
    {
        foreach ([['predict', "--sire=Past\xFFel", '--dam=Normal'], ['predict', '--sire=Pastel', '--dam=Normal', "--target=\xC3("], ['genes', "--find=\xFF"]] as $given) {
            [$code, $said] = $this->ask([...$given, '--json']);
            $error = json_decode($said, true)['error'] ?? [];
            $name = ['predict' => isset($given[3]) ? 'target' : 'sire', 'genes' => 'find'][$given[0]];
            $this->assertSame([2, "--{$name} holds bytes that are not text (UTF-8).", $name], [$code, $error['message'] ?? $said, $error['field'] ?? '']);
        }
    }

    public function test_the_files_of_a_collection_are_its_owners(): void
    {
        $this->while(['serve'], function (string $address): void {
            $this->page("{$address}/animals");
            foreach (['', '-wal', '-gate'] as $suffix) {
                if (is_file($this->database.$suffix)) {
                    $this->assertSame('600', decoct(fileperms($this->database.$suffix) & 0777), "database{$suffix}");
                }
            }
        });
        chmod($this->database, 0644);
        [, $said] = $this->ask(['backup', '--json']);
        $path = json_decode($said, true)['path'];
        $this->assertSame(['600', '600', '700'], [
            decoct(fileperms($this->database) & 0777), decoct(fileperms($path) & 0777), decoct(fileperms(dirname($path)) & 0777),
        ]);
        $this->assertSame('600', decoct(fileperms(dirname(__DIR__, 2).'/.env') & 0777));
        exec('rm -r '.escapeshellarg(dirname($path)));
    }

    public function test_it_explains_itself_and_passes_commands_on(): void
    {
        [$code, $said] = $this->ask(['help']);
        $this->assertSame(0, $code);
        foreach (['demo', 'serve', 'test', 'check', 'bench', 'shots', 'predict', 'scale', 'backup', 'restore', 'import'] as $word) {
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
            $check($found[1], proc_get_status($process)['pid']);
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
        $env = [
            'PATH' => (string) getenv('PATH'), 'HOME' => (string) getenv('HOME'), 'DESTINO_DATABASE' => $this->database,
            'DESTINO_PORT' => (string) Server::freePort(), 'DESTINO_PLAN_EFFORT' => '0.01',
        ];
        $process = proc_open(
            [dirname(__DIR__, 2).'/bin/destino', ...$arguments],
            [['file', '/dev/null', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']], $pipes, null, $env,
        );
        $this->assertIsResource($process);

        return $process;
    }

    private function page(string $address): string
    {
        return \Tests\Support\ReadResponse::inOneLine((string) file_get_contents($address));
    }

    private function change(string $sql): int
    {
        return (int) (new \PDO("sqlite:{$this->database}"))->exec($sql);
    }
}
