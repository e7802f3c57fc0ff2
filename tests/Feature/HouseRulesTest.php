<?php

namespace Tests\Feature;

use App\Models\Clutch;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

/** What a keeper chooses, and that every answer follows. */
class HouseRulesTest extends TestCase
{
    use RefreshDatabase;

    public function test_a_school_of_the_house_changes_the_odds_and_is_named(): void
    {
        $pair = '/pair?sire=Enchi+Cinnamon&dam=Normal&target=Enchi+Cinnamon';
        $this->get($pair)->assertSee('1/4 per egg');
        $this->put('/house', ['schools' => ['enchi-cinnamon-allelism' => 'allelic']])->assertSessionHasNoErrors();
        $this->get($pair)->assertSee('This pairing cannot make')->assertSee('Choice of the house');
        $this->get($pair.'&school[enchi-cinnamon-allelism]=separate')->assertSee('1/4 per egg'); // still to be asked under the other
        $this->put('/house', ['schools' => ['enchi-cinnamon-allelism' => 'perhaps']])
            ->assertSessionHasErrors('schools.enchi-cinnamon-allelism');
    }

    public function test_a_shared_word_means_the_line_of_the_house(): void
    {
        $this->get('/pair?sire=Axanthic&dam=Axanthic')->assertStatus(422);
        $this->put('/house', ['lines' => ['Axanthic' => 'Axanthic (line 2)']])->assertSessionHasNoErrors();
        $this->get('/pair?sire=Axanthic&dam=Axanthic')->assertOk()->assertSee('Every egg is the same: Axanthic (line 2).');
    }

    public function test_thresholds_words_and_units(): void
    {
        $animal = $this->made(['name' => 'Tender', 'hatched_on' => '2022-01-01']);
        $animal->care()->create(['kind' => 'weight', 'on' => now()->format('Y-m-d'), 'grams' => 1300]);
        $this->get("/animals/{$animal->id}")->assertSee('Too light: 1,300 g of the 1,500 g');
        $this->put(
            '/house', ['female_grams' => '1200', 'weight' => 'oz', 'dominance' => 'incomplete dominant', 'currency' => 'CHF'],
        )->assertSessionHasNoErrors();
        $this->get("/animals/{$animal->id}")->assertSee('Ready to breed by age and weight.');
        $this->post(
            "/animals/{$animal->id}/care", ['kind' => 'weight', 'grams' => '50', 'on' => now()->format('Y-m-d')],
        )->assertSessionHasNoErrors();
        $this->assertSame(1417, $animal->care()->latest('id')->first()?->grams);
        $this->get('/round/weight')->assertSee('last 50.0 oz');
        $this->get('/genes/pastel')->assertSee('incomplete dominant');
        $this->put('/house', ['female_grams' => '12'])->assertSessionHasErrors('female_grams');
    }

    public function test_refuse_and_warn(): void
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Spider']);
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'Spider']);
        $other = $this->made(['name' => 'Wherry', 'genotype' => 'Pastel']);
        $plan = fn (array $more): array => $more + ['sires' => [$sire->id]];

        $this->get("/pair?sire_id={$sire->id}&dam_id={$dam->id}")
            ->assertSee('Your house rules block this pairing')
            ->assertDontSee('Plan this pairing');
        $this->post('/clutches', $plan(['dam_id' => $dam->id, 'reason' => 'I want to']))->assertSessionHasErrors('house');
        // a fact is recorded
        $this->post('/clutches', $plan(['dam_id' => $dam->id, 'laid_on' => '2026-05-05']))->assertSessionHasNoErrors();

        $this->get("/pair?sire_id={$sire->id}&dam_id={$other->id}")->assertSee('Give a reason to plan this pairing');
        $this->post('/clutches', $plan(['dam_id' => $other->id]))->assertSessionHasErrors('reason');
        $this->post('/clutches', $plan(['dam_id' => $other->id, 'reason' => 'Both parents never wobbled.']))->assertSessionHasNoErrors();
        $this->assertSame('Both parents never wobbled.', Clutch::query()->latest('id')->first()?->reason);

        $this->put('/house', ['stances' => ['wobble' => 'inform', 'dies-in-the-egg' => 'warn']])->assertSessionHasNoErrors();
        $this->get("/pair?sire_id={$sire->id}&dam_id={$other->id}")->assertSee('Your house rules allow this pairing');
        $this->get("/pair?sire_id={$sire->id}&dam_id={$dam->id}")->assertSee('Give a reason to plan this pairing');
    }

    public function test_relatives_above_the_limit(): void
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male']);
        $young = $this->made(['name' => 'Wherry', 'sire_id' => $sire->id, 'genotype' => 'Pastel']);
        $pair = "/pair?sire_id={$sire->id}&dam_id={$young->id}";
        $this->get($pair)->assertSee('Your limit is 1/8.')->assertSee('Give a reason to plan this pairing');
        $this->put('/house', ['relatedness' => 'none'])->assertSessionHasNoErrors();
        $this->get($pair)->assertDontSee('Your limit is')->assertSee('Your house rules allow this pairing');
    }

    public function test_two_windows_do_not_overwrite_each_other(): void
    {
        $this->put('/house', ['version' => 0, 'weight' => 'oz'])->assertSessionHasNoErrors();
        $this->from('/house')
            ->followingRedirects()
            ->put('/house', ['version' => 0, 'weight' => 'g'])
            ->assertSee('changed while you were editing');
        $this->get('/house')->assertOk()->assertSee('value="oz" checked', false);
    }

    public function test_a_keepers_own_genes_names_and_weights(): void
    {
        $this->post(
            '/genes/own', ['kind' => 'gene', 'name' => 'Driftlight', 'inheritance' => 'recessive', 'effect' => 'light'],
        )->assertRedirect('/genes/own-driftlight');
        $this->get('/pair?sire=het+Driftlight&dam=Driftlight&target=Driftlight')->assertSee('Driftlight: 1/2 per egg');
        $this->post(
            '/genes/own',
            ['kind' => 'gene', 'name' => 'Puzzlebelly', 'inheritance' => 'unknown', 'effect' => 'pattern', 'locus' => 'yellowbelly'],
        )->assertSessionHasNoErrors();
        $this->get('/genes/own-puzzlebelly')->assertSee('How it is inherited is not known');
        $this->get('/pair?sire=Puzzlebelly/Gravel&dam=Normal&target=Gravel')->assertSee('Gravel: 1/2 per egg');

        $this->get('/pair?sire=Copper&dam=Normal')->assertSee('How it is inherited is not known to us');
        $this->post('/genes/own', ['kind' => 'gene', 'name' => 'Copper', 'inheritance' => 'recessive', 'effect' => 'colour'])->assertSessionHasNoErrors();
        $this->get('/pair?sire=het+Copper&dam=Copper&target=Copper')->assertSee('Copper: 1/2 per egg');

        $this->post('/genes/own', ['kind' => 'alias', 'gene' => 'pastel', 'name' => 'Harbour line'])->assertSessionHasNoErrors();
        $this->get('/pair?sire=Harbour+line&dam=Normal&target=Pastel')->assertSee('Pastel: 1/2 per egg');
        $this->post('/genes/own', ['kind' => 'alias', 'gene' => 'clown', 'name' => 'Harbour line'])->assertSessionHasErrors('name');

        $own = ['kind' => 'gene', 'inheritance' => 'incomplete-dominant', 'effect' => 'light'];
        $this->post(
            '/genes/own',
            [
                'name' => 'Moonlit', 'effects' => "yellow = -2\nflames = 1", 'two_effects' => 'fade = 2',
                'cues' => 'Pale spots above the nostrils = 10, 20, 70',
            ] + $own,
        )->assertSessionHasNoErrors();
        $this->get('/genes/own-moonlit')->assertSee('Pale spots above the nostrils')->assertSeeInOrder(['clear', 'in', '70']);
        $this->get(
            '/genes/compare?'.http_build_query(['genes' => ['Normal', 'Moonlit', 'Super Moonlit']]),
        )->assertSee('less yellow')->assertSee('whiter all over');
        foreach ([ // only one of two lines about the same could be kept
            'effects' => "yellow = 1\nYellow = -1", 'two_effects' => "fade = 1\nfade = 2", 'nicknames' => "Sunbee = Sunlit Spider\nsunbee = Sunlit Pastel",
            'compounds' => "Mojave = Sunmoon\nmojave = Moonsun", 'cues' => "Pale spots above the nostrils = 10, 20, 70\nPale spots above the nostrils = 70, 20, 10",
        ] as $field => $twice) {
            $this->post('/genes/own', ['name' => 'Sunlit', $field => $twice] + $own)->assertSessionHasErrors($field);
            $this->assertStringContainsString('speak of the same', session('errors')->getBag('gene')->first($field) ?: session('errors')->first($field));
        }
        foreach (['effects' => 'glow = 1', 'two_effects' => 'yellow = 9', 'cues' => 'Pale spots above the nostrils = 10, 20'] as $field => $wrong) {
            $this->post('/genes/own', ['name' => 'Sunlit', $field => $wrong] + $own)->assertSessionHasErrors($field);
        }
    }

    public function test_a_combination_has_the_name_that_the_house_gives_it(): void
    {
        $name = fn (string $name, string $means): \Illuminate\Testing\TestResponse => $this->post(
            '/genes/own', ['kind' => 'nickname', 'combination' => $name, 'means' => $means],
        );
        $name('Harbour Gold', 'pastel  enchi clown')->assertSessionHasNoErrors()->assertRedirect('/genes/own#names');
        $this->get('/genes/own')->assertSee('Harbour Gold')->assertSee('Pastel Enchi Clown');
        $this->get('/pair?sire=Harbour+Gold&dam=Clown')->assertOk()->assertSee('4 looks are possible')->assertDontSee('not a known gene');
        $animal = $this->made(['name' => 'Skiff', 'genotype' => 'Harbour Gold het Piebald']);
        $this->get("/animals/{$animal->id}")->assertSee('Pastel Enchi Clown het Piebald');
        $name('harbour gold', 'Mojave Clown')->assertSessionHasErrors('combination');
        $name('Pastel', 'Mojave Clown')->assertSessionHasErrors('combination');
        foreach (['Pastle Clown', 'Pastel', '50% het Clown Pastel', ''] as $wrong) {
            $name('Harbour Rose', $wrong)->assertSessionHasErrors('means');
        }
        $this->delete('/records/gene/'.$this->keeper()->geneChanges()->sole()->id)->assertRedirect();
        $this->get('/pair?sire=Harbour+Gold&dam=Clown')->assertStatus(422);
        $this->get("/animals/{$animal->id}")->assertOk()->assertSee('Harbour Gold het Piebald');
    }

    public function test_the_house_is_a_list_of_rooms_with_how_each_stands(): void
    {
        $this->get('/house/all')->assertOk()->assertSeeInOrder(
            ['Rules', 'All as shipped', 'Racks', 'No racks yet', 'Money', 'Balance', 'Import and export', 'Backups', 'People', 'Only you'],
        );
        $rack = $this->keeper()->racks()->create(['name' => 'Slipway', 'rows' => 2, 'columns' => 3]);
        $this->made(['name' => 'Gig', 'rack_id' => $rack->id, 'rack_row' => 1, 'rack_column' => 1]);
        $this->put('/house', ['weight' => 'oz', 'stances' => ['wobble' => 'inform']])->assertSessionHasNoErrors();
        $this->get('/house/all')->assertSee('1 rack, 5 of 6 tubs free')->assertSee('2 choices of your own');
    }
}
