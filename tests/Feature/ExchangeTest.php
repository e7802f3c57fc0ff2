<?php

namespace Tests\Feature;

use App\Exchange\Archive\Archive;
use App\Exchange\Field;
use App\Models\Animal;
use App\Models\User;
use App\Photos\Darkroom;
use Database\Seeders\DemoSeeder;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\Spreadsheet;
use Tests\TestCase;

class ExchangeTest extends TestCase
{
    use RefreshDatabase;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
    }

    public function test_an_archive_read_into_an_empty_application_gives_the_same_data(): void
    {
        $this->seed(DemoSeeder::class);
        $from = User::query()->where('email', 'boathouse@destino.localhost')->sole();
        $this->actingAs($from);
        $anchor = $from->animals()->where('name', 'Anchor')->sole();
        $this->post(
            "/animals/{$anchor->id}/photos",
            ['photo' => UploadedFile::fake()->image('anchor.jpg', 60, 40), 'on' => '2026-01-01', 'caption' => 'In the sun'],
        );
        $this->delete("/records/animal/{$from->animals()->where('name', 'Weir')->sole()->id}");
        $this->put('/house', ['weight' => 'oz', 'schools' => ['enchi-cinnamon-allelism' => 'allelic']]);
        $this->post('/genes/own', ['kind' => 'gene', 'name' => 'Driftlight', 'inheritance' => 'recessive', 'effect' => 'light']);
        $this->post(
            '/prove/decisions',
            [
                'explanation' => "unrecorded|a{$from->animals()->where('name', 'Tidemark')->sole()->id}|piebald",
                'reason' => 'Half her back is white.',
            ],
        )->assertSessionHasNoErrors();
        $from->projects()->first()->update(['pinned' => [$anchor->id], 'most_inbreeding' => '1/8', 'wanted' => 'sure']);
        $darkroom = app(Darkroom::class);
        $path = (string) tempnam(sys_get_temp_dir(), 'destino-');
        (new Archive($from, $darkroom))->write($path);
        [$document, $photos] = Archive::open($path);
        $this->assertCount(1, $photos);

        $to = $this->keeper();
        (new Archive($to, $darkroom))->take($document, $photos);
        $again = (string) tempnam(sys_get_temp_dir(), 'destino-');
        (new Archive($to, $darkroom))->write($again);
        [$same, $samePhotos] = Archive::open($again);
        $this->assertEquals($document, $same);
        $this->assertSame($photos, $samePhotos);
        $this->assertSame(
            [1, 8, 1],
            [$to->decisions()->count(), $to->oddTraits()->sole()->entries()->count(), count($to->projects()->first()->pinned)],
        );

        $this->flushSession();
        $this->actingAs($to)
            ->get('/animals/'.$to->animals()->where('name', 'Quayside')->sole()->id)
            ->assertOk()
            ->assertSee('cannot both be right');
        $this->get('/animals/'.$to->animals()->where('name', 'Tidemark')->sole()->id)->assertSee('Pinstripe het Piebald');
        array_map(unlink(...), [$path, $again]);
    }

    public function test_an_archive_is_not_mixed_into_a_collection(): void
    {
        $this->made(['name' => 'Skiff']);
        $document = Archive::json((new Archive(User::factory()->create(), app(Darkroom::class)))->document());
        $this->upload('all.json', $document)->assertRedirect();
        $preview = (string) session()->previousUrl();
        $answer = $this->followingRedirects()->post(
            '/exchange', ['file' => UploadedFile::fake()->createWithContent('all.json', $document)],
        );
        $answer->assertSee('into an empty collection only')->assertDontSee('Take it in');
        $this->from('/exchange')
            ->followingRedirects()
            ->post('/exchange', ['file' => UploadedFile::fake()->createWithContent('odd.json', '{"format":"else"}')])
            ->assertSee('no archive of a Destino collection');
    }

    public function test_a_spreadsheet_of_300_is_understood_row_by_row(): void
    {
        $rows = [['ID', 'Name', 'Sex', 'Hatch date', 'Morph', 'Father', 'Mother', 'Weight', 'Mood']];
        for ($i = 1; $i <= 300; $i++) {
            $rows[] = [
                "A{$i}", "Snake {$i}", $i % 2 ? 'm' : 'f', '2022-07', $i % 3 ? 'Pastel het Clown' : 'Mojave', $i > 10 ? 'A1' : '',
                $i > 10 ? 'A2' : '', (string) (900 + $i), $i === 7 ? 'shy' : '',
            ];
        }
        $rows[5][4] = 'Pastle'; // not a gene
        $rows[6][2] = 'perhaps'; // not a sex
        $rows[8][3] = '03/04/2022'; // two ways
        $rows[9][0] = 'A7'; // the number of another row
        $preview = $this->followingRedirects()->upload('snakes.csv', $this->csv($rows))
            ->assertSee('296 of 300 rows can be brought in as they stand.')
            ->assertSee('“Pastle” at 1 is not a known name')
                ->assertSee('“perhaps” is no sex')
                ->assertSee('can be read in two ways')
                ->assertSee('the number A7 belongs to row 8')
            ->assertSee('Nothing is written yet.');
        $this->assertSame(0, Animal::query()->count());
        $this->assertSame(1, preg_match('~/exchange/([0-9a-f-]{36})~', (string) $preview->getContent(), $found));

        $this->post("/exchange/{$found[1]}?dates=day-first", ['unread' => '1'])->assertRedirect('/animals');
        $this->assertSame(298, Animal::query()->count());
        $seven = Animal::query()->where('number', 'A7')->sole();
        $this->assertSame(['Mood: shy', 'July 2022', 907], [$seven->notes, $seven->hatchedWords(), $seven->care()->sole()->grams]);
        $this->assertSame('genes as written: Pastle', Animal::query()->where('number', 'A5')->sole()->notes);
        $this->assertSame('3 April 2022', Animal::query()->where('number', 'A8')->sole()->hatchedWords());
        $this->assertSame('Snake 1', Animal::query()->where('number', 'A40')->sole()->belongsTo(Animal::class, 'sire_id')->first()?->name);
        $this->followingRedirects()->post("/exchange/{$found[1]}")->assertSee('was taken in or left already'); // a double click
        $this->assertSame(298, Animal::query()->count());
    }

    public function test_an_xlsx_file_with_real_dates(): void
    {
        $file = Spreadsheet::write([
            ['Name', 'Sex', 'Born', 'Genes', 'Price'], ['Skiff', 'male', ['date' => '2022-07-14'], 'Mojave het Ultramel', '350'],
            ['', '', '', '', ''],
        ]);
        $this->artisan('destino:import', ['file' => $file, '--keeper' => 'owner@tests.localhost'])->assertSuccessful();
        $animal = Animal::query()->sole();
        $this->assertSame(
            ['14 July 2022', 35000, 'Mojave het Ultramel'],
            [$animal->hatchedWords(), $animal->price_cents, $animal->statements()->sole()->text],
        );
        unlink($file);
    }

    /** @return iterable<string, array{string, string}> */
    public static function wrongFiles(): iterable
    {
        yield 'headings only' => ["name,sex\n", 'holds no rows'];
        yield 'not a table' => ["\x00\x01\x02\x03 name", 'neither a CSV nor an XLSX'];
        yield 'a broken zip' => ["PK\x03\x04 nothing", 'neither a CSV nor an XLSX'];
    }

    #[DataProvider('wrongFiles')]
    public function test_a_file_that_is_none_says_so(string $content, string $message): void
    {
        $this->from('/exchange')->followingRedirects()->upload('list.csv', $content)->assertSee($message);
        $this->from('/exchange')
            ->followingRedirects()
            ->post('/exchange', ['file' => UploadedFile::fake()->create('virus.exe', 1)])
            ->assertSee('Choose a list (.csv or .xlsx)');
        $this->assertSame([], Storage::allFiles('imports'));
    }

    public function test_a_pedigree_that_bites_its_tail_is_refused_whole(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'destino-');
        file_put_contents($file, "name,sex,genes,sire\nSkiff,m,Pastel,Wherry\nWherry,m,Pastel,Skiff\n");
        $this->artisan('destino:import', ['file' => $file, '--keeper' => 'owner@tests.localhost'])->assertExitCode(2);
        $this->assertSame(0, Animal::query()->count());
        unlink($file);
    }

    public function test_the_dry_run_writes_nothing_and_the_report_is_complete(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'destino-');
        file_put_contents($file, "name;sex;genes\nSkiff;m;Pastel\nTender;f;Pastle\n");
        \Illuminate\Support\Facades\Artisan::call(
            'destino:import', ['file' => $file, '--dry-run' => true, '--json' => true, '--keeper' => 'owner@tests.localhost'],
        );
        $report = json_decode(\Illuminate\Support\Facades\Artisan::output(), true);
        $this->assertSame(
            [0, true, 2, 1, 1], [$report['written'], $report['dry_run'], $report['rows'], $report['ready'], $report['unread']],
        );
        $this->assertSame(
            [3, 'Tender', true],
            [$report['problems'][0]['row'], $report['problems'][0]['name'], $report['problems'][0]['genes_unread']],
        );
        $this->assertSame(0, Animal::query()->count());
        unlink($file);
    }

    public function test_the_list_the_pedigree_and_the_calendar(): void
    {
        $sire = $this->made([
            'name' => '=Skiff', 'sex' => 'male', 'genotype' => 'Clown', 'hatched_on' => '2022-01-01',
            'hatched_precision' => 'year',
        ]);
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'Mojave/Mystic', 'sire_name' => 'Old Painter']);
        $this->made(['name' => 'Wherry', 'genotype' => 'Mojave', 'sire_id' => $sire->id, 'dam_id' => $dam->id, 'number' => 'W1']);
        $this->keeper()->clutches()->create(['dam_id' => $dam->id, 'laid_on' => '2026-10-01']);

        $csv = $this->get('/exchange/download/csv')->streamedContent();
        $this->assertStringStartsWith(
            implode(
                ',',
                array_map(
                    fn (Field $field): string => str_contains($field->value, ' ') ? "\"{$field->value}\"" : $field->value,
                    Field::cases(),
                ),
            ),
            $csv,
        );
        $this->assertStringContainsString("'=Skiff", $csv); // no spreadsheet takes it for a formula
        $this->assertStringContainsString(',2022,Clown,', $csv);

        $ped = (string) $this->get('/exchange/download/ped')->getContent();
        $this->assertStringContainsString('# locus clown: 1 = +, 2 = cryptic, 3 = clown', $ped);
        $this->assertMatchesRegularExpression("/^1 a{$sire->id} 0 0 1 0 1 1 3 3  # =Skiff$/m", $ped);
        $this->assertMatchesRegularExpression("/^1 a{$dam->id} x1 0 2 0 /m", $ped);

        $ics = (string) $this->get('/exchange/download/ics')->getContent();
        $this->assertStringContainsString('DTSTART;VALUE=DATE:20261123', $ics); // 53 days after laying
        $this->assertNotNull(\Sabre\VObject\Reader::read($ics)->VEVENT);
    }

    private function upload(string $name, string $content): \Illuminate\Testing\TestResponse
    {
        return $this->post('/exchange', ['file' => UploadedFile::fake()->createWithContent($name, $content)]);
    }

    /** @param  list<list<string>>  $rows */
    private function csv(array $rows): string
    {
        $stream = fopen('php://temp', 'w+');
        foreach ($rows as $row) {
            fputcsv($stream, $row, ',', '"', '');
        }
        rewind($stream);

        return (string) stream_get_contents($stream);
    }
}
