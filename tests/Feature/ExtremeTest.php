<?php

namespace Tests\Feature;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Str;
use Tests\TestCase;

/** Good records hold much evidence, and unusual parentage: no page minds. */
class ExtremeTest extends TestCase
{
    use RefreshDatabase;

    public function test_seventy_young_that_are_not_clown(): void
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => '66% het Clown', 'hatched_on' => '2020-07-01']);
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'Clown', 'hatched_on' => '2019-07-01']);
        foreach (range(1, 7) as $year) {
            $this->post('/clutches', [
                'dam_id' => $dam->id, 'sires' => [$sire->id], 'laid_on' => 2018 + $year.'-04-01', 'eggs_good' => '10',
                'hatched_on' => 2018 + $year.'-06-01', 'hatched' => '10', 'sure' => '1',
            ])->assertSessionHasNoErrors();
        }
        foreach ($this->keeper()->clutches()->get() as $clutch) {
            $this->post(
                "/clutches/{$clutch->id}/counts", ['count' => '10', 'saw' => 'not Clown', 'form_token' => (string) Str::uuid()],
            )->assertSessionHasNoErrors();
        }
        foreach (['/animals', "/animals/{$sire->id}", "/prove/{$sire->id}", '/prove', '/pair?sire_id='.$sire->id.'&dam_id='.$dam->id.'&target=Clown', '/today', '/genes/confusions', "/clutches/{$clutch->id}/bench"] as $page) {
            $this->get($page)->assertOk();
        }
    }

    public function test_twenty_six_statements_that_agree(): void
    {
        $animal = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => '66% het Clown', 'hatched_on' => '2020-07-01']);
        foreach (range(1, 26) as $i) {
            $this->post(
                "/animals/{$animal->id}/statements",
                [
                    'text' => 'het Clown', 'source' => 'seller', 'who' => "Somebody {$i}", 'certainty' => '90',
                    'form_token' => (string) Str::uuid(),
                ],
            );
        }
        $this->assertSame(27, $animal->statements()->count());
        foreach (['/animals', "/animals/{$animal->id}", '/prove'] as $page) {
            $this->get($page)->assertOk();
        }
    }

    public function test_two_possible_sires_one_of_them_outside_and_no_label(): void
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Pastel', 'hatched_on' => '2020-07-01']);
        $other = $this->made(['name' => 'Punt', 'sex' => 'male', 'genotype' => 'Enchi', 'hatched_on' => '2020-07-01']);
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'Clown', 'hatched_on' => '2019-07-01']);
        foreach ([['sires' => [$sire->id, $other->id]], ['sires' => [$sire->id], 'outside' => 'A neighbour’s male'], ['outside' => 'Nobody’s']] as $sires) {
            $this->followingRedirects()->post(
                '/clutches', $sires + ['dam_id' => $dam->id, 'laid_on' => '2026-04-01', 'sure' => '1', 'form_token' => (string) Str::uuid()],
            )->assertOk()->assertSee('added');
        }
        foreach ($this->keeper()->clutches()->get() as $clutch) {
            $this->get("/clutches/{$clutch->id}")->assertOk();
            $this->get("/clutches/{$clutch->id}/bench")->assertOk();
            $this->get("/clutches/{$clutch->id}/edit")->assertOk();
        }
        $this->get('/clutches')->assertOk();
        $this->get('/today')->assertOk();
    }

    public function test_a_number_of_twenty_digits_blocks_nobody(): void
    {
        $this->post(
            '/animals',
            [
                'name' => 'Skiff', 'number' => '99999999999999999999', 'sex' => 'male', 'genotype' => 'Normal',
                'form_token' => (string) Str::uuid(),
            ],
        );
        $this->get('/animals/create')->assertOk();
        $this->post(
            '/animals', ['name' => 'Tender', 'sex' => 'female', 'genotype' => 'Normal', 'form_token' => (string) Str::uuid()],
        )->assertSessionHasNoErrors();
        $this->assertSame(1, $this->keeper()->animals()->where('name', 'Tender')->count());
    }
}
