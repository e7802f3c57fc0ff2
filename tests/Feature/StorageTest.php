<?php

namespace Tests\Feature;

use App\Database\StorageFault;
use App\Models\Animal;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use PDOException;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A disk that takes nothing any more: said in a sentence, nothing typed is lost, and what is there can be read. */
class StorageTest extends TestCase
{
    use RefreshDatabase;

    /** @return array<string, array{string, int, string}> what the database says, the status, and what is said to the keeper */
    public static function faults(): array
    {
        return [
            'a full disk of SQLite' => ['SQLSTATE[HY000]: General error: 13 database or disk is full', 507, 'The disk is full.'],
            'a full disk of PostgreSQL' => ['SQLSTATE[53100]: Disk full: 7 ERROR:  could not extend file', 507, 'The disk is full.'],
            'a file that can only be read' => ['SQLSTATE[HY000]: General error: 8 attempt to write a readonly database', 503, 'can only be read'],
            'a server that can only be read' => ['SQLSTATE[25006]: Read only sql transaction', 503, 'can only be read'],
        ];
    }

    #[DataProvider('faults')]
    public function test_what_a_disk_does_not_take_is_told_and_comes_back(string $said, int $status, string $words): void
    {
        $fails = fn () => throw new QueryException('sqlite', 'insert into x', [], new PDOException($said));
        Route::middleware('web')->match(['get', 'post', 'put'], '/clutches-full', $fails);
        Route::post('/api/v1/full', $fails);
        $this->put('/clutches-full', ['name' => 'Typed “at length”', 'sires' => [4 => '1'], 'password' => 'secret-of-mine'])->assertStatus($status)
            ->assertSee($words)->assertSee('Nothing was saved')->assertSee('name="name" value="Typed “at length”"', false)
            ->assertSee('name="sires[4]" value="1"', false)->assertSee('Save again')->assertDontSee('secret-of-mine');
        $this->get('/clutches-full')->assertStatus($status)->assertSee($words)->assertDontSee('Save again');
        $message = $this->postJson('/api/v1/full')->assertStatus($status)->json('message');
        $this->assertStringContainsString('Nothing was saved.', $message);
    }

    public function test_a_collection_that_can_only_be_read_is_read(): void
    {
        if (DB::getDriverName() === 'pgsql') {
            DB::statement('set transaction read only');
        } else {
            DB::statement('pragma query_only = 1');
        }
        $made = ['name' => 'Jib', 'sex' => 'male', 'genotype' => 'Pastel', 'form_token' => (string) Str::uuid()];
        try {
            $this->get('/animals')->assertOk();
            $this->post('/animals', $made)->assertStatus(503)->assertSee('can only be read')->assertSee('value="Jib"', false);
        } finally {
            DB::getDriverName() === 'pgsql' || DB::statement('pragma query_only = 0');
        }
        if (DB::getDriverName() !== 'pgsql') { // whose transaction is broken off by the refusal
            $this->get('/today')->assertOk();
            $this->post('/animals', $made)->assertRedirect();
            $this->assertSame('Jib', Animal::query()->sole()->name);
        }
    }

    public function test_what_is_no_fault_of_the_disk_is_not_taken_for_one(): void
    {
        $this->assertNull(StorageFault::of(new PDOException('SQLSTATE[HY000]: General error: 1 no such table: x')));
        Route::middleware('web')->get('/broken', fn () => throw new \RuntimeException('broken'));
        $this->get('/broken')->assertStatus(500);
    }
}
