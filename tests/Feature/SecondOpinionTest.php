<?php

namespace Tests\Feature;

use App\Models\Animal;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Tests\TestCase;

class SecondOpinionTest extends TestCase
{
    use RefreshDatabase;

    private Animal $young;

    protected function setUp(): void
    {
        parent::setUp();
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Pastel het Clown', 'notes' => 'bites when fed', 'price_cents' => 123400]);
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'Mojave het Clown']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id, 'laid_on' => '2026-05-01', 'hatched_on' => '2026-06-28', 'hatched' => 3]);
        $clutch->sires()->create(['animal_id' => $sire->id]);
        $this->young = $this->made([
            'name' => 'Dory <3', 'sex' => 'female', 'sire_id' => $sire->id, 'dam_id' => $dam->id, 'clutch_id' => $clutch->id,
            'hatched_on' => '2026-06-28', 'genotype' => null, 'notes' => 'reserved for a neighbour',
        ]);
    }

    public function test_one_file_holds_all_that_a_friend_needs_and_nothing_else(): void
    {
        Storage::fake('local');
        $this->actingAs($this->keeper())->post("/animals/{$this->young->id}/photos", [
            'photo' => UploadedFile::fake()->image('dory.jpg', 320, 200), 'on' => '2026-07-01', 'caption' => 'after the first shed',
        ])->assertSessionHasNoErrors();
        $this->young->sightings()->create(['cue' => 'head-stamp', 'state' => 'sharp', 'on' => '2026-07-01', 'who' => 'Marlen']);
        $file = $this->get("/animals/{$this->young->id}/ask.html?".http_build_query(['question' => "Is it a Pastel?\n<script>alert(1)</script>"]))
            ->assertOk();
        $this->assertStringContainsString('attachment; filename="dory-3.html"', (string) $file->headers->get('Content-Disposition'));
        $html = (string) $file->getContent();
        foreach (['Dory &lt;3', 'Is it a Pastel?', '&lt;script&gt;', 'Skiff', 'Pastel het Clown', 'Tender', 'Mojave het Clown', 'What is open', 'as Marlen sees it', 'What would tell most', 'after the first shed', 'data:image/jpeg;base64,'] as $text) {
            $this->assertStringContainsString($text, $html);
        }
        foreach (['<script>', 'bites', 'neighbour', '1234', '<link', 'src="http', 'href='] as $text) {
            $this->assertStringNotContainsString($text, str_replace('href="#', '', $html), 'it stands alone, and tells nothing that is nobody’s business');
        }
        $this->assertGreaterThan(2, substr_count($html, '<svg'));
    }

    public function test_what_they_said_is_noted_as_theirs(): void
    {
        $this->get("/animals/{$this->young->id}/ask")->assertOk()->assertSee('Their answer');
        $this->post("/animals/{$this->young->id}/statements", [
            'who' => 'Marlen', 'text' => 'Pastel', 'source' => 'own', 'certainty' => '60', 'note' => 'the head says so',
            'form_token' => (string) Str::uuid(),
        ])->assertSessionHasNoErrors();
        $statement = $this->young->statements()->sole();
        $this->assertSame(['Marlen', 60, false], [$statement->who, $statement->certainty, $statement->names_all]);
        $this->get("/animals/{$this->young->id}")->assertSee('Marlen');
    }

    public function test_an_animal_of_which_nothing_is_known_can_be_asked_about(): void
    {
        $stray = $this->made(['name' => 'Stray', 'sex' => null, 'genotype' => null]);
        $this->get("/animals/{$stray->id}/ask")->assertOk()->assertSee('sex not known')->assertSee('Not recorded.');
    }
}
