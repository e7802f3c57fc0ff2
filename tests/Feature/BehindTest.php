<?php

namespace Tests\Feature;

use App\Collection\Doorway;
use App\Collection\Kept;
use App\Jobs\WorkOutBeliefs;
use App\Models\Animal;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** In a large collection a page shows what was known before the last change, and says so; nothing else ever does. */
class BehindTest extends TestCase
{
    use RefreshDatabase;

    private const SAYS = 'Updating the odds';

    private Animal $sire;

    private Animal $young;

    protected function setUp(): void
    {
        parent::setUp();
        config(['queue.default' => 'database']);
        Queue::fake();
        $this->sire = $this->made(['name' => 'Sire', 'sex' => 'male', 'genotype' => 'Pastel']);
        $dam = $this->made(['name' => 'Dam', 'genotype' => 'Normal']);
        $this->young = $this->made(['name' => 'Young', 'genotype' => '', 'sire_id' => $this->sire->id, 'dam_id' => $dam->id, 'sex' => 'female']);
        for ($i = 0; $i < 100; $i++) {
            $this->keeper()->animals()->create(['name' => "Hull {$i}", 'sex' => 'female']);
        }
        $this->worker();
        $this->show($this->young)->assertSee('possible Pastel (50%)')->assertDontSee(self::SAYS);
    }

    public function test_what_was_written_of_an_animal_shows_at_once_and_what_follows_for_others_when_it_is_worked_out(): void
    {
        $this->state($this->sire, 'Pastel het Clown');
        Queue::assertPushed(WorkOutBeliefs::class, 1);
        $this->show($this->sire)->assertSee('Pastel het Clown')->assertSee(self::SAYS);
        $this->show($this->young)->assertSee('possible Pastel (50%)')->assertDontSee('50% het Clown')->assertSee(self::SAYS);
        $this->get('/animals')->assertOk()->assertSee(self::SAYS);
        $this->getJson('/worked-out')->assertOk()->assertExactJson(['done' => false]);

        $this->worker();
        $this->getJson('/worked-out')->assertExactJson(['done' => true]);
        $this->show($this->young)->assertSee('50% het Clown')->assertDontSee(self::SAYS);
        $told = $this->texts();
        Cache::flush();
        $this->assertSame($this->texts(), $told);
    }

    public function test_a_corrected_or_removed_statement_is_not_outvoted_by_what_was_worked_out_before(): void
    {
        $statement = $this->sire->statements()->sole();
        $statement->update(['text' => 'Super Enchi']);
        $this->show($this->sire)->assertSee('<p class="answer mb-3">Super Enchi</p>', false)->assertSee(self::SAYS);
        $statement->delete();
        $this->show($this->sire)->assertDontSee('<p class="answer mb-3">Super Enchi</p>', false)
            ->assertDontSee('<p class="answer mb-3">Pastel</p>', false);
        $statement->restore();
        $this->worker();
        $this->show($this->sire)->assertSee('<p class="answer mb-3">Super Enchi</p>', false)->assertDontSee(self::SAYS);
        $this->show($this->young)->assertSee('<p class="answer mb-3">Enchi</p>', false);
    }

    public function test_looking_before_it_is_worked_out_leaves_nothing_behind(): void
    {
        $this->state($this->sire, 'Pastel het Clown');
        $kept = fn (): array => [
            app(Kept::class)->get("beliefs:{$this->keeper()->id}"), app(Kept::class)->get("kin:{$this->keeper()->id}"),
            app(Kept::class)->get("questions:{$this->keeper()->id}"),
        ];
        $before = $kept();
        foreach (['/animals', '/animals?genes=Clown', '/prove', "/pair?sire_id={$this->sire->id}&dam_id={$this->young->id}"] as $page) {
            $this->get($page)->assertOk()->assertSee(self::SAYS);
        }
        $this->assertSame(serialize($before), serialize($kept()));
        $this->worker();
        $told = $this->texts();
        $this->assertStringContainsString('het Clown', $told['Young']);
        Cache::flush();
        $this->assertSame($this->texts(), $told);
    }

    public function test_a_new_animal_is_there_at_once_and_one_that_was_removed_is_gone(): void
    {
        $new = $this->made(['name' => 'Skiff', 'genotype' => 'Enchi', 'sire_id' => $this->sire->id, 'dam_id' => $this->young->id]);
        $this->show($new)->assertSee('Enchi');
        $this->delete("/records/animal/{$this->young->id}")->assertRedirect();
        $this->get('/animals?find=Skiff')->assertOk()->assertSee("/animals/{$new->id}\"", false);
        $this->get('/animals?find=Young')->assertOk()->assertDontSee("/animals/{$this->young->id}\"", false);
        $this->get('/prove')->assertOk();
    }

    public function test_every_page_to_look_at_is_told_apart_from_those_that_wait(): void
    {
        $project = $this->keeper()->projects()->create(['name' => 'Heads', 'target' => 'Clown']);
        $this->state($this->sire, 'Pastel het Clown');
        foreach (['/young', '/season', '/projects', "/projects/{$project->id}"] as $page) {
            $this->get($page)->assertOk();
            $this->getJson('/worked-out')->assertExactJson(['done' => false]);
        }
        $this->get("/animals/{$this->young->id}/surer")->assertOk()->assertDontSee(self::SAYS);
        $this->show($this->young)->assertSee('50% het Clown');
    }

    public function test_evidence_is_worked_out_by_a_worker_and_kept(): void
    {
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $this->young->dam_id, 'label' => 'One', 'hatched_on' => '2025-07-01']);
        $clutch->sires()->create(['animal_id' => $this->sire->id]);
        $clutch->counts()->create(['saw' => 'Pastel', 'count' => 3]);
        $this->state($this->sire, 'Pastel 50% het Clown');
        $clutch->counts()->create(['saw' => 'not Clown', 'count' => 3]);
        $this->worker();
        $evidence = fn (): TestResponse => $this->get("/prove/{$this->sire->id}")->assertOk();
        $evidence()->assertSee('is being worked out')->assertSee(self::SAYS)->assertDontSee('without young of its own');
        $this->getJson('/worked-out')->assertExactJson(['done' => false]);
        $this->worker();
        $this->getJson('/worked-out')->assertExactJson(['done' => true]);
        $told = $evidence()->assertDontSee(self::SAYS)->assertSee('without young of its own')->getContent();
        $this->assertSame($told, $evidence()->getContent(), 'kept');

        $dam = $this->keeper()->animals()->findOrFail($this->young->dam_id);
        $this->state($dam, 'het Clown'); // of others, and it changes what the young say of him
        $evidence()->assertSee(self::SAYS)->assertSee('without young of its own');
        $this->worker();
        $changed = $evidence()->assertDontSee(self::SAYS)->assertSee('without young of its own')->getContent();
        $this->assertNotSame($told, $changed);
        Cache::flush();
        config(['queue.default' => 'sync']);
        $this->assertStringContainsString('without young of its own', (string) $evidence()->assertDontSee(self::SAYS)->getContent());
    }

    public function test_the_evidence_of_an_animal_that_is_gone_is_waited_for_by_nobody(): void
    {
        $this->get("/prove/{$this->young->id}")->assertOk();
        $this->delete("/records/animal/{$this->young->id}")->assertRedirect();
        $this->worker();
        $this->getJson('/worked-out')->assertExactJson(['done' => true]);
    }

    public function test_a_young_that_moves_to_another_clutch_moves_in_the_evidence(): void
    {
        config(['queue.default' => 'sync']);
        $clutches = [];
        foreach (['One' => '2024-07-01', 'Two' => '2025-07-01'] as $label => $on) {
            $clutch = $this->keeper()->clutches()->create(['dam_id' => $this->young->dam_id, 'label' => $label, 'hatched_on' => $on]);
            $clutch->sires()->create(['animal_id' => $this->sire->id]);
            $clutches[] = $clutch;
        }
        $this->state($this->sire, '50% het Clown');
        $this->state($this->keeper()->animals()->findOrFail($this->young->dam_id), 'Clown');
        $this->state($this->young, 'Clown');
        $this->young->update(['clutch_id' => $clutches[0]->id]);
        $this->get("/prove/{$this->sire->id}")->assertOk()->assertSee('One')->assertDontSee('Two');
        $this->young->update(['clutch_id' => $clutches[1]->id]);
        $this->get("/prove/{$this->sire->id}")->assertOk()->assertSee('Two')->assertDontSee('One');
    }

    public function test_a_page_that_finds_it_undone_asks_for_a_worker_and_waits_itself_when_none_comes(): void
    {
        $this->sire->statements()->create(['text' => 'Pastel het Clown', 'source' => 'own']); // by another program: nobody asked for it
        $this->show($this->young)->assertSee(self::SAYS);
        Queue::assertPushed(WorkOutBeliefs::class, 1);
        $this->travel(31)->seconds();
        $this->show($this->young)->assertSee('50% het Clown')->assertDontSee(self::SAYS);
    }

    public function test_what_is_exported_or_asked_by_a_program_waits_for_all_of_it(): void
    {
        $this->state($this->sire, 'Pastel het Clown');
        $query = http_build_query(['sire_id' => $this->sire->id, 'dam_id' => $this->young->id]);
        $this->assertStringContainsString('Clown', $this->get("/pair/outcomes.csv?{$query}")->assertOk()->streamedContent());
        $this->get("/animals/{$this->young->id}/ask")->assertOk()->assertSee('50% het Clown')->assertDontSee(self::SAYS);
    }

    public function test_a_changed_gene_fact_is_never_waited_for(): void
    {
        $this->put('/house', ['error_unrecorded' => '9'])->assertSessionHasNoErrors();
        $this->show($this->young)->assertSee('possible Pastel (50%)')->assertDontSee(self::SAYS);
    }

    public function test_what_was_counted_and_taken_back_since_still_has_its_page(): void
    {
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $this->young->dam_id, 'label' => 'One', 'hatched_on' => '2025-07-01']);
        $clutch->sires()->create(['animal_id' => $this->sire->id]);
        $count = $clutch->counts()->create(['saw' => 'Clown', 'count' => 2]);
        $this->worker();
        $this->get('/prove')->assertOk()->assertSee('but this was never recorded');
        $this->delete("/records/count/{$count->id}")->assertRedirect();
        $this->get('/prove')->assertOk()->assertSee(self::SAYS);
        $this->worker();
        $this->get('/prove')->assertOk()->assertDontSee('but this was never recorded');
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function show(Animal $animal): TestResponse
    {
        return $this->get("/animals/{$animal->id}")->assertOk();
    }

    private function state(Animal $animal, string $text): void
    {
        $this->post("/animals/{$animal->id}/statements", ['text' => $text, 'source' => 'own', 'certainty' => 100])
            ->assertSessionHasNoErrors();
    }

    private function worker(): void
    {
        (new WorkOutBeliefs($this->keeper()->id))->handle(app(Doorway::class));
    }

    /** @return array<string, string> */
    private function texts(): array
    {
        return app(Doorway::class)->within($this->keeper(), fn ($opened): array => $this->keeper()->animals()->orderBy('id')->get()
            ->mapWithKeys(fn (Animal $animal): array => [$animal->name => $opened->beliefs()->text($animal->id)])->all());
    }
}
