<?php

namespace Tests\Feature;

use App\Exchange\Archive\Archive;
use App\Exchange\Emptying;
use App\Models\User;
use App\Photos\Darkroom;
use Database\Seeders\DemoSeeder;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Tests\TestCase;

/** Everything goes, and an archive can be read into what is left. */
class EmptyingTest extends TestCase
{
    use RefreshDatabase;

    public function test_nothing_of_a_collection_is_left_and_its_archive_comes_back_whole(): void
    {
        $other = User::factory()->create();
        $other->animals()->create(['name' => 'Foreign', 'sex' => 'male']);
        $this->seed(DemoSeeder::class);
        $owner = User::query()->whereHas('animals', fn ($animals) => $animals->where('name', 'Anchor'))->sole();
        $darkroom = app(Darkroom::class);
        $document = json_decode(Archive::json((new Archive($owner, $darkroom))->document()), true);

        $this->assertGreaterThan(25, Emptying::of($owner));
        $walked = 0;
        foreach (Schema::getTableListing(schemaQualified: false) as $table) {
            if (Schema::hasColumn($table, 'user_id') && ! in_array($table, ['sessions'], true)) {
                $this->assertSame(0, DB::table($table)->where('user_id', $owner->id)->count(), $table);
                $walked++;
            }
        }
        $this->assertGreaterThan(20, $walked);
        $this->assertSame('Foreign', $other->animals()->sole()->name);

        (new Archive($owner, $darkroom))->take($document, []);
        $again = json_decode(Archive::json((new Archive($owner, $darkroom))->document()), true);
        foreach (['animals', 'clutches', 'projects', 'incubators', 'prices', 'bookings'] as $section) {
            $this->assertCount(count($document[$section]), $again[$section], $section);
        }
    }

    public function test_without_the_word_or_a_backup_nothing_goes(): void
    {
        $this->made(['name' => 'Skiff']);
        $this->get('/exchange')->assertOk()->assertSee('Empty the collection');
        $this->delete('/exchange/collection', ['word' => 'yes'])->assertSessionHasErrors('word');
        $this->keeper();
        config(['database.connections.'.config('database.default').'.database' => 'none']); // no backup can be made of it
        $this->delete('/exchange/collection', ['word' => 'empty'])->assertSessionHasErrors('word');
        $this->assertStringContainsString('no backup could be made', (string) session('errors')->first('word'));
        $this->assertSame(1, $this->keeper()->animals()->count());
    }
}
