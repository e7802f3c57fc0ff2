<?php

namespace Tests\Feature;

use App\Models\Animal;
use App\Models\User;
use Database\Seeders\DemoSeeder;
use Illuminate\Foundation\Testing\RefreshDatabase;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

class FamilyTest extends TestCase
{
    use RefreshDatabase;

    public function test_parents_are_recorded_and_the_pedigree_is_drawn(): void
    {
        [$sire, $dam] = [$this->animal('Skiff', 'male'), $this->animal('Tender', 'female')];
        $this->post('/animals', $this->form(['sire_id' => $sire->id, 'dam_id' => $dam->id]))->assertSessionHasNoErrors();
        $young = Animal::query()->where('name', 'Wherry')->sole();

        $this->get("/animals/{$young->id}")->assertSeeInOrder(['Family', 'F = 0', 'Skiff', 'sire not known', 'Tender']);
        $this->get("/animals/{$sire->id}")->assertSeeInOrder(['Offspring', 'Wherry', 'with Tender']);
        $this->get("/animals/{$dam->id}")->assertSee('No parents recorded');
    }

    public function test_an_outside_parent_is_known_by_name_and_its_young_are_related(): void
    {
        $one = $this->animal('Skiff', 'male', ['sire_name' => 'Old Painter']);
        $other = $this->animal('Tender', 'female', ['sire_name' => 'Old Painter', 'dam_name' => 'Sally']);

        $this->get("/animals/{$one->id}")->assertSee('Old Painter')->assertSee('outside the collection');
        $this->get("/pair?sire_id={$one->id}&dam_id={$other->id}")
            ->assertSee("F = 1/8 (13\u{a0}%), like half siblings; both descend from Old Painter.")
            ->assertDontSee('above 1/8');
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function demoPairs(): iterable
    {
        yield 'full siblings' => [
            'Gunwale', 'Estuary',
            "F = 1/4 (25\u{a0}%), like full siblings or parent and young; both descend from Anchor, Brightwater. Your limit is 1/8",
        ];
        yield 'half siblings' => ['Gunwale', 'Halyard', 'like half siblings; both descend from Anchor.'];
        yield 'father and daughter' => ['Anchor', 'Halyard', 'like full siblings or parent and young; both descend from Anchor.'];
        yield 'strangers' => ['Inlet', 'Brightwater', 'No common ancestor on record.'];
    }

    #[DataProvider('demoPairs')]
    public function test_the_pairing_page_tells_how_closely_two_are_related(string $sire, string $dam, string $words): void
    {
        $this->seed(DemoSeeder::class);
        $this->actingAs(User::query()->where('email', 'boathouse@destino.localhost')->sole());
        $id = fn (string $name): int => Animal::query()->where('name', $name)->sole()->id;

        $this->get("/pair?sire_id={$id($sire)}&dam_id={$id($dam)}")->assertOk()->assertSee($words);
        $this->get("/pair/sheet?sire_id={$id($sire)}&dam_id={$id($dam)}")->assertOk()->assertSee($words);
    }

    public function test_relatedness_is_not_claimed_for_what_was_typed(): void
    {
        $this->get('/pair?sire=Pastel&dam=Pastel')->assertOk()->assertDontSee('inbreeding')->assertDontSee('common ancestor');
    }

    public function test_impossible_parents_are_refused(): void
    {
        $mother = $this->animal('Tender', 'female', ['hatched_on' => '2020-05-05']);
        $daughter = $this->animal('Wherry', 'female', ['dam_id' => $mother->id]);
        $this->keeper();
        $stranger = Animal::factory()->for(User::factory(), 'keeper')->create(['sex' => 'male', 'name' => 'Elsewhere']);

        $refused = fn (array $form, string $message) =>
            $this->put("/animals/{$mother->id}", $this->form($form + ['name' => 'Tender']))
                ->assertSessionHasErrors(array_key_last($form) === 'sire_id' ? ['sire_id' => $message] : ['dam_id' => $message]);
        $refused(['dam_id' => $mother->id], 'An animal is not its own parent.');
        $refused(['dam_id' => $daughter->id], 'Wherry descends from Tender and cannot be a parent of it.');
        $refused(['sire_id' => $daughter->id], 'Wherry is female, and the sire must be male.');
        $refused(['sire_id' => $stranger->id], 'The sire is not in your collection. Choose another, or write its name.');

        $this->post('/animals', $this->form(['hatched_on' => '2019-01-01', 'dam_id' => $mother->id]))
            ->assertSessionHasErrors(['dam_id' => 'Tender hatched on 5 May 2020, which is not before this animal.']);
    }

    /** @param  array<string, mixed>  $more */
    private function animal(string $name, string $sex, array $more = []): Animal
    {
        return Animal::factory()->for($this->keeper(), 'keeper')->create(['name' => $name, 'sex' => $sex] + $more);
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private function form(array $more): array
    {
        return $more + ['name' => 'Wherry', 'sex' => 'female', 'genotype' => 'Pastel'];
    }
}
