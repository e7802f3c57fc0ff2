<?php

namespace Tests\Feature;

use App\Clutch\Bench;
use App\Collection\Doorway;
use App\Models\Animal;
use App\Models\Clutch;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\Support\Shelf;
use Tests\TestCase;

/** Parents that are corrected, and parents that were a name only until they came. */
class FollowTest extends TestCase
{
    use RefreshDatabase;

    /** @var array<string, Animal> */
    private array $animals = [];

    protected function setUp(): void
    {
        parent::setUp();
        foreach (['Skiff' => 'male', 'Wherry' => 'male', 'Punt' => 'male', 'Tender' => 'female', 'Gig' => 'female'] as $name => $sex) {
            $this->animals[$name] = $this->made(['name' => $name, 'sex' => $sex, 'genotype' => 'Pastel', 'hatched_on' => '2019-07-01']);
        }
    }

    public function test_young_follow_the_sires_of_their_clutch(): void
    {
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $this->animals['Tender']->id, 'laid_on' => '2025-05-01']);
        $clutch->sires()->create(['animal_id' => $this->animals['Skiff']->id]);
        $young = $this->young($clutch, 'Skiff');

        $this->change($clutch, ['Skiff', 'Wherry']);
        $this->assertNull($young->refresh()->sire_id, 'he was taken for granted, and is no longer');
        $this->change($clutch, ['Wherry']);
        $this->assertSame($this->animals['Wherry']->id, $young->refresh()->sire_id);
        $this->change($clutch, ['Wherry', 'Punt'], 'Gig');
        $this->assertSame([null, $this->animals['Gig']->id], [$young->refresh()->sire_id, $young->dam_id]);
    }

    public function test_a_sire_that_was_told_apart_stays_while_he_is_possible(): void
    {
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $this->animals['Tender']->id, 'laid_on' => '2025-05-01']);
        foreach (['Skiff', 'Wherry'] as $name) {
            $clutch->sires()->create(['animal_id' => $this->animals[$name]->id]);
        }
        $told = $this->young($clutch, 'Skiff');
        $open = $this->young($clutch, null);
        $this->change($clutch, ['Skiff', 'Wherry', 'Punt']);
        $this->assertSame([$this->animals['Skiff']->id, null], [$told->refresh()->sire_id, $open->refresh()->sire_id]);
        $this->change($clutch, ['Wherry', 'Punt']);
        $this->assertSame([null, null], [$told->refresh()->sire_id, $open->refresh()->sire_id], 'whom nobody holds possible any more');
        $this->change($clutch, ['Punt']);
        $this->assertSame(
            [$this->animals['Punt']->id, $this->animals['Punt']->id], [$told->refresh()->sire_id, $open->refresh()->sire_id],
        );
    }

    public function test_a_name_becomes_an_animal_when_the_keeper_says_so(): void
    {
        $dory = $this->made(['name' => 'Dory', 'genotype' => 'Clown', 'sire_name' => 'ÖLAND ', 'hatched_on' => '2022-07-01']);
        $elder = $this->made(['name' => 'Elder', 'genotype' => 'Clown', 'sire_name' => 'Öland', 'hatched_on' => '2015-07-01']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $this->animals['Tender']->id, 'laid_on' => '2025-05-01']);
        $clutch->sires()->create(['name' => 'öland']);
        $this->get('/animals/create?name=%C3%96land&sex=male')->assertOk()->assertSee('value="Öland"', false);
        $sire = $this->made(['name' => 'Öland', 'sex' => 'male', 'genotype' => 'Clown', 'hatched_on' => '2018-07-01']);
        $dam = $this->made(['name' => 'Öland', 'sex' => 'female', 'genotype' => 'Clown', 'hatched_on' => '2018-07-01']);

        $this->get("/animals/{$dam->id}")->assertDontSee('names as its');
        $this->get("/animals/{$sire->id}")->assertSee('Is this the Öland that Dory names as its sire?');
        $this->assertNull($dory->refresh()->sire_id, 'nothing is linked by itself');
        $this->post("/animals/{$sire->id}/link")->assertRedirect();
        $this->post("/animals/{$sire->id}/link")->assertSessionHas('said', 'No record names this parent any more.');
        $this->assertSame([$sire->id, null], [$dory->refresh()->sire_id, $dory->sire_name]);
        $this->assertSame('Öland', $elder->refresh()->sire_name, 'older than it is no young of it');
        $this->assertSame($sire->id, $clutch->sires()->sole()->animal_id);
    }

    public function test_kept_sperm_weighs_what_the_keeper_gives_it(): void
    {
        $this->animals['Punt']->statements()->delete();
        $this->animals['Punt']->statements()->create(['text' => 'Enchi', 'source' => 'own', 'names_all' => true]);
        $tender = $this->animals['Tender'];
        $form = [
            'dam_id' => $tender->id, 'sires' => [$this->animals['Skiff']->id, $this->animals['Wherry']->id], 'laid_on' => '2025-05-01',
            'kept_id' => $this->animals['Punt']->id, 'kept' => '20',
        ];
        foreach ([['kept' => '0'], ['kept' => '100'], ['kept_id' => $tender->id], ['kept_id' => $this->animals['Skiff']->id]] as $wrong) {
            $this->post('/clutches', $wrong + $form)->assertSessionHasErrors();
        }
        $this->post('/clutches', $form)->assertSessionHasNoErrors();
        $clutch = Clutch::query()->sole();
        $this->get("/clutches/{$clutch->id}")->assertSee('kept sperm of an earlier season, 20 %');
        $this->get("/clutches/{$clutch->id}/edit")->assertSee('value="20"', false);
        $young = $this->young($clutch, null);

        // Two of this season share 80 of 100; the kept one passes Enchi on to half of his young: 1/5 · 1/2.
        $target = Shelf::facts()->targets()->read('Enchi');
        $chance = fn (): string => $target->chanceFor(
            app(Doorway::class)->open($this->keeper()->fresh())->beliefs()->belief($young->id), Shelf::catalogue(),
        )->toString();
        $this->assertSame('1/10', $chance());
        $bench = new Bench($clutch, app(Doorway::class)->open($this->keeper()->fresh()));
        $this->assertEqualsWithDelta([.4, .4, .2], array_column($bench->sires(), 'share'), 1e-9);
        $this->put("/clutches/{$clutch->id}", ['kept_id' => '', 'kept' => '', 'version' => $clutch->refresh()->version] + $form)
            ->assertSessionHasNoErrors();
        $this->assertSame('0', $chance());
        // Certain: he alone is the sire, and Enchi comes to half.
        $this->put("/clutches/{$clutch->id}", ['sires' => [], 'kept' => '100', 'version' => $clutch->refresh()->version] + $form)
            ->assertSessionHasNoErrors();
        $this->assertSame('1/2', $chance());
    }

    private function young(Clutch $clutch, ?string $sire): Animal
    {
        return $this->made([
            'name' => 'Young '.Animal::query()->count(), 'genotype' => null, 'clutch_id' => $clutch->id, 'dam_id' => $clutch->dam_id,
            'sire_id' => $sire === null ? null : $this->animals[$sire]->id, 'hatched_on' => '2025-06-28',
        ]);
    }

    /** @param list<string> $sires */
    private function change(Clutch $clutch, array $sires, string $dam = 'Tender'): void
    {
        $this->put("/clutches/{$clutch->id}", [
            'dam_id' => $this->animals[$dam]->id, 'sires' => array_map(fn (string $name): int => $this->animals[$name]->id, $sires),
            'laid_on' => '2025-05-01', 'version' => $clutch->refresh()->version,
        ])->assertSessionHasNoErrors();
    }
}
