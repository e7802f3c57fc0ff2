<?php

// Long trials of what is promised (docs/promises.md), with figures: the server killed while it writes; four writers at once;
// random texts to the readers; forms sent, removed and sent again; rounds with animals that are gone; pages while others add animals;
// a list whose worker is killed; a backup put back while others write. php bin/ordeal.php [--rounds=20] [--seconds=60] [--texts=50000]
// Exit 0 when every promise held, 1 when one did not.

use App\Catalogue\CatalogueShelf;
use Destino\DestinoError;
use Destino\Genome\Sex;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Browser\Support\Server;
use Tests\Support\Visitor;

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

$db = fn (): PDO => new PDO("sqlite:{$database}", options: [PDO::ATTR_TIMEOUT => 20]);
$count = fn (string $sql): int => (int) $db()->query($sql)->fetchColumn();
$visitor = new Visitor($server->address);

echo "Sent, removed, sent again, {$rounds} rounds\n";
$female = $count("select id from animals where sex = 'female' and deleted_at is null order by id");
$forms = [
    'care' => ["/animals/{$female}/care", ['kind' => 'weight', 'on' => '2026-01-02', 'grams' => 1234], 'care_entries'],
    'observation' => ["/animals/{$female}/observations", ['condition' => 'wobble', 'grade' => 'none', 'on' => '2026-01-02'], 'observations'],
    'statement' => ["/animals/{$female}/statements", ['text' => 'Pastel', 'source' => 'own', 'certainty' => 90], 'statements'],
    'animal' => ['/animals', ['name' => 'Ordeal', 'sex' => 'male', 'genotype' => 'Pastel'], 'animals'],
    'project' => ['/projects', ['name' => 'Ordeal', 'target' => 'Clown', 'horizon' => 2, 'wanted' => 'one', 'weight' => 1], 'projects'],
];
$statuses = [];
for ($round = 0; $round < $rounds; $round++) {
    $kind = array_keys($forms)[$round % count($forms)];
    [$path, $fields, $table] = $forms[$kind];
    $fields['form_token'] = uuid($chance);
    $send = fn (): int => $visitor->send('post', $path, $fields, true)[0];
    [$first, $second] = [$send(), $send()];
    $made = $count("select id from {$table} where form_token = '{$fields['form_token']}'");
    $removed = $visitor->send('delete', "/records/{$kind}/{$made}")[0];
    $again = $send();
    $back = $visitor->send('post', "/records/{$kind}/{$made}/restore")[0];
    $statuses["{$first} {$second} {$removed} {$again} {$back} {$send()}"] = ($statuses["{$first} {$second} {$removed} {$again} {$back} {$send()}"] ?? 0) + 1;
    $made > 0 && $count("select count(*) from {$table} where form_token = '{$fields['form_token']}'") === 1 || $statuses['not once'] = 1;
}
$tell(array_keys($statuses) === ['302 302 302 409 302 302'], json_encode($statuses).': made, there, removed, told, brought back, there');

echo "Rounds with animals that are gone, {$rounds} rounds\n";
$animals = $db()->query('select id from animals where deleted_at is null order by id')->fetchAll(PDO::FETCH_COLUMN);
$wrong = $told = 0;
for ($round = 0; $round < $rounds; $round++) {
    $rows = array_fill_keys(array_map(fn (int $at): int => (int) $animals[$at], $chance->pickArrayKeys($animals, 8)), 'taken');
    $gone = array_slice(array_keys($rows), 0, $chance->getInt(1, 3));
    $db()->exec('update animals set deleted_at = current_timestamp where id in ('.implode(',', $gone).')');
    $token = uuid($chance);
    $answer = json_decode($visitor->send('post', '/round/feed', ['form_token' => $token, 'on' => '2026-01-03', 'rows' => $rows], true)[1], true)['rows'] ?? [];
    $db()->exec('update animals set deleted_at = null where id in ('.implode(',', $gone).')');
    $kept = $db()->query("select animal_id from care_entries where form_token = '{$token}'")->fetchAll(PDO::FETCH_COLUMN);
    $said = array_keys(array_filter($answer, fn (array $row): bool => $row['state'] === 'kept'));
    $wrong += count($answer) === count($rows) && array_diff($kept, $said) === [] && array_diff($said, $kept) === [] && array_intersect($kept, $gone) === [] ? 0 : 1;
    $told += count(array_filter($answer, fn (array $row): bool => $row['state'] === 'gone'));
}
$tell($wrong === 0 && $told > 0, "{$told} rows of animals that were gone told, {$wrong} rounds answered otherwise than kept");

echo "Pages while others add animals\n";
$code = '$db = new PDO("sqlite:'.$database.'", options: [PDO::ATTR_TIMEOUT => 20]); $owner = (int) $db->query("select min(id) from users")->fetchColumn(); '
    .'for ($i = 0, $end = microtime(true) + '.min(10, $seconds).'; microtime(true) < $end; $i++) { $db->exec("insert into animals (user_id, name, sex, created_at, updated_at) values ($owner, \'Newcomer $i\', \'female\', current_timestamp, current_timestamp)"); '
    .'$id = $db->lastInsertId(); $db->exec("insert into statements (animal_id, text, source, created_at, updated_at) values ($id, \'Clown\', \'own\', current_timestamp, current_timestamp)"); usleep(3000); } echo $i;';
$process = proc_open([PHP_BINARY, '-r', $code], [1 => ['pipe', 'w']], $pipes);
$statuses = [];
for ($end = microtime(true) + min(10, $seconds); microtime(true) < $end;) {
    foreach (['/animals', '/today', '/season'] as $path) {
        $status = $visitor->get($path)[0];
        $statuses[$status] = ($statuses[$status] ?? 0) + 1;
    }
}
$added = (int) stream_get_contents($pipes[1]);
proc_close($process);
$tell(array_keys($statuses) === [200] && $added > 0, "{$added} animals added, answers by status: ".json_encode($statuses));
$db()->exec("delete from statements where animal_id in (select id from animals where name like 'Newcomer %')");
$db()->exec("delete from animals where name like 'Newcomer %'");

$env = ['DB_DATABASE' => $database, 'DESTINO_COLLECTION' => 'demo', 'PATH' => (string) getenv('PATH'), 'HOME' => (string) getenv('HOME'), 'DB_CONNECTION' => 'sqlite', 'APP_ENV' => 'local', 'QUEUE_CONNECTION' => 'database', 'CACHE_STORE' => 'file'];
$start = function (array $what, array &$pipes) use ($env) {
    return proc_open([PHP_BINARY, dirname(__DIR__).'/artisan', ...$what], [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes, dirname(__DIR__), $env);
};

$kills = max(1, min(6, intdiv($rounds, 2)));
echo "A list of 600 whose worker is killed, {$kills} times\n";
$list = (string) tempnam(sys_get_temp_dir(), 'ordeal-');
file_put_contents($list, "number,name,sex,genes\n".implode("\n", array_map(fn (int $i): string => "L{$i},Listed {$i},f,Pastel", range(1, 600))));
$visitor->send('post', '/exchange', ['file' => new CURLFile($list, 'text/csv', 'list.csv')]);
$visitor->send('post', $visitor->location);
$import = $visitor->location;
$pipes = [];
for ($kill = 0; $kill < $kills; $kill++) {
    $worker = $start(['queue:work', '--queue=quick', '--once', '--quiet'], $pipes);
    usleep($chance->getInt(300_000, 1_200_000));
    posix_kill(proc_get_status($worker)['pid'], SIGKILL);
    proc_close($worker);
    $noted = json_decode((string) $db()->query('select animals from imports order by id desc limit 1')->fetchColumn(), true);
    $here = $count("select count(*) from animals where name like 'Listed %'");
    $here === count($noted) || $tell(false, "{$here} came in, ".count($noted).' are noted');
    $visitor->send('post', "{$import}/stop");
    $visitor->send('post', "{$import}/on");
}
$worker = $start(['queue:work', '--queue=quick', '--stop-when-empty', '--quiet'], $pipes);
proc_close($worker);
unlink($list);
$listed = $db()->query("select number from animals where name like 'Listed %'")->fetchAll(PDO::FETCH_COLUMN);
$state = (string) $db()->query('select state from imports order by id desc limit 1')->fetchColumn();
$tell(count($listed) === 600 && count(array_unique($listed)) === 600 && $state === 'done', count($listed)." of 600 came in, each once, and the list is {$state}");

$restores = max(2, min(10, intdiv($rounds, 3)));
echo "A backup put back {$restores} times while others write\n";
$ask = function (string ...$what) use ($start): array {
    $pipes = [];
    $process = $start([...$what, '--json'], $pipes);
    $said = (string) stream_get_contents($pipes[1]);

    return [proc_close($process), json_decode($said, true) ?? []];
};
$before = $count('select count(*) from animals');
[$code, $made] = $ask('destino:backup');
$db()->exec('update animals set name = \'Lost\'');
$writers = [];
foreach ([1, 2, 3] as $i) {
    $writers[] = [proc_open(
        [PHP_BINARY, dirname(__DIR__).'/tests/Support/acknowledged.php', "w{$i}", (string) (2 + 2 * $restores)], [1 => ['pipe', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes, dirname(__DIR__), $env,
    ), $pipes[1]];
}
$copies = [];
for ($i = 0; $i < $restores; $i++) {
    [$back, $said] = $ask('destino:restore', (string) ($made['made'] ?? ''));
    $copies[] = dirname((string) ($made['path'] ?? '')).'/'.($said['before'] ?? 'none');
    $code += $back;
}
$acknowledged = [];
foreach ($writers as [$process, $pipe]) {
    $acknowledged = [...$acknowledged, ...array_filter(explode("\n", (string) stream_get_contents($pipe)))];
    proc_close($process);
}
$notes = fn (string $file): array => is_file($file) ? (new PDO("sqlite:{$file}"))->query("select words from care_entries where kind = 'note'")->fetchAll(PDO::FETCH_COLUMN) : [];
$lost = count(array_diff($acknowledged, $notes($database), ...array_map($notes, $copies)));
$tell($lost === 0 && $acknowledged !== [], count($acknowledged)." acknowledged writes, {$lost} neither in what is there nor in a copy of what was");
$lostNames = $count('select count(*) from animals where name = \'Lost\'');
$after = $count('select count(*) from animals');
$tell($code === 0 && $after === $before && $lostNames === 0, "{$before} animals, {$after} after it, {$lostNames} with a lost name");
isset($made['path']) && array_map(unlink(...), glob(dirname((string) $made['path']).'/*.sqlite') ?: []);
$server->stop(keep: true);

foreach (['', '-wal', '-shm', '-gate', '-writers'] as $suffix) {
    is_file($database.$suffix) && unlink($database.$suffix);
}
echo $faults === 0 ? "All held.\n" : "{$faults} did not hold.\n";
exit($faults === 0 ? 0 : 1);
