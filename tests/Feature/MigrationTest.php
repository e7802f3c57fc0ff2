<?php

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Tests\TestCase;

/** A database that was made before the season of events keeps all that is in it. */
class MigrationTest extends TestCase
{
    private string $database;

    protected function setUp(): void
    {
        parent::setUp();
        $this->database = (string) tempnam(sys_get_temp_dir(), 'destino-');
        Config::set(
            'database.connections.before',
            [
                'driver' => 'sqlite', 'database' => $this->database, 'foreign_key_constraints' => true,
            ] + Config::get('database.connections.sqlite'),
        );
        Config::set('database.default', 'before');
    }

    protected function tearDown(): void
    {
        DB::purge('before');
        unlink($this->database);
        parent::tearDown();
    }

    public function test_dates_counts_and_decisions_are_carried_over(): void
    {
        $this->migrate(fn (string $file): bool => $file < '2026_11_25_000012');
        $this->fill();
        $before = DB::table('clutch_counts')->count();
        $this->migrate(fn (): bool => true);

        $events = DB::table('clutch_events')->orderBy('id')->get()->map(
            fn (object $event): array => [
                $event->clutch_id, $event->kind, $event->on, $event->count, $event->infertile, $event->saw, $event->user_id,
            ],
        )->all();
        $this->assertSame([
            [1, 'introduced', '2024-01-05', null, null, null, 1], [1, 'laid', '2024-04-02', 6, 1, null, 1],
            [1, 'hatched', '2024-06-01', 5, null, null, 1],
            [2, 'laid', null, 7, null, null, 2],
            [1, 'counted', null, 3, null, 'not Clown', 1], [1, 'counted', null, 2, null, 'Clown', 1],
        ], $events, 'a clutch of which nothing is known has no event');
        $this->assertSame($before, DB::table('clutch_events')->where('kind', 'counted')->count());
        $count = DB::table('clutch_events')->where('saw', 'Clown')->value('id');
        $this->assertSame($count, DB::table('decisions')->value('count_id'));
        $this->assertSame([$count], DB::table('activity_log')->where('subject_type', 'count')->pluck('subject_id')->all());
        $this->assertNotNull(DB::table('clutch_events')->where('saw', 'not Clown')->value('deleted_at'));
        $this->assertFalse(Schema::hasTable('clutch_counts'));
        $this->assertFalse(Schema::hasColumn('clutches', 'laid_on'), 'nothing is stored twice');
        $this->assertSame([1, 2], DB::table('statements')->orderBy('id')->pluck('user_id')->all());
        $this->assertSame([1], DB::table('clutch_sires')->pluck('user_id')->all());
    }

    private function fill(): void
    {
        foreach ([1, 2] as $user) {
            DB::table('users')->insert([
                'id' => $user, 'name' => "Keeper {$user}", 'email' => "k{$user}@tests.localhost", 'password' => 'x',
                'role' => 'owner',
            ]);
            DB::table('animals')->insert(['id' => $user, 'user_id' => $user, 'name' => "Dam {$user}", 'sex' => 'female']);
            DB::table('statements')->insert(['animal_id' => $user, 'text' => 'Pastel', 'source' => 'own']);
        }
        DB::table('clutches')->insert([
            'id' => 1, 'user_id' => 1, 'dam_id' => 1, 'paired_on' => '2024-01-05', 'laid_on' => '2024-04-02', 'eggs_good' => 6,
            'eggs_infertile' => 1, 'hatched_on' => '2024-06-01', 'hatched' => 5,
        ]);
        DB::table('clutches')->insert(['id' => 2, 'user_id' => 2, 'dam_id' => 2, 'eggs_good' => 7]);
        DB::table('clutches')->insert(['id' => 3, 'user_id' => 2, 'dam_id' => 2]);
        DB::table('clutch_sires')->insert(['clutch_id' => 1, 'name' => 'of a friend']);
        DB::table('clutch_counts')->insert([
            'id' => 40, 'clutch_id' => 1, 'saw' => 'not Clown', 'count' => 3, 'dead' => false,
            'deleted_at' => '2024-07-01 10:00:00',
        ]);
        DB::table('clutch_counts')->insert(['id' => 41, 'clutch_id' => 1, 'saw' => 'Clown', 'count' => 2, 'dead' => false]);
        DB::table('decisions')->insert([
            'user_id' => 1, 'clutch_count_id' => 41, 'kind' => 'misnamed', 'alleles' => '["clown"]', 'reason' => 'Seen again.',
            'on' => '2024-07-02',
        ]);
        DB::table('activity_log')->insert([
            'description' => 'created', 'event' => 'created', 'subject_type' => 'count', 'subject_id' => 41,
        ]);
    }

    /** @param callable(string): bool $which */
    private function migrate(callable $which): void
    {
        $files = array_values(
            array_filter(glob(database_path('migrations/*.php')) ?: [], fn (string $file): bool => $which(basename($file))),
        );
        Artisan::call('migrate', ['--database' => 'before', '--path' => $files, '--realpath' => true, '--force' => true]);
    }
}
