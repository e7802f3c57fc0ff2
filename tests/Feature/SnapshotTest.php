<?php

namespace Tests\Feature;

use App\Collection\Doorway;
use App\Collection\Opened;
use App\Database\Snapshot;
use App\Models\Animal;
use App\Models\User;
use App\Projects\Workshop;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Tests\Support\OwnDatabase;
use Tests\TestCase;

/** A page reads records and lists one after the other, and others write in between: it shows one moment. */
class SnapshotTest extends TestCase
{
    use OwnDatabase;

    private User $person;

    protected function setUp(): void
    {
        parent::setUp();
        $this->makeDatabase();
        $this->person = User::factory()->create();
        foreach (['Fathom' => 'male', 'Estuary' => 'female'] as $name => $sex) {
            Animal::factory()->for($this->person, 'keeper')->create(['name' => $name, 'sex' => $sex, 'genotype' => 'Pastel het Clown']);
        }
        $this->actingAs($this->person);
    }

    protected function tearDown(): void
    {
        $this->dropDatabase();
        parent::tearDown();
    }

    /** Another process adds an animal as soon as this one has read from a table. */
    private function addedAfter(string $table): void
    {
        $isDone = false;
        DB::listen(function (QueryExecuted $query) use ($table, &$isDone): void {
            if (! $isDone && $query->connectionName !== 'other' && str_contains($query->sql, "from \"{$table}\"")) {
                $isDone = true;
                $id = DB::connection('other')->table('animals')->insertGetId([
                    'user_id' => $this->person->id, 'name' => 'Newcomer', 'sex' => 'female', 'created_at' => now(), 'updated_at' => now(),
                ]);
                DB::connection('other')->table('statements')->insert([
                    'animal_id' => $id, 'text' => 'Clown', 'source' => 'own', 'created_at' => now(), 'updated_at' => now(),
                ]);
            }
        });
    }

    public function test_a_page_shows_one_moment_while_another_adds_an_animal(): void
    {
        foreach (['/animals', '/animals?view=list', '/prove', '/season', '/today', '/pair'] as $page) {
            foreach (['animals', 'statements', 'clutches'] as $table) {
                $this->addedAfter($table);
                $this->get($page)->assertOk();
            }
        }
        $this->addedAfter('statements');
        $before = Animal::query()->count();
        $this->get('/animals')->assertOk()->assertSee("{$before} animals");
        $this->get('/animals')->assertOk()->assertSee(($before + 1).' animals');
    }

    public function test_a_plan_is_made_from_one_moment(): void
    {
        $project = $this->person->projects()->create(['name' => 'One', 'target' => 'Clown']);
        $this->addedAfter('statements');
        $planned = app(Doorway::class)->within($this->person, fn (Opened $opened) => (new Workshop($opened))->project($project));
        $this->assertCount(2, $planned->founders);
    }

    public function test_it_ends_where_something_is_written(): void
    {
        $seen = Snapshot::during(function (): array {
            $count = fn (): int => Animal::query()->count();
            $seen = [$count()];
            DB::connection('other')->table('animals')->insert(['user_id' => $this->person->id, 'name' => 'Another', 'sex' => 'male']);
            $seen[] = $count();
            DB::transaction(fn () => $this->person->animals()->create(['name' => 'Own', 'sex' => 'male']));

            return [...$seen, $count()];
        });
        $this->assertSame([2, 2, 4], $seen);
        $this->assertSame(4, DB::connection('other')->table('animals')->count(), 'what was written stays');
    }
}
