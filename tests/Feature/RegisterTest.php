<?php

namespace Tests\Feature;

use App\Backup\BackupError;
use App\Backup\PhotoShelf;
use App\Backup\SqliteFile;
use App\Backup\Vault;
use App\Models\Animal;
use App\Models\Clutch;
use App\Scale\RackScale;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Tests\TestCase;

/** Photographs, racks, clutches, the interface for programs, backups. */
class RegisterTest extends TestCase
{
    use RefreshDatabase;

    public function test_a_photograph_is_made_smaller_and_keeps_no_position(): void
    {
        Storage::fake('local');
        $animal = $this->made();
        $picture = imagecreatetruecolor(3000, 1500);
        ob_start();
        imagejpeg($picture);
        $jpeg = (string) ob_get_clean();
        // An EXIF block with a position, as telephones write it, behind the start of the picture.
        $exif = "Exif\0\0II*\0\x08\0\0\0\x01\0\x25\x88\x04\0\x01\0\0\0\x1a\0\0\0\0\0\0\0GPS 47.3N 8.5E";
        $jpeg = substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2);
        $this->assertStringContainsString('GPS', $jpeg);

        $form = [
            'photo' => UploadedFile::fake()->createWithContent('shed.jpg', $jpeg), 'on' => '2026-01-01',
            'form_token' => (string) Str::uuid(),
        ];
        $this->post("/animals/{$animal->id}/photos", $form)->assertSessionHasNoErrors();
        $this->post("/animals/{$animal->id}/photos", $form);
        $photo = $animal->photos()->sole();
        $this->assertSame([1600, 800], [$photo->width, $photo->height]);
        $kept = (string) Storage::disk('local')->get($photo->file);
        $this->assertStringNotContainsString('GPS', $kept);
        $this->assertStringNotContainsString('Exif', $kept);
        $this->get("/photos/{$photo->id}")->assertOk()->assertHeader('Content-Type', 'image/jpeg');
        $this->followingRedirects()->delete("/records/photo/{$photo->id}")->assertSee('Undo');
    }

    public function test_what_is_no_picture_is_refused(): void
    {
        Storage::fake('local');
        $animal = $this->made();
        foreach (['snake.png' => '<?php echo 1;', 'snake.jpg' => "\xFF\xD8\xFF\xE0 broken"] as $name => $content) {
            $this->post(
                "/animals/{$animal->id}/photos",
                ['photo' => UploadedFile::fake()->createWithContent($name, $content), 'on' => '2026-01-01'],
            )->assertSessionHasErrorsIn('photo', 'photo');
        }
        $this->assertSame([], Storage::disk('local')->allFiles());
    }

    public function test_animals_move_and_change_places(): void
    {
        $this->post('/racks', ['name' => 'Harbour', 'rows' => 2, 'columns' => 2])->assertSessionHasNoErrors();
        $rack = $this->keeper()->racks()->sole();
        [$one, $two] = [$this->made(['name' => 'Skiff']), $this->made(['name' => 'Tender'])];
        $this->put("/animals/{$one->id}/place", ['to' => "{$rack->id}:1:1"]);
        $this->put("/animals/{$two->id}/place", ['to' => "{$rack->id}:1:2"]);
        $this->putJson("/animals/{$one->id}/place", ['to' => "{$rack->id}:1:2"])
            ->assertOk()
            ->assertJsonPath('said', 'Skiff and Tender have changed places.');
        $this->assertSame([2, 1], [$one->refresh()->rack_column, $two->refresh()->rack_column]);
        $this->putJson("/animals/{$one->id}/place", ['to' => "{$rack->id}:3:1"])->assertStatus(422);
        $this->putJson("/animals/{$one->id}/place", ['to' => '999:1:1'])->assertStatus(422);
        $this->get('/animals?view=rack')->assertSeeInOrder(['Harbour', 'Tender', 'Skiff', '2·1']);
        $this->put("/racks/{$rack->id}", ['name' => 'Harbour', 'rows' => 2, 'columns' => 1])
            ->assertSessionHasErrors('rows', null, "rack-{$rack->id}");
        $page = $this->followingRedirects()->from('/racks')->put("/racks/{$rack->id}", ['name' => 'Harbour East', 'rows' => 99, 'columns' => 1])
            ->assertSeeInOrder(['Harbour East', 'A rack has 1 to 30 rows.', 'Add a rack']);
        $this->assertSame(1, substr_count((string) $page->getContent(), 'A rack has 1 to 30 rows.'), 'at its own card, and what was typed is kept there');
        $this->post("/animals/{$one->id}/status", ['status' => 'died', 'on' => '2026-01-01']);
        $this->assertNull($one->refresh()->rack_id, 'a dead animal leaves its tub');
        $this->followingRedirects()->delete("/racks/{$rack->id}")->assertSee('its one animal is without a tub');
    }

    public function test_a_clutch_from_pairing_to_hatchlings(): void
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Clown']);
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'het Clown']);
        $form = ['dam_id' => $dam->id, 'sires' => [$sire->id], 'paired_on' => '2026-01-10', 'form_token' => (string) Str::uuid()];
        $this->post('/clutches', $form)->assertSessionHasNoErrors();
        $this->post('/clutches', $form);
        $clutch = Clutch::query()->sole();
        $this->get("/clutches/{$clutch->id}")->assertSee('2026 Skiff × Tender')->assertSee('Next: a lock.');

        $this->put("/clutches/{$clutch->id}", ['laid_on' => '2025-12-01'] + $form)
            ->assertSessionHasErrors(['laid_on' => 'The eggs cannot be laid before they are paired.']);
        $this->put(
            "/clutches/{$clutch->id}",
            ['laid_on' => '2026-06-01', 'eggs_good' => 4, 'hatched_on' => '2026-07-30', 'hatched' => 5] + $form,
        )->assertSessionHasErrors('hatched');
        $this->put(
            "/clutches/{$clutch->id}",
            ['laid_on' => '2026-06-01', 'eggs_good' => 6, 'hatched_on' => '2026-07-30', 'hatched' => 5, 'version' => 1] + $form,
        )->assertSessionHasNoErrors();
        $this->put("/clutches/{$clutch->id}", ['eggs_good' => 7, 'version' => 1] + $form)->assertSessionHasErrors('version');

        $this->post("/clutches/{$clutch->id}/counts", ['saw' => 'not Clown', 'count' => 3])->assertSessionHasNoErrors();
        $this->post("/clutches/{$clutch->id}/counts", ['saw' => 'not Clwn', 'count' => 3])->assertSessionHasErrorsIn('count', 'saw');
        $this->post(
            "/clutches/{$clutch->id}/hatchlings",
            ['name' => 'One', 'sex' => 'unknown', 'genotype' => 'Clown', 'grams' => '65', 'form_token' => (string) Str::uuid()],
        )->assertSessionHasNoErrors();
        $young = Animal::query()->where('name', 'One')->sole();
        $this->assertSame(
            [$sire->id, $dam->id, '30 July 2026', 65],
            [$young->sire_id, $young->dam_id, $young->hatchedWords(), $young->care()->sole()->grams],
        );
        $this->get("/clutches/{$clutch->id}")
            ->assertSee('1 added as animals, 3 counted. 1 hatched without a record')
            ->assertSee('expected from these parents: 1 in 2 per egg');
        $this->get("/animals/{$dam->id}")->assertSee('2026 Skiff × Tender');
        $this->post('/clutches', ['dam_id' => $sire->id])->assertSessionHasErrors(['dam_id' => 'Skiff is not female.']);
    }

    public function test_a_scales_round_through_the_interface(): void
    {
        $rack = $this->keeper()->racks()->create(['name' => 'Harbour', 'rows' => 3, 'columns' => 4]);
        for ($i = 0; $i < 10; $i++) {
            $animal = $this->made([
                'name' => "Snake {$i}", 'number' => "N{$i}", 'rack_id' => $rack->id, 'rack_row' => intdiv($i, 4) + 1,
                'rack_column' => $i % 4 + 1,
            ]);
            $animal->care()->create(['kind' => 'weight', 'on' => '2026-01-01', 'grams' => 1000]);
        }
        $header = ['Authorization' => 'Bearer '.$this->keeper()->createToken('scale', ['read', 'log'])->plainTextToken];
        $animals = $this->getJson('/api/v1/animals', $header)->assertOk()->json('data');
        $this->assertSame('Harbour 1·1', $animals[0]['tub']);
        $messages = (new RackScale(7))->round($animals);
        $this->assertEquals($messages, (new RackScale(7))->round($animals), 'the same seed sends the same messages');

        $results = [];
        foreach ($messages as $message) {
            $results[] = $this->postJson('/api/v1/weights', ['weights' => [$message]], $header)->json('results.0.result');
        }
        $counts = array_count_values($results);
        $this->assertSame(
            [10, 1, 1, 1],
            [$counts['kept'], $counts['kept already'], $counts['out of range: 1 to 8000 g'], $counts['no such animal or tub']],
        );
        $weights = $this->getJson("/api/v1/animals/{$animals[0]['id']}/weights", $header)->json('data');
        $this->assertCount(2, $weights);
        $this->assertEqualsWithDelta(1000, $weights[1]['grams'], 31, 'noise, not nonsense');

        $reading = [
            'place' => 'Incubator', 'kind' => 'temperature', 'value' => 31.5, 'at' => now()->toIso8601String(),
            'token' => (string) Str::uuid(),
        ];
        $this->postJson('/api/v1/readings', $reading, $header)->assertCreated();
        $this->postJson('/api/v1/readings', $reading, $header)->assertOk()->assertJsonPath('result', 'kept already');
        $this->postJson('/api/v1/readings', ['value' => 300] + $reading, $header)->assertStatus(422);
        $this->getJson('/api/v1/readings?place=Incubator', $header)->assertJsonPath('data.0.value', 31.5);
    }

    public function test_backups_are_sound_rotate_and_come_back(): void
    {
        $folder = sys_get_temp_dir().'/destino-'.bin2hex(random_bytes(6));
        mkdir($folder);
        $database = "{$folder}/own.sqlite";
        $live = new \SQLite3($database);
        $live->exec('CREATE TABLE animals (name TEXT); INSERT INTO animals VALUES (\'Skiff\')');
        $live->exec('CREATE TABLE migrations (id INTEGER PRIMARY KEY, migration TEXT, batch INTEGER)');
        foreach (glob(database_path('migrations/*.php')) ?: [] as $one) {
            $live->exec('INSERT INTO migrations (migration, batch) VALUES (\''.basename($one, '.php').'\', 1)');
        }
        mkdir("{$folder}/photos");
        file_put_contents("{$folder}/photos/one.jpg", 'a picture');
        $vault = new Vault(
            new SqliteFile($database), "{$folder}/backups", new PhotoShelf("{$folder}/photos", "{$folder}/backups/photos"),
        );
        $start = Carbon::parse('2026-01-01 03:00');
        $this->assertTrue($vault->isDue($start));
        $live->exec('BEGIN; INSERT INTO animals VALUES (\'half written\')'); // in use, in the middle of a change
        $first = $vault->make($start);
        $live->exec('ROLLBACK');
        $this->assertFalse($vault->isDue($start->copy()->addHours(3)));
        $this->assertSame(1, (new \SQLite3($vault->path($first)))->querySingle('SELECT count(*) FROM animals'));
        for ($day = 1; $day <= 80; $day++) {
            $vault->make($start->copy()->addDays($day));
        }
        $this->assertCount(Vault::KEEP + 2, $vault->backups(), 'the last ten, and one of each earlier month');

        unlink("{$folder}/photos/one.jpg");
        touch("{$folder}/backups/20250101-000000.part", time() - 7200); // a copy that was broken off
        $live->exec('DELETE FROM animals');
        $live->close();
        $before = $vault->restore($vault->backups()[0]['file'], $start->copy()->addDays(100));
        $this->assertSame('Skiff', (new \SQLite3($database))->querySingle('SELECT name FROM animals'));
        $this->assertSame('a picture', file_get_contents("{$folder}/photos/one.jpg"), 'photographs come back too');
        $this->assertSame([], glob("{$folder}/backups/*.part"), 'what was broken off is swept away');
        $this->assertSame(0, (new \SQLite3($vault->path($before)))->querySingle('SELECT count(*) FROM animals'));

        try {
            (new Vault(new SqliteFile($database), "{$database}/no-folder"))->make($start);
            $this->fail('where nothing can be written nothing is said to be made');
        } catch (BackupError $error) {
            $this->assertStringContainsString('No backup was made', $error->getMessage());
        }
        file_put_contents("{$folder}/backups/20260101-000000.sqlite", 'no database at all, but long enough to look like one');
        try {
            $vault->restore('20260101-000000.sqlite', $start->copy()->addDays(101));
            $this->fail('a damaged backup must not be restored');
        } catch (BackupError $error) {
            $this->assertStringContainsString('Nothing was changed', $error->getMessage());
        }
        $this->assertSame('Skiff', (new \SQLite3($database))->querySingle('SELECT name FROM animals'));
        exec('rm -r '.escapeshellarg($folder));
    }
}
