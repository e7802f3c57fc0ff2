<?php

namespace Tests\Feature;

use App\Clutch\Bench;
use App\Collection\Doorway;
use App\Models\Animal;
use App\Models\Decision;
use App\Models\OddTrait;
use App\Models\User;
use Database\Seeders\DemoSeeder;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Str;
use Opis\JsonSchema\Validator;
use Tests\TestCase;

class ProveTest extends TestCase
{
    use RefreshDatabase;

    public function test_the_demo_answers_what_its_clutches_say(): void
    {
        $this->demo();
        $jenny = $this->id('Calico Jenny');
        $this->get("/animals/{$jenny}")->assertSee('Calico 11% het Genetic Stripe');
        $this->get("/prove/{$jenny}")->assertOk()->assertSeeInOrder([
            'without young of its own', "het Genetic Stripe 67\u{a0}%", '2023 Anchor × Calico Jenny',
            "het Genetic Stripe 20\u{a0}%", '2025 Anchor × Calico Jenny', "without it: het Genetic Stripe 20\u{a0}%",
            "het Genetic Stripe 11\u{a0}%",
        ]);
        $this->get("/prove/{$jenny}/genetic-stripe")
            ->assertOk()
            ->assertSee('Anchor gives the fastest test: 2 hatchlings for 95 %, 4 for 99 %')
            ->assertSee('Or breed her sons back to her')
            ->assertSee('too uncertain a mate');
        $this->get('/prove')
            ->assertOk()
            ->assertSee('Does Calico Jenny carry Genetic Stripe?')
            ->assertSee('wanted by Painted stripes')
            ->assertSee('Is Pontoon Banana');
        $this->get(
            '/pair?'.http_build_query(['sire_id' => $this->id('Anchor'), 'dam_id' => $jenny, 'target' => 'Genetic Stripe']),
        )->assertSee('1 in 18 per egg');
    }

    public function test_the_hatchling_that_should_not_exist_is_explained_decided_and_taken_back(): void
    {
        $this->demo();
        $this->get('/prove')->assertSeeInOrder([
            'Zephyr', 'does not fit the recorded parents', 'Tidemark carries Piebald, but this was never recorded', "60\u{a0}%",
            'Zephyr was misidentified',
        ]);
        $zephyr = $this->id('Zephyr');
        foreach (["/animals/{$zephyr}", "/animals/{$zephyr}/puzzle"] as $inPlace) {
            $this->get($inPlace)->assertOk()->assertSeeInOrder(["animal-{$zephyr}", 'Tidemark carries Piebald, but this was never recorded']);
        }
        $this->get('/animals?view=list')->assertSee("/animals/{$zephyr}/puzzle");
        $this->get("/animals/{$this->id('Anchor')}/puzzle")->assertOk()->assertDontSee('does not fit the recorded parents');
        $form = [
            'explanation' => "unrecorded|a{$this->id('Tidemark')}|piebald", 'form_token' => (string) Str::uuid(), 'from' => "animal-{$zephyr}",
        ];
        $this->post('/prove/decisions', $form)->assertSessionHasErrors('reason');
        $this->post('/prove/decisions', ['from' => 'https://elsewhere.example', 'reason' => 'x'] + $form)->assertSessionHasErrors('from');
        $form['reason'] = 'Half her back is white: it cannot be anything else.';
        $this->post('/prove/decisions', $form)->assertSessionHasNoErrors()->assertRedirect("/animals/{$zephyr}");
        $this->post('/prove/decisions', $form);
        $decision = Decision::query()->sole();
        $this->get('/prove')->assertDontSee('does not fit the recorded parents')->assertSee('What you decided')->assertSee('Half her back is white');
        $this->assertSame(['Pinstripe het Piebald', 'Pinstripe Piebald'], array_map($this->text(...), ['Tidemark', 'Zephyr']));
        $this->get("/animals/{$this->id('Zephyr')}")->assertDontSee('cannot both be right');
        $this->assertSame(1, Animal::query()->where('name', 'Tidemark')->sole()->statements()->count(), 'no statement is overwritten');

        $this->delete("/records/decision/{$decision->id}")->assertRedirect('/prove');
        $this->get('/prove')->assertSee('does not fit the recorded parents');
        $this->assertSame('Pinstripe 60% het Piebald', $this->text('Tidemark'));

        foreach (['made-up|a1|', 'unrecorded|a99999|piebald', 'unrecorded|x1|'] as $wrong) {
            $this->post('/prove/decisions', ['explanation' => $wrong, 'reason' => 'So.'])->assertSessionHasErrors('explanation');
        }
        $this->assertSame(0, Decision::query()->count());
    }

    public function test_an_edited_rate_moves_the_odds_of_the_explanations(): void
    {
        $this->demo();
        $this->put('/house', ['error_unrecorded' => '500'])->assertSessionHasNoErrors();
        $this->get('/prove')->assertSee("94\u{a0}%");
    }

    public function test_a_new_count_changes_the_parents_at_once_and_the_digest_says_why(): void
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => '66% het Clown']);
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'Clown']);
        $this->get('/prove')->assertSee('See what new evidence changes')->assertDontSee('It begins with the first animal');
        $this->post('/prove/read')->assertRedirect('/prove');
        $this->get('/prove')->assertSee('Nothing is believed otherwise');
        $clutch = $this->keeper()->clutches()->create([
            'dam_id' => $dam->id, 'laid_on' => '2026-05-05', 'hatched_on' => '2026-07-05', 'hatched' => 5,
        ]);
        $clutch->sires()->create(['animal_id' => $sire->id]);
        $this->post("/clutches/{$clutch->id}/counts", ['saw' => 'not Clown', 'count' => 5])->assertSessionHasNoErrors();
        $this->assertSame('6% het Clown', $this->text('Skiff'));
        $this->get('/prove')->assertSeeInOrder(['66% het Clown', '6% het Clown', 'what young or other relatives showed']);
        $this->post("/clutches/{$clutch->id}/counts", ['saw' => 'Clown', 'count' => 1]);
        $this->assertSame('het Clown', $this->text('Skiff'));
    }

    public function test_an_empty_collection_is_told_what_to_do_first(): void
    {
        $this->get('/prove')->assertOk()->assertSee('It begins with the first animal')->assertSee('Add an animal');
    }

    public function test_a_family_full_of_contradictions_still_has_its_pages(): void
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Normal']);
        for ($i = 0; $i < 9; $i++) {
            $dam = $this->made(['name' => "Dam {$i}", 'genotype' => 'Normal']);
            $young = $this->made([
                'name' => "Young {$i}", 'sex' => 'male', 'genotype' => 'Clown', 'sire_id' => $sire->id, 'dam_id' => $dam->id,
            ]);
        }
        foreach (
            [
                '/prove', "/prove/{$young->id}", "/prove/{$sire->id}", "/prove/{$young->id}/clown", '/animals',
                "/animals/{$young->id}", '/pair',
            ] as $page
        ) {
            $this->get($page)->assertOk();
        }
        $this->get('/prove')->assertSee('does not fit the recorded parents')->assertSee('Young');
    }

    public function test_two_possible_sires_share_what_hatched(): void
    {
        [$one, $two] = [
            $this->made(['name' => 'One', 'sex' => 'male', 'genotype' => '50% het Clown']),
            $this->made(['name' => 'Two', 'sex' => 'male', 'genotype' => 'Normal']),
        ];
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'Clown']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id, 'hatched_on' => '2026-07-05', 'hatched' => 2]);
        foreach ([$one, $two] as $sire) {
            $clutch->sires()->create(['animal_id' => $sire->id]);
        }
        $clutch->counts()->create(['saw' => 'not Clown', 'count' => 2]);
        // The clutch is of one of them, either with 1/2: half of (1/2)² and half of 1, against 1.
        $this->assertSame('38% het Clown', $this->text('One'));
        $clutch->counts()->create(['saw' => 'Clown', 'count' => 1]);
        $this->assertSame('het Clown', $this->text('One'));
    }

    public function test_a_notebook_of_an_odd_look(): void
    {
        $this->get('/prove/traits/create')->assertOk();
        $this->post('/prove/traits', ['name' => '', 'first' => '', 'sex' => 'x', 'on' => '2099-01-01'])
            ->assertSessionHasErrors(['name', 'first', 'sex', 'on']);
        $form = [
            'name' => 'Ember', 'first' => 'Pilot', 'sex' => 'male', 'gene' => '', 'on' => '2024-06-01', 'notes' => 'A rim.',
            'form_token' => (string) Str::uuid(),
        ];
        $this->post('/prove/traits', $form)->assertRedirect();
        $this->post('/prove/traits', $form);
        $trait = OddTrait::query()->sole();
        $this->get("/prove/traits/{$trait->id}")
            ->assertOk()
            ->assertSee('not inherited')
            ->assertSee("42\u{a0}%")
            ->assertSee('Pilot × an unrelated normal female');
        $pilot = $trait->entries()->sole();
        $this->post(
            "/prove/traits/{$trait->id}/entries",
            ['name' => 'Wharf', 'sex' => 'female', 'look' => 'normal', 'count' => 1, 'on' => '2024-06-01'],
        )->assertSessionHasNoErrors();
        $wharf = $trait->entries()->where('name', 'Wharf')->sole();
        foreach ([['odd', 'male', 3], ['normal', 'female', 3], ['odd', 'female', 2]] as [$look, $sex, $count]) {
            $this->post(
                "/prove/traits/{$trait->id}/entries",
                [
                    'name' => 'young', 'sex' => $sex, 'look' => $look, 'count' => $count, 'sire_id' => $pilot->id,
                    'dam_id' => $wharf->id, 'on' => '2025-08-01',
                ],
            )->assertSessionHasNoErrors();
        }
        $this->get("/prove/traits/{$trait->id}")->assertSeeInOrder(['1 Jun 2024', '1 Aug 2025', '3 × young, male, odd']);
        foreach ([['count' => 4], ['sire_id' => $wharf->id, 'dam_id' => $pilot->id], ['sire_id' => $pilot->id], ['count' => 0]] as $wrong) {
            $this->post(
                "/prove/traits/{$trait->id}/entries",
                $wrong + ['name' => 'young', 'sex' => 'male', 'look' => 'odd', 'count' => 1, 'on' => '2025-08-01'],
            )->assertSessionHasErrors();
        }
        $this->assertSame(5, $trait->entries()->count());
    }

    public function test_luck_names_its_alternatives(): void
    {
        // 90 % right · (5/6)⁴⁰ against 5 % for a parent without it and 5 % · (11/12)⁴⁰ for hidden hits.
        $this->get('/luck?chance=1/6&eggs=40&hits=0')
            ->assertOk()
            ->assertSeeInOrder(['A parent does not carry it', "96\u{a0}%", 'How long to stay calm', 'Up to 17 eggs']);
        $this->get('/luck?chance=1/6&eggs=40&hits=1')->assertOk()->assertSeeInOrder(['A parent does not carry it', "0\u{a0}%"]);
        $this->get('/luck?chance=1/6&eggs=40&hits=0&not_carried=60%25&hidden=50%25')
            ->assertStatus(422)
            ->assertSee('leave nothing for plain luck');
    }

    public function test_the_command_prints_what_its_schema_says(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'destino-');
        $document = [
            'format' => 'destino-pedigree/1',
            'animals' => [
                ['id' => 'S', 'sex' => 'male', 'stated' => '66% het Clown'], ['id' => 7, 'sex' => 'female', 'stated' => 'Clown'],
                ['id' => 'K1', 'sex' => 'female', 'sire' => 'S', 'dam' => 7, 'saw' => 'not Clown'],
            ],
            'groups' => [['sire' => 'S', 'dam' => 7, 'saw' => 'not Clown', 'count' => 4]],
        ];
        file_put_contents($file, json_encode($document));
        $this->assertTrue(
            (new Validator)->validate(
                json_decode((string) json_encode($document)),
                (string) file_get_contents(base_path('docs/formats/pedigree.schema.json')),
            )->isValid(),
        );
        $this->assertSame(0, Artisan::call('destino:infer', ['file' => $file, '--json' => true]));
        $answer = Artisan::output();
        $this->assertTrue(
            (new Validator)->validate(
                json_decode($answer), (string) file_get_contents(base_path('docs/formats/posterior.schema.json')),
            )->isValid(),
        );
        $this->assertSame(
            ['S', '6% het Clown'],
            array_values(array_intersect_key(json_decode($answer, true)['animals'][0], ['id' => 1, 'text' => 1])),
        );
        $this->assertStringContainsString('"probability": "16/17"', $answer);
        foreach (
            [
                [['animals' => [['id' => 'A', 'stated' => 'Clwn']]], 'Clwn'],
                [['animals' => [['id' => 'A', 'sex' => 'male', 'sire' => 'A']]], 'circle'],
                [['groups' => [['dam' => 'A', 'saw' => 'Clown', 'count' => 0]]], 'count'],
            ] as [$wrong, $message]
        ) {
            file_put_contents($file, json_encode($wrong + ['format' => 'destino-pedigree/1', 'animals' => []]));
            $this->assertSame(2, Artisan::call('destino:infer', ['file' => $file, '--json' => true]));
            $this->assertStringContainsString($message, Artisan::output());
        }
        unlink($file);
    }

    private function demo(): void
    {
        $this->seed(DemoSeeder::class);
        $this->flushSession();
        $this->actingAs(User::query()->where('email', 'boathouse@destino.localhost')->sole());
    }

    private function text(string $name): string
    {
        $animal = Animal::query()->where('name', $name)->sole();

        return app(Doorway::class)->open(User::query()->findOrFail($animal->user_id))->beliefs()->text($animal->id);
    }

    private function id(string $name): int
    {
        return Animal::query()->where('name', $name)->sole()->id;
    }

    public function test_cues_read_on_the_bench_are_evidence_once(): void
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Clown']);
        $dam = $this->made(['name' => 'Tender', 'genotype' => '66% het Clown']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id, 'hatched_on' => '2026-06-28', 'hatched' => 1]);
        $clutch->sires()->create(['animal_id' => $sire->id]);
        $young = $this->made([
            'name' => 'Dory', 'sex' => null, 'genotype' => null, 'sire_id' => $sire->id, 'dam_id' => $dam->id, 'clutch_id' => $clutch->id,
            'hatched_on' => '2026-06-28',
        ]);
        $this->assertSame(['66% het Clown', 'possible Clown (33%) 66% het Clown'], [$this->text('Tender'), $this->text('Dory')]);
        $young->sightings()->create(['cue' => 'head-stamp', 'state' => 'odd shape', 'on' => '2026-07-01', 'who' => 'Marlen']);
        $this->assertSame('66% het Clown', $this->text('Tender'), 'what another saw counts for nothing');

        $young->sightings()->create(['cue' => 'head-stamp', 'state' => 'odd shape', 'on' => '2026-07-01']);
        $opened = app(Doorway::class)->open($this->keeper()->fresh());
        $genotypes = (new Bench($clutch, $opened))->found?->genotypes((string) $young->id, 20)[0] ?? [];
        $clowns = array_filter($genotypes, fn (array $one): bool => $one['alleles']['clown'] === ['clown', 'clown']);
        $share = array_sum(array_column($clowns, 'decimal'));
        $this->assertEqualsWithDelta(
            $share, $opened->shelf->targets()->read('Clown')->chanceFor($opened->beliefs()->belief($young->id), $opened->shelf->catalogue())->toFloat(),
            1e-6, 'the bench and the record say the same',
        );
        $this->assertGreaterThan(.9, $share);
        $belief = $opened->shelf->targets()->read('het Clown')->chanceFor($opened->beliefs()->belief($dam->id), $opened->shelf->catalogue())->toFloat();
        // P(dam het | seen) from P(Clown | seen) = x: her share is x + (1 − x) · (1/3) / (2/3).
        $this->assertEqualsWithDelta($share + (1 - $share) / 2, $belief, 1e-6);
        $this->get("/animals/{$young->id}")->assertSee('1 cue read on the bench');
        $young->sightings()->whereNull('who')->delete();
        $this->assertSame('66% het Clown', $this->text('Tender'));
    }
}
