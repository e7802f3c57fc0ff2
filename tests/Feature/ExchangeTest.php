<?php

namespace Tests\Feature;

use App\Collection\Doorway;
use App\Collection\Opened;
use App\Exchange\Archive\Archive;
use App\Exchange\Field;
use App\Exchange\Table;
use App\Models\Animal;
use App\Models\User;
use App\Photos\Darkroom;
use Database\Seeders\DemoSeeder;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\Shelf;
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

    public function test_genes_that_are_tied_stay_tied_in_a_list_that_goes_out_and_in(): void
    {
        $this->made(['name' => 'Either', 'sex' => 'female', 'genotype' => 'Pastel or Enchi het Clown']);
        $csv = $this->get('/exchange/download/csv')->streamedContent();
        $this->assertStringContainsString('Pastel or Enchi het Clown', $csv);
        $this->assertStringNotContainsString('possible Pastel', $csv);
        Animal::query()->forceDelete();
        $file = UploadedFile::fake()->createWithContent('back.csv', $csv);
        $location = (string) $this->post('/exchange', ['file' => $file])->headers->get('Location');
        $this->post($location)->assertSessionHasNoErrors();
        $belief = app(Doorway::class)->within($this->keeper(), fn (Opened $opened) => $opened->beliefs()->belief(Animal::query()->sole()->id));
        $chance = fn (string $target): string => Shelf::facts()->targets()->read($target)->chanceFor($belief, Shelf::catalogue())->toString();
        $this->assertSame(['1/2', '1/2', '0', '0'], array_map($chance, ['Pastel', 'Enchi', 'Pastel + Enchi', 'not Pastel, not Enchi']));
    }

    public function test_a_list_without_headings_is_read_by_what_stands_in_it(): void
    {
        $list = "Luna;f;2021-05-04;Pastel het Clown;1450 g;under the window\nSol;m;2020-06-11;Mojave 66% het Pied;780 g;\nAster;f;2022-07-01;Enchi;910 g;\n";
        $file = UploadedFile::fake()->createWithContent('animals.csv', $list);
        $location = (string) $this->post('/exchange', ['file' => $file])->headers->get('Location');
        $this->get($location)->assertOk()->assertSee('3 of 3 rows')->assertSee('Weighed when?');
        $this->post("{$location}?weighed=2026-10-01")->assertSessionHasNoErrors();
        $this->assertSame(
            [['Luna', 'female', '2021-05-04', 1450], ['Sol', 'male', '2020-06-11', 780], ['Aster', 'female', '2022-07-01', 910]],
            Animal::query()->orderBy('id')->get()->map(fn (Animal $one): array => [
                $one->name, $one->sex?->value, $one->hatched_on?->format('Y-m-d'), $one->care()->where('kind', 'weight')->value('grams'),
            ])->all(),
        );
        $this->assertSame('Pastel het Clown', Animal::query()->where('name', 'Luna')->sole()->statements()->sole()->text);
        $this->assertStringContainsString('under the window', (string) Animal::query()->where('name', 'Luna')->sole()->notes);
    }

    public function test_headings_in_words_of_ones_own_are_no_animal(): void
    {
        $file = UploadedFile::fake()->createWithContent('animals.csv', "Tier;Gewicht\nLuna;1450\nSol;780\n");
        $location = (string) $this->post('/exchange', ['file' => $file])->headers->get('Location');
        $this->get($location)->assertOk()->assertSee('Tier')->assertSee('Gewicht');
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
            ->assertSee('299 of 300 rows can be brought in as they stand.')
            ->assertSee('“Pastle” is not a known gene')
                ->assertSee('“perhaps” is no sex')
                ->assertSee('can be read in two ways')
                ->assertSee('the number A7 belongs to row 8')
            ->assertSee('Nothing is written yet.');
        $this->assertSame(0, Animal::query()->count());
        $this->assertSame(1, preg_match('~/exchange/([0-9a-f-]{36})~', (string) $preview->getContent(), $found));

        $this->post("/exchange/{$found[1]}?dates=day-first")->assertRedirectContains('/imports/');
        $this->assertSame(299, Animal::query()->count());
        $seven = Animal::query()->where('number', 'A7')->sole();
        $this->assertSame(
            ["Mood: shy\nweight as written: 907", 'July 2022', 0], [$seven->notes, $seven->hatchedWords(), $seven->care()->count()],
            'a weight without a day is none of the day of the import',
        );
        $five = Animal::query()->where('number', 'A5')->sole();
        $this->assertSame(
            ["weight as written: 905\ngenes as written: Pastle", 'Pastle', 0],
            [$five->notes, $five->genes_open, $five->statements()->count()],
        );
        $this->assertNull(Animal::query()->where('number', 'A6')->sole()->sex);
        $this->assertSame('3 April 2022', Animal::query()->where('number', 'A8')->sole()->hatchedWords());
        $this->assertSame('Snake 1', Animal::query()->where('number', 'A40')->sole()->belongsTo(Animal::class, 'sire_id')->first()?->name);
        $this->followingRedirects()->post("/exchange/{$found[1]}")->assertSee('299 animals brought in.'); // a double click
        $this->assertSame(299, Animal::query()->count());
    }

    public function test_a_list_as_keepers_write_it_comes_in_and_every_word_is_kept(): void
    {
        $rows = [['ID', 'Name', 'Sex', 'Hatch date', 'Morph', 'Sire name', 'mum', 'Weight', 'Price', 'Mood']];
        $cells = [
            ['m', 'Jun 2022', 'Pastel het Clown', '?', 'wild caught', '~1500', 'gift'],
            ['F?', 'Aug-22', 'axanthic', 'Skiff or Punt', 'unknown', '1.2 kg', '400 (with enclosure)'],
            ['1.0', '14 June 2021', '', 'Snake 1', 'n/a', '410g (5/24)', '£80'],
            ['♀', '6/14/21', 'Pastle', 'Snake 4', 'Nobody Known', 'heavy', 'lots'],
            ['perhaps', '2021/6/14', 'Mojave, Clown?', '', '', '', ''], ['0.1', '12.7.23', 'Albino', '', '', '1450 g (12 Aug 2024)', ''],
            ['female', 'summer 2020', 'BEL', 'Snake 2', '', '2,1 kg', ''], ['male', '~2018', 'Normal', '', '', '', '350'],
            ['male', '2021?', '50/66% het pied', '', '', '', ''],
            ['f', 'before 2018', 'Enchi', '', '', '', ''], ['f', '32/13/2023', '?', '-', '-', '900', '1.234,50'],
        ];
        for ($i = 1; $i <= 300; $i++) {
            $rows[] = [(string) $i, "Snake {$i}", ...$cells[($i - 1) % count($cells)], $i % 7 === 0 ? 'shy' : ''];
        }
        $rows[] = array_fill(0, 10, '');
        $this->followingRedirects()->upload('wild.csv', $this->csv($rows))->assertSee('300 of 300 rows can be brought in');
        $file = (string) tempnam(sys_get_temp_dir(), 'destino-');
        file_put_contents($file, $this->csv($rows));
        \Illuminate\Support\Facades\Artisan::call(
            'destino:import', ['file' => $file, '--json' => true, '--keeper' => 'owner@tests.localhost'],
        );
        $report = (array) json_decode(\Illuminate\Support\Facades\Artisan::output(), true);
        unlink($file);
        $this->assertSame([300, 300, []], [$report['taken'], $report['written'], $report['refused']]);
        $this->assertSame(
            ['sire', 'dam', 'genes'], [$report['columns']['Sire name'], $report['columns']['mum'], $report['columns']['Morph']],
        );
        $of = fn (int $i): Animal => Animal::query()->where('name', "Snake {$i}")->sole();
        $this->assertSame(
            [
                'June 2022', 'August 2022', '14 June 2021', '14 June 2021', '14 June 2021', '12 July 2023', '2020', '2018', '2021', null,
                null,
            ],
            array_map(fn (int $i): ?string => $of($i)->hatchedWords(), range(1, 11)),
        );
        $this->assertSame(
            ['male', 'female', 'male', 'female', null, 'female'], array_map(fn (int $i): ?string => $of($i)->sex?->value, range(1, 6)),
        );
        $this->assertSame([75, 100], [$of(2)->sex_certainty, $of(3)->sex_certainty]);
        $this->assertSame(
            [null, null, 410, null, null, 1450],
            array_map(fn (int $i): ?int => $of($i)->care()->where('kind', 'weight')->value('grams'), range(1, 6)),
        );
        $this->assertSame(
            [null, 40000, null, null, null, null, null, 35000], array_map(fn (int $i): ?int => $of($i)->price_cents, range(1, 8)),
        );
        $this->assertSame(
            [null, 'axanthic', '', 'Pastle', 'Mojave, Clown?', null, 'BEL', null],
            array_map(fn (int $i): ?string => $of($i)->genes_open, range(1, 8)),
        );
        $this->assertSame([null, null, $of(1)->id, null], array_map(fn (int $i): ?int => $of($i)->sire_id, range(1, 4)));
        $this->assertSame([null, null, null, 'Nobody Known'], array_map(fn (int $i): ?string => $of($i)->dam_name, range(1, 4)));
        foreach (array_slice($rows, 1, 11) as $i => $row) {
            $all = json_encode(
                [
                    $of($i + 1)->toArray(), $of($i + 1)->statements()->pluck('text'), $of($i + 1)->care()->get()->toArray(),
                    $of($i + 1)->hatchedWords(),
                ],
                JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            );
            foreach ([5 => 'Skiff or Punt', 7 => '~1500', 8 => '£80'] as $at => $word) {
                $row[$at] !== $word ?: $this->assertStringContainsString($word, (string) $all);
            }
        }
        $this->get('/animals')->assertSee('with genes to read');
        $this->get('/animals?open=1&view=list')->assertOk()->assertSee('genes not known');
        $this->get("/animals/{$of(4)->id}")->assertSee('Written was “Pastle”');
        $this->get("/pair?sire_id={$of(1)->id}&dam_id={$of(4)->id}")->assertSee('are not known');
        $this->post(
            "/animals/{$of(4)->id}/statements",
            ['text' => 'Pastel', 'source' => 'own', 'certainty' => '100', 'form_token' => (string) \Illuminate\Support\Str::uuid()],
        )->assertSessionHasNoErrors();
        $this->assertNull($of(4)->genes_open, 'what is said now stands for what could not be read');
    }

    public function test_equal_cells_are_answered_once_and_the_work_is_kept(): void
    {
        $preview = $this->followingRedirects()->upload(
            'list.csv', "name,sex,genes,sire\nSkiff,m,axanthic,\nTender,f,axanthic,Skiff or Punt\nPunt,m,Pastle,\n",
        );
        $preview->assertSee('Questions about this list')->assertSee('2 rows: 2, 3')->assertSee('value="Axanthic (line 1)"', false);
        $this->assertSame(1, preg_match('~/exchange/([0-9a-f-]{36})~', (string) $preview->getContent(), $found));
        $key = fn (string $field, string $text): string => \App\Exchange\RowReader::keyOf($field, $text);
        $this->post(
            "/exchange/{$found[1]}/answers",
            [
                'answers' => [
                    $key('genes', 'axanthic') => 'Axanthic (line 1)', $key('sire', 'Skiff or Punt') => 'Punt', $key('genes', 'Pastle') => '',
                ],
            ],
        )->assertRedirect();
        $this->get("/exchange/{$found[1]}")->assertSee('2 answered so far')->assertDontSee('2 rows: 2, 3');
        $this->post("/exchange/{$found[1]}/answers", ['answers' => ['x' => ['y']]])->assertSessionHasErrors('answers.x');
        $this->post("/exchange/{$found[1]}")->assertRedirectContains('/imports/');
        $tender = Animal::query()->where('name', 'Tender')->sole();
        $this->assertSame(
            ['Axanthic (line 1)', "sire as written: Skiff or Punt\ngenes as written: axanthic"],
            [$tender->statements()->sole()->text, implode("\n", array_reverse(explode("\n", (string) $tender->notes)))],
        );
        $this->assertSame(Animal::query()->where('name', 'Punt')->value('id'), $tender->sire_id);
        $this->assertSame('Pastle', Animal::query()->where('name', 'Punt')->value('genes_open'));
        $this->assertSame([], Storage::allFiles('imports'), 'nothing of it is left behind');
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
            ['destino-import/1', 0, true, 2, 2, 1],
            [$report['format'], $report['written'], $report['dry_run'], $report['rows'], $report['taken'], $report['with_remarks']],
        );
        $this->assertSame(
            [3, 'genes', 'Pastle', 'Pastel'],
            [$report['asked'][0]['row'], $report['asked'][0]['column'], $report['asked'][0]['text'], $report['asked'][0]['choices'][0]],
        );
        $this->assertSame([[], []], [$report['refused'], $report['left']]);
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
        $this->assertSheetIsTheSame($csv, $this->get('/exchange/download/xlsx')->assertOk()->streamedContent());
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

        $this->travelTo('2026-10-05');
        $calendar = \Sabre\VObject\Reader::read((string) $this->get('/exchange/download/ics')->getContent());
        $this->assertSame([], $calendar->validate());
        $due = \App\Season\Due::among($this->keeper(), \Illuminate\Support\Carbon::today())[0];
        $this->assertSame(['20261001', $due->from?->format('Ymd')], array_map(
            fn ($event): string => (string) $event->DTSTART, iterator_to_array($calendar->select('VEVENT'), false),
        ), 'laid, and the window that Today shows');
        $this->assertGreaterThanOrEqual('20261120', $due->from?->format('Ymd'));
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

    /** A workbook holds what the list holds, as texts and numbers: a name that begins like a formula is a name. */
    private function assertSheetIsTheSame(string $csv, string $workbook): void
    {
        $read = function (string $content, string $ending): Table {
            $file = tempnam(sys_get_temp_dir(), 'sheet').".{$ending}";
            file_put_contents($file, $content);
            try {
                return Table::read($file, "list.{$ending}");
            } finally {
                unlink($file);
            }
        };
        $table = $read($workbook, 'xlsx');
        $this->assertSame($read($csv, 'csv')->headings, $table->headings);
        $this->assertEquals($read($csv, 'csv')->rows, $table->rows);
        $this->assertContains('=Skiff', array_merge(...$table->rows));
        $this->assertStringNotContainsString('<f>', (string) file_get_contents('data://text/plain;base64,'.base64_encode($workbook)));
    }
}
