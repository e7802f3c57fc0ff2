<?php

namespace Tests\Feature;

use App\Exchange\Archive\Archive;
use App\Exchange\Errors\ExchangeError;
use App\Models\User;
use App\Photos\Darkroom;
use Destino\DestinoError;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Tests\TestCase;
use Throwable;

/** An archive that is whole but for one place: it is taken in and can be looked at, or refused in words, and then nothing of it stays. */
class BentArchiveTest extends TestCase
{
    use RefreshDatabase;

    /** Places in the first entries of each list; one in so many of what could be written there is tried, others in other places. */
    private const ONE_IN = 5;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
    }

    public function test_whatever_stands_at_one_place_it_is_taken_or_refused_in_words(): void
    {
        $document = $this->written();
        $to = User::factory()->create();
        $this->actingAs($to);
        $this->assertSame('taken', $this->taken($to, $document), 'as it is meant');
        $broken = [];
        $count = ['taken' => 0, 'refused' => 0];
        $turn = 0;
        foreach (self::places($document) as $place) {
            foreach (self::bent() as $what => $value) {
                if (++$turn % self::ONE_IN !== 0) {
                    continue;
                }
                $said = $this->taken($to, self::with($document, $place, $value));
                isset($count[$said]) ? $count[$said]++ : $broken[] = implode('.', $place)." with {$what}: {$said}";
            }
        }
        $this->assertSame([], $broken);
        $this->assertGreaterThan(20, $count['taken']);
        $this->assertGreaterThan(150, $count['refused']);
    }

    public function test_what_points_at_somebody_who_is_not_there_is_refused_or_left_out(): void
    {
        $document = $this->written();
        $to = User::factory()->create();
        $this->actingAs($to);
        foreach (array_keys($document) as $section) {
            if (! is_array($document[$section]) || ! array_is_list($document[$section]) || $document[$section] === []) {
                continue;
            }
            $said = $this->taken($to, [$section => []] + $document);
            $this->assertContains($said, ['taken', 'refused'], "without its {$section}");
            $twice = $this->taken($to, [$section => [...$document[$section], ...$document[$section]]] + $document);
            $this->assertContains($twice, ['taken', 'refused'], "with its {$section} twice");
        }
        $this->assertSame(0, $to->animals()->withTrashed()->count());
    }

    public function test_what_is_cut_off_or_is_none_is_refused(): void
    {
        $text = Archive::json($this->written());
        $refused = 0;
        foreach ([0, 1, 40, intdiv(strlen($text), 2), strlen($text) - 2] as $length) {
            try {
                self::open(substr($text, 0, $length));
                $this->fail("{$length} bytes are taken as an archive.");
            } catch (ExchangeError $error) {
                $this->assertStringContainsString('archive', $error->getMessage());
                $refused++;
            }
        }
        $this->assertSame(5, $refused);
    }

    /** @return string taken, refused, or what went wrong */
    private function taken(User $to, array $document): string
    {
        DB::beginTransaction();
        try {
            [$open, $photos] = self::open((string) json_encode($document, JSON_INVALID_UTF8_SUBSTITUTE));
            (new Archive($to, app(Darkroom::class)))->take($open, $photos);
            foreach (['/animals', '/clutches', '/season'] as $page) {
                $status = $this->get($page)->getStatusCode();
                if ($status >= 500) {
                    return "{$page} answers {$status} after it";
                }
            }

            return 'taken';
        } catch (DestinoError $error) {
            return trim($error->getMessage()) === '' ? 'refused without a word' : 'refused';
        } catch (Throwable $error) {
            return $error::class.": {$error->getMessage()}";
        } finally {
            DB::rollBack();
        }
    }

    /** @return array{array<string, mixed>, array<string, string>} */
    private static function open(string $text): array
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'destino-');
        file_put_contents($path, $text);
        try {
            return Archive::open($path);
        } finally {
            unlink($path);
        }
    }

    /** @return array<string, mixed> a small collection in which something of almost every kind is recorded */
    private function written(): array
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'number' => '7', 'genotype' => 'Pastel het Clown', 'hatched_on' => '2021-07-01']);
        $dam = $this->made(['name' => 'Tender', 'genotype' => '66% het Clown', 'hatched_on' => '2020-07-01']);
        $owner = $this->keeper();
        $clutch = $owner->clutches()->create(['dam_id' => $dam->id, 'laid_on' => '2025-05-05', 'hatched_on' => '2025-07-01', 'hatched' => 3]);
        $clutch->sires()->create(['animal_id' => $sire->id]);
        $clutch->counts()->create(['saw' => 'Clown', 'count' => 1]);
        $clutch->eggs()->create(['number' => 1]);
        $young = $this->made([
            'name' => 'Young', 'sex' => null, 'sire_id' => $sire->id, 'dam_id' => $dam->id, 'clutch_id' => $clutch->id, 'hatched_on' => '2025-07-01',
        ]);
        $clutch->alikeSets()->create(['target' => 'Clown', 'animals' => [$young->id]]);
        $this->post("/animals/{$dam->id}/care", ['kind' => 'weight', 'grams' => '1700', 'on' => '2026-01-02']);
        $this->post("/animals/{$dam->id}/care", ['kind' => 'feed', 'outcome' => 'taken', 'on' => '2026-01-03']);
        $this->post("/animals/{$sire->id}/statements", ['text' => '50% het Piebald', 'source' => 'seller', 'certainty' => '80']);
        $owner->projects()->create(['name' => 'Mine', 'target' => 'Clown', 'pinned' => [$sire->id]]);
        $owner->racks()->create(['name' => 'A', 'rows' => 2, 'columns' => 2]);
        $owner->oddTraits()->create(['name' => 'Odd']);
        $owner->incubators()->create(['name' => 'Box', 'place' => 'box', 'celsius' => 31.5, 'low' => 31, 'high' => 32]);
        $this->post('/genes/own', ['kind' => 'gene', 'name' => 'Driftlight', 'inheritance' => 'recessive', 'effect' => 'light']);
        $document = json_decode(Archive::json((new Archive($owner, app(Darkroom::class)))->document()), true);
        foreach (['animals' => 3, 'clutches' => 1, 'projects' => 1, 'racks' => 1] as $section => $least) {
            $this->assertGreaterThanOrEqual($least, count($document[$section]), $section);
        }

        return $document;
    }

    /** @return array<string, mixed> what may have been written at any place */
    private static function bent(): array
    {
        return [
            'nothing' => null, 'an empty list' => [], 'fields' => ['x' => ['y']], 'yes' => true, 'below nothing' => -1,
            'a whole number with a point' => 3.0, 'a huge share' => 1e300, 'an empty text' => '', 'a word' => 'Clown', 'nobody' => 424_242,
            'no such day' => '2026-02-31', 'marks' => "'\"><b>%_\\", 'a null byte' => "Clown\0", 'much text' => str_repeat('Pastel het Clown ', 300),
        ];
    }

    /**
     * @param array<string, mixed> $document
     * @return list<list<int|string>> ways to the values of the first entry of each list
     */
    private static function places(array $document): array
    {
        $places = [];
        foreach ($document as $section => $entries) {
            $places[] = [$section];
            $first = is_array($entries) ? (array_is_list($entries) ? [0 => $entries[0] ?? null] : $entries) : [];
            foreach ($first as $key => $entry) {
                $places[] = [$section, $key];
                foreach (is_array($entry) ? $entry : [] as $field => $value) {
                    $places[] = [$section, $key, $field];
                    foreach (is_array($value) && array_is_list($value) && is_array($value[0] ?? null) ? $value[0] : [] as $inner => $_) {
                        $places[] = [$section, $key, $field, 0, $inner];
                    }
                }
            }
        }

        return $places;
    }

    /**
     * @param array<string, mixed> $document
     * @param list<int|string> $place
     * @return array<string, mixed>
     */
    private static function with(array $document, array $place, mixed $value): array
    {
        $inside = &$document;
        foreach ($place as $key) {
            $inside = &$inside[$key];
        }
        $inside = $value;

        return $document;
    }
}
