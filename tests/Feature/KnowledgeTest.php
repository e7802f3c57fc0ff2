<?php

namespace Tests\Feature;

use App\Models\Animal;
use App\Models\Statement;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Str;
use Tests\TestCase;

/** Statements, and what every answer makes of them. */
class KnowledgeTest extends TestCase
{
    use RefreshDatabase;

    public function test_a_further_statement_changes_what_is_believed_and_every_pairing(): void
    {
        $dam = $this->made(['name' => 'Tender', 'genotype' => '66% het Clown']);
        $this->get("/pair?dam_id={$dam->id}&sire=Clown&target=Clown")->assertSee('Clown: 1/3 per egg');

        $this->post(
            "/animals/{$dam->id}/statements",
            $this->statement(['text' => 'het Clown', 'source' => 'laboratory', 'who' => 'shed sample']),
        )->assertSessionHasNoErrors();

        $this->get("/animals/{$dam->id}")->assertSeeInOrder([
            'het Clown', 'Statements', '66% het Clown', 'own identification', 'het Clown', 'a laboratory, shed sample',
        ]);
        $this->get("/pair?dam_id={$dam->id}&sire=Clown&target=Clown")->assertSee('Clown: 1/2 per egg');
        $this->get('/animals?genes=carries+Clown')->assertSee('1 of 1 animal fit.')->assertDontSee('chance it fits');
    }

    public function test_young_follow_their_parents(): void
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Clown']);
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'het Piebald']);
        $young = $this->made(['name' => 'Wherry', 'genotype' => 'Normal', 'sire_id' => $sire->id, 'dam_id' => $dam->id]);
        $this->get("/animals/{$young->id}")
            ->assertSee('het Clown 50% het Piebald')
            ->assertSeeInOrder(['Why, locus by locus', 'the recorded parents']);

        $statement = $dam->statements()->sole();
        $this->put("/statements/{$statement->id}", $this->statement(['text' => 'Piebald']))->assertSessionHasNoErrors();
        $this->get("/animals/{$young->id}")->assertSee('het Clown het Piebald');
        $this->get("/animals/{$dam->id}/history")->assertSeeInOrder(['statement changed', $this->owner->name, 'het Piebald', 'Piebald']);
    }

    public function test_a_conflict_shows_both_sides_and_overwrites_nothing(): void
    {
        $animal = $this->made(['name' => 'Tender', 'genotype' => 'Clown']);
        $this->post(
            "/animals/{$animal->id}/statements", $this->statement(['text' => 'het Clown', 'source' => 'seller']),
        )->assertSessionHasNoErrors();

        $this->get("/animals/{$animal->id}")->assertSeeInOrder([
            'These cannot both be right about Clown', '“Clown”, own identification', '“het Clown”, the seller',
        ]);
        $this->get('/animals')->assertSee('Records conflict. See why');
        $this->assertSame(['Clown', 'het Clown'], $animal->statements()->pluck('text')->all());

        $wrong = $animal->statements()->latest('id')->first();
        $this->followingRedirects()->delete("/records/statement/{$wrong?->id}")->assertSee('Undo')->assertDontSee('cannot both be right');
        $this->followingRedirects()->post("/records/statement/{$wrong?->id}/restore")->assertSee('cannot both be right');
    }

    public function test_a_wrong_statement_says_where(): void
    {
        $animal = $this->made(['sex' => 'female']);
        foreach (
            [
                ['text', 'Pastle', 'Did you mean Pastel'], ['text', 'Banana (male maker)', 'only a male'],
                ['certainty', '0', 'from 1 to 100 %'], ['source', 'rumour', 'Say who says so'],
                ['on', '2999-01-01', 'must be today or earlier'],
            ] as [$field, $value, $message]
        ) {
            $this->from("/animals/{$animal->id}")
                ->followingRedirects()
                ->post("/animals/{$animal->id}/statements", $this->statement([$field => $value]))
                ->assertSee($message, false);
        }
        $this->assertSame(1, Statement::query()->count());
    }

    public function test_unknown_sex_and_status(): void
    {
        $animal = $this->made(['name' => 'Cleat', 'sex' => null, 'genotype' => 'Clown']);
        $this->get("/animals/{$animal->id}")->assertOk()->assertSee('sex not known')->assertDontSee('Pair it');
        $this->get('/animals?genes=Clown,+female')->assertSee("50\u{a0}%");
        $this->get("/pair?sire_id={$animal->id}&dam=Normal")->assertStatus(422)->assertSee('The sex of Cleat is not known');

        $this->post(
            "/animals/{$animal->id}/status", ['status' => 'hold-back', 'on' => now()->format('Y-m-d')],
        )->assertSessionHasErrorsIn('status', 'reason');
        $this->post("/animals/{$animal->id}/status", ['status' => 'sold', 'on' => now()->format('Y-m-d')])->assertSessionHasNoErrors();
        $this->get('/animals')->assertSee('0 of 1 animal.')->assertSee('Include sold and dead');
        $this->get('/animals?gone=1')->assertSee('Cleat');
        $this->get('/animals?genes=Clown,+sold')->assertSee('1 of 1 animal fit.');
    }

    public function test_find_females_that_carry_it_and_are_ready(): void
    {
        foreach (
            [
                ['Ready', '2022-01-01', 1700, 'het Clown'], ['Light', '2022-01-01', 900, 'Clown'],
                ['Other', '2022-01-01', 1700, 'Pastel'],
            ] as [$name, $hatched, $grams, $genes]
        ) {
            $this->made(['name' => $name, 'hatched_on' => $hatched, 'genotype' => $genes])
                ->care()
                ->create(['kind' => 'weight', 'on' => now()->format('Y-m-d'), 'grams' => $grams]);
        }
        $this->get('/animals?genes=carries+Clown,+female,+ready')
            ->assertSee('1 of 3 animals fit.')
            ->assertSee('Ready')
            ->assertDontSee('Light');
        $this->getJson('/read?as=search&text=carries+Clown,+ready')->assertJsonPath('errors', []);
        $this->get('/animals?genes=carries+Clwn,+ready')->assertStatus(422)->assertSee('“Clwn” is not a known gene');

        $this->post(
            '/searches', ['name' => 'Clown girls', 'query' => 'genes=carries+Clown,+female,+ready&evil[]=x'],
        )->assertRedirect('/animals?genes=carries+Clown%2C+female%2C+ready');
        $this->get('/animals')->assertSee('Clown girls');
    }

    public function test_an_animal_taken_out_comes_back_with_everything(): void
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Clown']);
        $young = $this->made(['name' => 'Wherry', 'genotype' => 'Normal', 'sire_id' => $sire->id]);
        $this->followingRedirects()->delete("/records/animal/{$sire->id}")->assertSee('Removed: Skiff');
        $this->get("/animals/{$sire->id}")->assertNotFound();
        $this->get("/animals/{$young->id}")->assertOk();
        $this->followingRedirects()->post("/records/animal/{$sire->id}/restore")->assertSee('Restored: Skiff');
        $this->get("/animals/{$young->id}")->assertSee('het Clown');
    }

    public function test_racks_and_statements_that_changed_in_another_window_are_not_overwritten(): void
    {
        $rack = $this->keeper()->racks()->create(['name' => 'A', 'rows' => 2, 'columns' => 2]);
        $sent = ['rows' => '3', 'columns' => '2', 'version' => '1'];
        $this->put("/racks/{$rack->id}", ['name' => 'Left wall'] + $sent)->assertSessionHasNoErrors();
        $this->from('/racks')->followingRedirects()->put("/racks/{$rack->id}", ['name' => 'Right wall'] + $sent)
            ->assertSee('This rack was changed while you were editing')->assertSee('value="Right wall"', false);
        $this->assertSame('Left wall', $rack->refresh()->name);
        $this->put("/racks/{$rack->id}", ['name' => 'Right wall', 'version' => '2'] + $sent)->assertSessionHasNoErrors();
        $this->assertSame('Right wall', $rack->refresh()->name);

        $statement = $this->made(['genotype' => 'Clown'])->statements()->sole();
        $sent = ['source' => 'own', 'certainty' => '100', 'version' => '1'];
        $this->put("/statements/{$statement->id}", ['text' => 'Piebald'] + $sent)->assertSessionHasNoErrors();
        $this->put("/statements/{$statement->id}", ['text' => 'Pastel'] + $sent)->assertSessionHasErrors('version', null, 'statement');
        $this->assertSame('Piebald', $statement->refresh()->text);
    }

    public function test_numbers_follow_the_pattern_of_the_house(): void
    {
        $this->put('/house', ['number_pattern' => 'no counter'])->assertSessionHasErrors('number_pattern');
        $this->put('/house', ['number_pattern' => '{yy}-{000}'])->assertSessionHasNoErrors();
        foreach (['2024', '2024-05', '2025-01-01'] as $hatched) {
            $this->post(
                '/animals',
                [
                    'name' => "Of {$hatched}", 'sex' => 'unknown', 'genotype' => 'Normal', 'hatched_on' => $hatched,
                    'form_token' => (string) Str::uuid(),
                ],
            )->assertSessionHasNoErrors();
        }
        $this->assertSame(['24-001', '24-002', '25-001'], Animal::query()->orderBy('id')->pluck('number')->all());
        $this->post(
            '/animals', ['name' => 'Again', 'number' => '24-001', 'sex' => 'unknown', 'genotype' => 'Normal'],
        )->assertSessionHasErrors('number');
    }

    /**
     * @param  array<string, mixed>  $values
     * @return array<string, mixed>
     */
    private function statement(array $values): array
    {
        return $values + ['text' => 'Pastel', 'source' => 'own', 'certainty' => '100', 'names_all' => '1'];
    }
}
