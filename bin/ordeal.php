<?php

// Long trials of what is promised (docs/promises.md), with figures: the server killed while it writes; four writers at once;
// random texts to the readers; a backup put back. php bin/ordeal.php [--rounds=20] [--seconds=60] [--texts=50000]
// Exit 0 when every promise held, 1 when one did not.

use App\Catalogue\CatalogueShelf;
use Destino\DestinoError;
use Destino\Genome\Sex;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Browser\Support\Server;

require __DIR__.'/../vendor/autoload.php';

$asked = getopt('', ['rounds::', 'seconds::', 'texts::', 'seed::']);
$rounds = (int) ($asked['rounds'] ?? 20);
$seconds = (int) ($asked['seconds'] ?? 60);
$texts = (int) ($asked['texts'] ?? 50_000);
$chance = new Randomizer(new Mt19937((int) ($asked['seed'] ?? 1)));
$faults = 0;

$tell = function (bool $isRight, string $says) use (&$faults): void {
    $faults += $isRight ? 0 : 1;
    echo $isRight ? '  held   ' : '  BROKEN ', $says, "\n";
};

/** One message of a probe; answers the status, 0 where the server did not answer. */
function send(string $address, string $token, string $id): int
{
    $body = json_encode(['place' => 'ordeal', 'kind' => 'humidity', 'value' => 80, 'at' => '2026-01-01 10:00:00', 'token' => $id]);
    $context = stream_context_create(['http' => [
        'method' => 'POST', 'content' => $body, 'ignore_errors' => true, 'timeout' => 20,
        'header' => "Content-Type: application/json\r\nAccept: application/json\r\nAuthorization: Bearer {$token}\r\n",
    ]]);
    $answer = @file_get_contents("{$address}/api/v1/readings", false, $context);

    return $answer === false ? 0 : (int) (explode(' ', $http_response_header[0])[1] ?? 0);
}

function uuid(Randomizer $chance): string
{
    return vsprintf('%s-%s-4%s-a%s-%s', [
        bin2hex($chance->getBytes(4)), bin2hex($chance->getBytes(2)), substr(bin2hex($chance->getBytes(2)), 1),
        substr(bin2hex($chance->getBytes(2)), 1), bin2hex($chance->getBytes(6)),
    ]);
}

/** @return list<string> tokens of as many people */
function tokens(string $database, int $people): array
{
    $pdo = new PDO("sqlite:{$database}");
    $owner = (int) $pdo->query('select id from users where owner_id is null order by id')->fetchColumn();
    $tokens = [];
    for ($i = 0; $i < $people; $i++) {
        $pdo->prepare('insert into users (name, email, password, owner_id, role, created_at, updated_at) values (?, ?, ?, ?, ?, ?, ?)')
            ->execute(["Writer {$i}", uniqid().'@ordeal.localhost', 'x', $owner, 'helper', '2026-01-01', '2026-01-01']);
        $plain = bin2hex(random_bytes(20));
        $pdo->prepare('insert into personal_access_tokens (tokenable_type, tokenable_id, name, token, abilities, created_at, updated_at) values (?, ?, ?, ?, ?, ?, ?)')
            ->execute(['App\\Models\\User', (int) $pdo->lastInsertId(), 'ordeal', hash('sha256', $plain), '["read","log"]', '2026-01-01', '2026-01-01']);
        $tokens[] = $pdo->lastInsertId()."|{$plain}";
    }

    return $tokens;
}

$database = (string) tempnam(sys_get_temp_dir(), 'ordeal-');

echo "Kills while it writes, {$rounds} rounds\n";
$server = Server::start(demo: true, database: $database);
$people = tokens($database, 4);
$acknowledged = [];
for ($round = 0; $round < $rounds; $round++) {
    $killAt = $chance->getInt(3, 12);
    for ($i = 0; $i < 14; $i++) {
        $id = uuid($chance);
        if ($i === $killAt) { // in the middle of an answer
            $process = proc_open([PHP_BINARY, '-r', 'usleep('.$chance->getInt(0, 30_000).'); posix_kill('.$server->pid().', SIGKILL);'], [], $pipes);
        }
        send($server->address, $people[$round % 4], $id) === 201 && $acknowledged[] = $id;
    }
    isset($process) && is_resource($process) && proc_close($process);
    $server->stop(keep: true);
    $server = Server::start(demo: true, empty: true, database: $database);
}
$there = (new PDO("sqlite:{$database}"))->query('select token from readings where place = \'ordeal\'')->fetchAll(PDO::FETCH_COLUMN);
$lost = count(array_diff($acknowledged, $there));
$tell($lost === 0, count($acknowledged)." acknowledged writes, {$lost} lost");
$tell(count($there) === count(array_unique($there)), 'none twice');
$sound = (string) (new PDO("sqlite:{$database}"))->query('pragma integrity_check')->fetchColumn();
$tell($sound === 'ok', "the database is sound ({$sound})");

echo "Four writers for {$seconds} seconds\n";
$processes = [];
foreach ($people as $i => $token) {
    $code = 'define("WRITER", true); $chance = new Random\Randomizer(new Random\Engine\Mt19937('.(100 + $i).')); $end = microtime(true) + '.$seconds.'; $counts = [];'
        .'while (microtime(true) < $end) { $id = sprintf("%08x-0000-4000-a000-%012x", '.$i.', random_int(0, 2 ** 47)); '
        .'$body = json_encode(["place" => "writers", "kind" => "humidity", "value" => 80, "at" => "2026-01-01 10:00:00", "token" => $id]);'
        .'$c = stream_context_create(["http" => ["method" => "POST", "content" => $body, "ignore_errors" => true, "timeout" => 20, "header" => "Content-Type: application/json\r\nAccept: application/json\r\nAuthorization: Bearer '.$token.'\r\n"]]);'
        .'$a = @file_get_contents("'.$server->address.'/api/v1/readings", false, $c); $s = $a === false ? 0 : (int) explode(" ", $http_response_header[0])[1]; $counts[$s] = ($counts[$s] ?? 0) + 1; $s === 429 && usleep(300000); }'
        .'echo json_encode($counts);';
    $processes[] = [proc_open([PHP_BINARY, '-r', $code], [1 => ['pipe', 'w']], $pipes), $pipes[1]];
}
$statuses = [];
foreach ($processes as [$process, $pipe]) {
    foreach (json_decode((string) stream_get_contents($pipe), true) ?? [] as $status => $count) {
        $statuses[$status] = ($statuses[$status] ?? 0) + $count;
    }
    proc_close($process);
}
$kept = (int) (new PDO("sqlite:{$database}"))->query('select count(*) from readings where place = \'writers\'')->fetchColumn();
$tell($kept === ($statuses[201] ?? 0), "{$kept} kept, ".($statuses[201] ?? 0).' acknowledged');
$tell(array_diff(array_keys($statuses), [201, 429, 503]) === [], 'answers by status: '.json_encode($statuses));

echo "{$texts} random texts to the readers\n";
$shelf = new CatalogueShelf(dirname(__DIR__).'/catalogue');
$words = ['het', 'super', '66%', 'possible', 'or', '/', 'x', 'double', 'no', 'not', ',', '+', 'Pastel', 'Clown', 'Mojave', 'Axanthic', '%', '(', ')', 'dh', "\u{202E}", 'é', '½', "\0", '99999999999'];
$thrown = [];
$start = hrtime(true);
for ($i = 0; $i < $texts; $i++) {
    $text = implode($chance->getInt(0, 5) === 0 ? '' : ' ', array_map(fn (): string => $words[$chance->getInt(0, count($words) - 1)], range(1, $chance->getInt(1, 9))));
    try {
        $shelf->reader()->read($text, Sex::Female);
        $shelf->targets()->readAll($text);
    } catch (DestinoError) {
        continue;
    } catch (Throwable $error) {
        $thrown[$error->getMessage()] = $text;
    }
}
$tell($thrown === [], sprintf('%d faults, %.2f ms a text%s', count($thrown), (hrtime(true) - $start) / 1e6 / max(1, $texts), $thrown === [] ? '' : ': '.json_encode($thrown)));

echo "A backup put back\n";
$env = ['DB_DATABASE' => $database, 'DESTINO_COLLECTION' => 'demo', 'PATH' => (string) getenv('PATH'), 'HOME' => (string) getenv('HOME'), 'DB_CONNECTION' => 'sqlite', 'APP_ENV' => 'local'];
$ask = function (string ...$what) use ($env): array {
    $process = proc_open([PHP_BINARY, dirname(__DIR__).'/artisan', ...$what, '--json'], [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes, dirname(__DIR__), $env);
    $said = (string) stream_get_contents($pipes[1]);

    return [proc_close($process), json_decode($said, true) ?? []];
};
$server->stop(keep: true);
$count = fn (): int => (int) (new PDO("sqlite:{$database}"))->query('select count(*) from animals')->fetchColumn();
$before = $count();
[$code, $made] = $ask('destino:backup');
(new PDO("sqlite:{$database}"))->exec('update animals set name = \'Lost\'');
[$back] = $ask('destino:restore', (string) ($made['made'] ?? ''));
$lostNames = (int) (new PDO("sqlite:{$database}"))->query('select count(*) from animals where name = \'Lost\'')->fetchColumn();
$tell($code === 0 && $back === 0 && $count() === $before && $lostNames === 0, "{$before} animals, {$count()} after it, {$lostNames} with a lost name");
isset($made['path']) && is_file($made['path']) && unlink($made['path']);

foreach (['', '-wal', '-shm'] as $suffix) {
    is_file($database.$suffix) && unlink($database.$suffix);
}
echo $faults === 0 ? "All held.\n" : "{$faults} did not hold.\n";
exit($faults === 0 ? 0 : 1);
