<?php

namespace Tests\Feature;

use App\Models\Animal;
use App\Models\Clutch;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Tests\TestCase;

/** The story of a clutch as one page to send. */
class ClutchStoryTest extends TestCase
{
    use RefreshDatabase;

    private Clutch $clutch;

    private Animal $young;

    protected function setUp(): void
    {
        parent::setUp();
        $sire = $this->made(['name' => 'Rowan', 'sex' => 'male', 'genotype' => 'Pastel het Clown']);
        $dam = $this->made(['name' => 'Sorrel', 'sex' => 'female', 'genotype' => 'Clown']);
        $this->clutch = $this->keeper()->clutches()->create([
            'dam_id' => $dam->id, 'laid_on' => '2025-05-02', 'eggs_good' => 4, 'eggs_infertile' => 1, 'hatched_on' => '2025-07-01',
            'hatched' => 3, 'target' => 'Clown', 'notes' => 'a note of my own', 'reason' => 'for the buyer in May',
        ]);
        $this->clutch->sires()->create(['animal_id' => $sire->id]);
        $this->young = $this->made([
            'name' => 'Alder', 'sex' => 'female', 'genotype' => 'Pastel Clown', 'clutch_id' => $this->clutch->id, 'sire_id' => $sire->id,
            'dam_id' => $dam->id, 'notes' => 'bites', 'hatched_on' => '2025-07-01',
        ]);
        $this->made(['name' => 'Birch', 'genotype' => 'Pastel het Clown', 'clutch_id' => $this->clutch->id, 'hatched_on' => '2025-07-01']);
        $this->young->sale()->create(['asking' => 90000, 'buyer' => 'Marta Kerr']);
        $this->clutch->counts()->create(['saw' => 'Pastel', 'count' => 2]);
    }

    public function test_it_tells_parents_odds_luck_and_young_and_nothing_private(): void
    {
        foreach (['story', 'story.html'] as $page) {
            $this->get("/clutches/{$this->clutch->id}/{$page}")->assertOk()
                ->assertSee('Laid on 2 May 2025, hatched on 1 July 2025.')->assertSee('4 good eggs, 1 slug, 3 hatched.')
                ->assertSee('Rowan')->assertSee('Sorrel')->assertSee("25\u{a0}% of the hatchlings", false)
                ->assertSee('Made for Clown: 1 in 2 per egg', false)->assertSee('at least one in 4 eggs with 93.8', false) // 15/16
                ->assertSee('One is known to be.')->assertSee('Alder')->assertSee('Also counted: 2 × Pastel.', false)
                ->assertDontSee('a note of my own')->assertDontSee('buyer in May')->assertDontSee('Marta')->assertDontSee('90000')
                ->assertDontSee('bites');
        }
        $this->get("/clutches/{$this->clutch->id}")->assertSee("/clutches/{$this->clutch->id}/story", false);
    }

    public function test_the_file_brings_all_of_itself(): void
    {
        Storage::fake('photos');
        $this->post("/animals/{$this->young->id}/photos", [
            'photo' => UploadedFile::fake()->image('alder.jpg', 300, 200), 'on' => '2025-07-08', 'form_token' => (string) Str::uuid(),
        ])->assertSessionHasNoErrors();
        $file = $this->get("/clutches/{$this->clutch->id}/story.html")->assertOk()->assertDownload()->getContent();
        $this->assertStringContainsString('src="data:image/jpeg;base64,', (string) $file);
        $this->assertDoesNotMatchRegularExpression('~(src|href)="(?!data:|#)|<script|<link|url\((?!#)~', (string) $file);
        preg_match_all('/ id="([^"]+)"/', (string) $file, $ids);
        $this->assertNotEmpty($ids[1]);
        $this->assertSame([], array_diff(array_unique($this->referred((string) $file)), $ids[1]), 'what a drawing stands on is there');
    }

    public function test_a_clutch_of_which_little_is_known_has_one_too(): void
    {
        $dam = $this->made(['name' => 'Hazel', 'sex' => 'female', 'genotype' => '']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id]);
        $clutch->sires()->create(['name' => 'a male of a friend']);
        $this->get("/clutches/{$clutch->id}/story")->assertOk()->assertSee('a male of a friend')->assertDontSee('What could come')
            ->assertDontSee('What came');
        $this->get('/clutches/99999/story')->assertNotFound();
    }

    /** @return list<string> */
    private function referred(string $file): array
    {
        preg_match_all('/(?:href="#|url\(#)([^")]+)/', $file, $found);

        return $found[1];
    }
}
