<?php

namespace Tests\Feature;

use App\Backup\Vault;
use App\Database\OneWriter;
use App\Database\WriterGate;
use App\Models\User;
use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use PDO;
use RuntimeException;
use Symfony\Component\Process\Process;
use Tests\Support\OwnDatabase;
use Tests\TestCase;

/** A backup is put back while others write: what was acknowledged is in the copy of what was there, or in what is there now. */
class RestoreTest extends TestCase
{
    use OwnDatabase;

    protected function setUp(): void
    {
        parent::setUp();
        $this->makeDatabase();
        User::factory()->create()->animals()->create(['name' => 'Ballast', 'sex' => 'female']);
    }

    protected function tearDown(): void
    {
        $this->dropDatabase();
        parent::tearDown();
    }

    /** @return array<string, mixed> */
    private function answer(string ...$arguments): array
    {
        return (array) json_decode($this->command(...$arguments)->mustRun()->getOutput(), true);
    }

    private function pathOf(string $backup): string
    {
        return $this->isOnServer ? "{$this->folder}/backups/{$backup}" : "{$this->folder}/backups/own/{$backup}";
    }

    /** @return list<string> what notes a backup holds */
    private function notesOf(string $backup): array
    {
        if ($this->isOnServer) {
            $rows = (new Process(['pg_restore', '--data-only', '--table=care_entries', '--file=-', $this->pathOf($backup)]))->mustRun()->getOutput();
            preg_match_all('/writer\d-\d+/', $rows, $found);

            return $found[0];
        }

        return (new PDO('sqlite:'.$this->pathOf($backup)))->query("select words from care_entries where kind = 'note'")->fetchAll(PDO::FETCH_COLUMN);
    }

    public function test_no_acknowledged_write_is_lost_while_a_backup_is_put_back(): void
    {
        $first = (string) $this->answer('destino:backup', '--json')['made'];
        $writers = array_map(
            fn (int $i): Process => new Process([PHP_BINARY, base_path('tests/Support/acknowledged.php'), "writer{$i}", '6'], base_path(), $this->env(), timeout: 60),
            range(1, 3),
        );
        array_map(fn (Process $writer) => $writer->start(), $writers);
        while ($writers[0]->getOutput() === '') {
            usleep(20_000);
        }
        $before = [];
        for ($i = 0; $i < 3; $i++) {
            $before[] = (string) $this->answer('destino:restore', $first, '--json')['before'];
            usleep(200_000);
        }
        $acknowledged = [];
        foreach ($writers as $writer) {
            $writer->wait();
            $this->assertSame('', $writer->getErrorOutput());
            $acknowledged = [...$acknowledged, ...array_filter(explode("\n", $writer->getOutput()))];
        }
        $there = DB::table('care_entries')->pluck('words')->all();
        $lost = array_diff($acknowledged, $there, ...array_map($this->notesOf(...), $before));
        $this->assertSame([], array_values($lost));
        $this->assertGreaterThan(30, count($acknowledged));
        $this->assertNotSame([], array_diff($acknowledged, $there), 'it was put back while they wrote');
    }

    public function test_a_file_of_something_else_or_of_a_newer_version_is_refused_before_anything_is_touched(): void
    {
        $backup = (string) $this->answer('destino:backup', '--json')['made'];
        $this->assertSame(1, DB::table('animals')->count());
        $files = $this->isOnServer ? $this->foreignDumps($backup) : $this->foreignFiles($backup);
        foreach ($files as $file => $why) {
            $refused = $this->command('destino:restore', $file, '--json');
            $this->assertSame(2, $refused->run(), $refused->getOutput());
            $this->assertStringContainsString($why, $refused->getOutput(), $file);
            $this->assertStringContainsString('Nothing was changed', $refused->getOutput());
            $this->assertSame(['Ballast'], DB::table('animals')->pluck('name')->all());
        }
        $this->assertCount(1, $this->answer('destino:restore', '--json')['backups'], 'no copy was made for a file that is refused');
    }

    /** @return array<string, string> */
    private function foreignFiles(string $backup): array
    {
        $make = function (string $name, string ...$statements): string {
            $path = "{$this->folder}/{$name}";
            $file = new PDO("sqlite:{$path}");
            array_map($file->exec(...), $statements);

            return $path;
        };
        copy($this->pathOf($backup), "{$this->folder}/newer.sqlite");
        file_put_contents("{$this->folder}/text.sqlite", str_repeat('a list of snakes and no database. ', 200));
        $animals = 'create table animals (name text)';

        return [
            $make('zoo.sqlite', $animals, "insert into animals values ('Leo')") => 'is not a backup of a Destino collection',
            $make('other.sqlite', $animals, 'create table migrations (id integer, migration text)', "insert into migrations values (1, 'make_zoo')") => 'is not a backup of a Destino collection',
            $make('empty.sqlite', 'create table no_animals (x integer)') => 'is no sound Destino database',
            $make('newer.sqlite', "insert into migrations (migration, batch) values ('2030_01_01_000001_of_the_future', 99)") => 'was made by a newer version of Destino',
            "{$this->folder}/text.sqlite" => 'is no sound Destino database',
        ];
    }

    /** @return array<string, string> */
    private function foreignDumps(string $backup): array
    {
        $other = "{$this->database}_other";
        $this->onServer('createdb', $other)->mustRun();
        try {
            $this->onServer('psql', '-d', $other, '-c', 'create table animals (name text)')->mustRun();
            $this->onServer('pg_dump', '--format=custom', "--file={$this->folder}/zoo.dump", $other)->mustRun();
            $this->onServer('psql', '-d', $other, '-c', 'drop table animals')->mustRun();
            $put = new Process([
                'pg_restore', '-h', (string) getenv('DESTINO_TEST_HOST'), '-U', 'destino', '--no-owner', "--dbname={$other}", $this->pathOf($backup),
            ]);
            $put->mustRun();
            $this->onServer('psql', '-d', $other, '-c', "insert into migrations (migration, batch) values ('2030_01_01_000001_of_the_future', 99)")->mustRun();
            $this->onServer('pg_dump', '--format=custom', "--file={$this->folder}/newer.dump", $other)->mustRun();
        } finally {
            $this->onServer('dropdb', '--force', $other)->run();
        }
        file_put_contents("{$this->folder}/text.dump", 'no dump at all');

        return [
            "{$this->folder}/zoo.dump" => 'is not a backup of a Destino collection',
            "{$this->folder}/newer.dump" => 'was made by a newer version of Destino',
            "{$this->folder}/text.dump" => 'is no sound Destino database',
        ];
    }

    public function test_a_backup_of_an_earlier_version_is_brought_up_to_date(): void
    {
        DB::statement('alter table sales drop column version');
        DB::table('migrations')->where('migration', 'like', '%_number_versions_of_sales')->delete();
        $backup = (string) $this->answer('destino:backup', '--json')['made'];
        $this->command('destino:restore', $backup, '--json')->mustRun();
        $this->useDatabase();
        $this->assertSame(['Ballast'], DB::table('animals')->pluck('name')->all());
        $this->assertTrue(Schema::hasColumn('sales', 'version'));
        $known = array_map(fn (string $one): string => basename($one, '.php'), glob(base_path('database/migrations/*.php')) ?: throw new RuntimeException);
        $this->assertSame($known, DB::table('migrations')->orderBy('migration')->pluck('migration')->all());
        $this->assertSame([], glob("{$this->database}-restoring*") ?: []);
    }

    public function test_only_the_collection_that_a_backup_is_put_back_into_is_busy(): void
    {
        $second = $this->isOnServer ? "{$this->database}_second" : "{$this->folder}/second.sqlite";
        $this->isOnServer ? $this->onServer('createdb', $second)->mustRun() : touch($second);
        $own = $this->database;
        $isRestoring = function (string $database): bool {
            $this->database = $database;
            $this->useDatabase();

            return Vault::ofThisInstallation()->isRestoring();
        };
        try {
            $this->assertFalse($isRestoring($own));
            $during = [];
            $ask = function () use (&$during, $isRestoring, $own, $second): void {
                $during = [$isRestoring($own), $isRestoring($second)];
            };
            $this->isOnServer ? $this->holding($ask) : (new WriterGate($own))->closed($ask);
            $this->assertSame([true, false], $during);
            $this->assertFalse($isRestoring($own));
        } finally {
            DB::purge();
            $this->isOnServer && $this->onServer('dropdb', '--force', $second)->run();
            $this->database = $own;
        }
    }

    /** As whoever puts a backup back holds the turn of all writers, in a session of its own. */
    private function holding(Closure $do): void
    {
        config(['database.connections.holder' => config('database.connections.pgsql')]);
        DB::connection('holder')->select('select pg_advisory_lock('.OneWriter::RESTORING.')');
        $do();
        DB::purge('holder');
    }
}
