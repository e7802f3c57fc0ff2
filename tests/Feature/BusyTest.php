<?php

namespace Tests\Feature;

use App\Database\BusyDatabase;
use App\Database\ImmediateSqlite;
use App\Models\User;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Route;
use PDO;
use PDOException;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** Several programs write to one collection at once: they wait for their turn, and nothing acknowledged is lost. */
class BusyTest extends TestCase
{
    private string $file;

    protected function setUp(): void
    {
        parent::setUp();
        $this->file = (string) tempnam(sys_get_temp_dir(), 'destino-');
        config(['database.default' => 'sqlite', 'database.connections.sqlite.database' => $this->file]);
        app('db')->purge();
        Artisan::call('migrate', ['--force' => true]);
    }

    protected function tearDown(): void
    {
        app('db')->purge();
        array_map(unlink(...), glob($this->file.'*') ?: []);
        parent::tearDown();
    }

    public function test_four_writers_at_once_lose_nothing(): void
    {
        $animal = User::factory()->create()->animals()->create(['name' => 'Ballast', 'sex' => 'female']);
        $writers = array_map(
            fn (): Process => new Process(
                [PHP_BINARY, base_path('tests/Support/writer.php'), (string) $animal->id, '40'],
                env: ['DB_CONNECTION' => 'sqlite', 'DB_DATABASE' => $this->file, 'CACHE_STORE' => 'array'], timeout: 120,
            ),
            range(1, 4),
        );
        array_map(fn (Process $writer) => $writer->start(), $writers);
        foreach ($writers as $writer) {
            $writer->wait();
            $this->assertSame('done', $writer->getOutput(), $writer->getErrorOutput().$writer->getOutput());
        }
        $grams = $animal->care()->pluck('grams')->sort()->values()->all();
        $this->assertSame(range(1000, 1159), $grams, 'each saw what the others had written before it');
    }

    public function test_a_transaction_that_reads_first_waits_for_its_turn(): void
    {
        $animal = User::factory()->create()->animals()->create(['name' => 'Ballast', 'sex' => 'female']);
        $this->assertInstanceOf(ImmediateSqlite::class, app('db')->connection()->getPdo());
        $other = new PDO("sqlite:{$this->file}");
        app('db')->transaction(function () use ($animal, $other): void {
            $animal->fresh();
            $other->exec('pragma busy_timeout = 0');
            try {
                $other->exec('update animals set name = "Other"');
                $this->fail('the lock for writing was not taken at the beginning');
            } catch (PDOException $error) {
                $this->assertStringContainsString('locked', $error->getMessage());
            }
            $animal->update(['name' => 'Own']);
        });
        $other->exec('update animals set name = "Other"');
        $this->assertSame('Other', $animal->fresh()->name);
    }

    public function test_when_waiting_ends_people_keep_what_they_typed_and_programs_are_told_when_to_come_back(): void
    {
        $busy = fn () => throw new QueryException(
            'sqlite', 'insert into x', [], new PDOException('SQLSTATE[HY000]: General error: 5 database is locked'),
        );
        Route::middleware('web')->post('/busy', $busy);
        Route::post('/api/v1/busy', $busy);
        $this->withoutMiddleware([\App\Http\Middleware\EnterCollection::class, \App\Http\Middleware\AnswerWithPolicy::class]);
        $this->from('/animals/new')
            ->post('/busy', ['name' => 'Typed at length'])
            ->assertRedirect('/animals/new')
            ->assertStatus(303)
            ->assertSessionHasInput('name', 'Typed at length')
            ->assertSessionHas('said');
        $this->postJson('/api/v1/busy', [])
            ->assertStatus(503)
            ->assertHeader('Retry-After', '5')
            ->assertJsonPath('message', 'The collection is busy; nothing was kept. Try again.');
        $this->assertFalse(BusyDatabase::is(new PDOException('no such table: x')));
    }

    public function test_where_there_is_no_room_for_what_readers_share_the_collection_is_read_all_the_same(): void
    {
        User::factory()->create()->animals()->create(['name' => 'Ballast', 'sex' => 'female']);
        app('db')->purge();
        $this->assertFileDoesNotExist("{$this->file}-shm");
        // As on a full disk: no file grows any more.
        $export = Process::fromShellCommandline(
            'trap "" XFSZ; ulimit -f 0; exec "$PHP" "$ARTISAN" destino:export --format=csv', null,
            ['PHP' => PHP_BINARY, 'ARTISAN' => base_path('artisan'), 'DB_CONNECTION' => 'sqlite', 'DB_DATABASE' => $this->file, 'CACHE_STORE' => 'array'], timeout: 60,
        );
        $this->assertSame(0, $export->run(), $export->getErrorOutput().$export->getOutput());
        $this->assertStringContainsString('Ballast', $export->getOutput());
        $this->assertSame(['Ballast'], app('db')->table('animals')->pluck('name')->all());
    }
}
