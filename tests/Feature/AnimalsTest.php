<?php

namespace Tests\Feature;

use App\Models\Animal;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

class AnimalsTest extends TestCase
{
    use RefreshDatabase;

    private const RIGHT = [
        'name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Mojave 66% het Ultramel', 'hatched_on' => '2022-07-01',
        'notes' => "Shy.\nEats at night.",
    ];

    public function test_an_empty_collection_says_what_to_do_first(): void
    {
        $this->get('/animals')->assertOk()->assertSee('No animals yet.')->assertSee('Add an animal');
    }

    public function test_an_animal_is_added_shown_and_changed(): void
    {
        $this->post('/animals', self::RIGHT)->assertRedirect();
        $animal = Animal::query()->sole();
        $this->get("/animals/{$animal->id}")
            ->assertOk()
            ->assertSee('Skiff')
            ->assertSee('Mojave 66% het Ultramel')
            ->assertSee('1 July 2022');

        $this->assertSame(['001', 'Mojave 66% het Ultramel'], [$animal->number, $animal->statements()->sole()->text]);
        $this->put(
            "/animals/{$animal->id}",
            ['name' => 'Skiff the second', 'hatched_on' => '2022-07', 'sex' => 'unknown', 'version' => 1] + self::RIGHT,
        )->assertRedirect("/animals/{$animal->id}");
        $animal->refresh();
        $this->assertSame(
            ['Skiff the second', null, 'July 2022', 2], [$animal->name, $animal->sex, $animal->hatchedWords(), $animal->version],
        );
    }

    public function test_a_year_and_a_weight_beside_the_genes_go_to_their_fields(): void
    {
        $form = ['genotype' => 'Mojave 2021 1,450 g', 'hatched_on' => '', 'weight' => ''] + self::RIGHT;
        $this->post('/animals', $form)->assertSessionHas('said', fn (string $said): bool =>
            str_ends_with($said, 'is in the collection, hatched 2021 and 1450 g today, as written beside the genes.'));
        $animal = Animal::query()->sole();
        $this->assertSame(['2021', 1450], [$animal->hatchedWords(), $animal->care()->sole()->grams]);
        $this->assertSame('Mojave 2021 1,450 g', $animal->statements()->sole()->text);
        $this->post('/animals', ['name' => 'Second', 'number' => '', 'hatched_on' => '2020', 'weight' => '900'] + $form);
        $second = Animal::query()->where('name', 'Second')->sole();
        $this->assertSame(['2020', 900], [$second->hatchedWords(), $second->care()->sole()->grams], 'what the fields say stays');
        foreach (['Mojave DOB 14 June 2021' => '14 June 2021', 'Mojave born 06/12/2021' => null] as $genotype => $hatched) {
            $this->post('/animals', ['name' => $genotype, 'number' => '', 'genotype' => $genotype] + $form)->assertSessionHasNoErrors();
            $this->assertSame($hatched, Animal::query()->where('name', $genotype)->sole()->hatchedWords(), 'what can be read in two ways is not taken');
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function wrongForms(): iterable
    {
        yield 'no name' => [['name' => ''], 'name', 'Give the animal a name.'];
        yield 'a very long name' => [['name' => str_repeat('Skiff ', 20)], 'name', 'Shorten the name to 80 characters or fewer.'];
        yield 'no sex' => [['sex' => 'both'], 'sex', 'Choose male, female or not known.'];
        yield 'a misspelt gene' => [['genotype' => 'Mojvae'], 'genotype', '“Mojvae” is not a known gene. Did you mean Mojave?'];
        yield 'three alleles' => [['genotype' => 'Mojave Mystic Lesser'], 'genotype', 'all stand at one locus'];
        yield 'a female maker of males' => [
            ['genotype' => 'Banana (male maker)', 'sex' => 'female'], 'genotype', 'only a male can be a male maker',
        ];
        yield 'an empty genotype' => [['genotype' => ' '], 'genotype', 'Type what it carries'];
        yield 'a date that is none' => [['hatched_on' => '2022-13-45'], 'hatched_on', 'Enter the hatch date'];
        yield 'hatched tomorrow' => [['hatched_on' => '2999-01-01'], 'hatched_on', 'The hatch date lies in the future.'];
        yield 'endless notes' => [['notes' => str_repeat('x', 10001)], 'notes', 'The notes have more than 10,000 characters.'];
    }

    /** @param  array<string, mixed>  $wrong */
    #[DataProvider('wrongForms')]
    public function test_a_wrong_form_says_where_and_keeps_what_was_typed(array $wrong, string $field, string $message): void
    {
        $form = $wrong + self::RIGHT;
        $this->from('/animals/create')
            ->followingRedirects()
            ->post('/animals', $form)
            ->assertSee($message)
            ->assertSee($form['name'] === '' ? 'Shy.' : trim($form['name']));
        $this->postJson('/animals', $form)->assertStatus(422)->assertJsonValidationErrorFor($field);
        $this->assertSame(0, Animal::query()->count());
    }

    public function test_a_double_click_makes_one_animal(): void
    {
        $form = ['form_token' => (string) Str::uuid()] + self::RIGHT;
        $this->post('/animals', $form)->assertRedirect();
        $this->post('/animals', $form)->assertRedirect('/animals/'.Animal::query()->sole()->id);
    }

    public function test_two_windows_do_not_overwrite_each_other(): void
    {
        $animal = Animal::factory()->for($this->keeper(), 'keeper')->create(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Mojave']);
        $this->put("/animals/{$animal->id}", ['notes' => 'Mystic light', 'version' => 1] + self::RIGHT)->assertSessionHasNoErrors();
        $this->from("/animals/{$animal->id}/edit")
            ->followingRedirects()
            ->put("/animals/{$animal->id}", ['notes' => 'Lesser light', 'version' => 1] + self::RIGHT)
            ->assertSee('changed while you were editing')->assertSee('“Mystic light”')->assertSee('Lesser light');
        $this->assertSame('Mystic light', $animal->refresh()->notes);
    }

    public function test_markup_in_a_name_is_text(): void
    {
        $this->post('/animals', ['name' => '<b onmouseover=alert(1)>Skiff</b>'] + self::RIGHT);
        $this->get('/animals')->assertSee('<b onmouseover=alert(1)>Skiff</b>')->assertDontSee('<b onmouseover', false);
    }

    public function test_the_list_finds_by_name_gene_and_sex(): void
    {
        foreach (
            [['Skiff', 'male', 'Pastel'], ['Tender', 'female', 'het Piebald'], ['Wherry', 'female', 'Clown']] as [$name, $sex, $genotype]
        ) {
            Animal::factory()->for($this->keeper(), 'keeper')->create(['name' => $name, 'sex' => $sex, 'genotype' => $genotype]);
        }
        $this->get('/animals?find=piebald')->assertSee('Tender')->assertDontSee('Wherry');
        $this->get('/animals?find=%25')->assertSee('0 of 3 animals fit.');
        $this->get('/animals?genes=female')->assertSee('Wherry')->assertDontSee('Skiff');
        $this->get('/animals?genes=carries+pied')->assertSee('1 of 3 animals fit.')->assertSee('Tender')->assertDontSee('Wherry');
        $this->get('/animals?genes=not+Clown,+female')->assertSee('Tender')->assertDontSee('Wherry')->assertDontSee('Skiff');
        $this->get('/animals?genes=Normal')->assertSee('Tender')->assertDontSee('Skiff');
    }

    public function test_animals_that_may_fit_come_last_with_their_chance(): void
    {
        foreach (
            [
                ['Able', '66% het Clown'], ['Baker', 'Clown'], ['Charlie', '50% het Clown'], ['Delta', 'Yellow Belly or Gravel'],
            ] as [$name, $genotype]
        ) {
            Animal::factory()->for($this->keeper(), 'keeper')->create(['name' => $name, 'genotype' => $genotype]);
        }
        $this->get('/animals?genes=carries+Clown')
            ->assertSeeInOrder(['3 of 4', 'Baker', 'Able', "67\u{a0}% chance", 'Charlie', "50\u{a0}% chance"])
            ->assertDontSee('Delta');
        $this->get('/animals?'.http_build_query(['genes' => 'at least two of carries Clown, Gravel, Pastel']))->assertSee('0 of 4');
        $this->get('/animals?'.http_build_query(['genes' => 'Gravel or Clown']))
            ->assertSeeInOrder(['2 of 4', 'Baker', 'Delta', "50\u{a0}% chance"])->assertDontSee('Able');
        $this->get('/animals?genes=Gravel')->assertSeeInOrder(['1 of 4', 'Delta', "50\u{a0}% chance"]);
        $this->get('/animals?genes=Gravvel')->assertStatus(422)->assertSee('Did you mean Gravel?')->assertSee('value="Gravvel"', false);
    }

    public function test_three_hundred_animals_are_listed_in_pages(): void
    {
        Animal::factory()->count(300)
            ->for($this->keeper(), 'keeper')
            ->sequence(fn ($sequence): array => ['name' => sprintf('Snake %03d', $sequence->index)])
            ->create();

        $this->get('/animals')->assertSee('300 of 300 animals.')->assertSee('Snake 059')->assertDontSee('Snake 060');
        $this->get('/animals?page=5')->assertSee('Snake 299');
        $this->get('/animals?find=Snake+2&page=1')->assertSee('100 of 300 animals fit.');
        $sex = Animal::query()->where('name', 'Snake 299')->sole()->sex->value;
        $this->get('/pair')->assertOk()->assertDontSee('Snake 299');
        $this->getJson("/animals/names?sex={$sex}&find=snake+299")->assertOk()->assertJsonPath('0.text', fn (string $text): bool => str_starts_with($text, 'Snake 299'));
        $this->assertCount(20, $this->getJson("/animals/names?sex={$sex}&find=")->json());
    }

    public function test_a_record_that_can_no_longer_be_read_is_shown_as_typed(): void
    {
        $animal = Animal::factory()->for($this->keeper(), 'keeper')->create(['genotype' => 'Pastel Oldname']);

        $this->get("/animals/{$animal->id}")->assertOk()->assertSee('Pastel Oldname')->assertSee('is not a known gene');
        $this->get('/animals')->assertOk()->assertSee('cannot be read any more');
    }

    public function test_the_record_tells_what_is_passed_on_and_whom_to_pair(): void
    {
        $male = Animal::factory()->for($this->keeper(), 'keeper')->create([
            'name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Super Pastel 66% het Clown',
        ]);
        $female = Animal::factory()->for($this->keeper(), 'keeper')->create(['name' => 'Tender', 'sex' => 'female']);

        $this->get("/animals/{$male->id}")->assertSeeInOrder([
            'What he passes on', 'Pastel', 'always', 'Clown', '1/3', '1 in 3', 'Pair him with', 'Tender',
        ])
            ->assertSee("sire_id={$male->id}&dam_id={$female->id}");
        $this->get("/animals/{$female->id}")->assertSeeInOrder(['What she passes on', 'Pair her with', '1 male', 'Skiff']);
    }

    public function test_strangers_animals_do_not_exist(): void
    {
        $this->keeper();
        $stranger = Animal::factory()->for(User::factory(), 'keeper')->create(['name' => 'Hidden one']);

        $this->get('/animals')->assertDontSee('Hidden one');
        $this->get("/animals/{$stranger->id}")->assertNotFound();
        $this->get("/animals/{$stranger->id}/edit")->assertNotFound();
        $this->put("/animals/{$stranger->id}", self::RIGHT)->assertNotFound();
        $this->assertSame('Hidden one', $stranger->refresh()->name);
    }

    public function test_what_is_read_in_the_background_takes_nothing_typed_away(): void
    {
        $this->from('/animals/create')->post(
            '/animals',
            ['name' => 'Zephyr <3', 'sex' => 'male', 'genotype' => 'Pastle', 'form_token' => 'c8e5a7f4-6f0e-4f0a-9d0e-0b8f6a1c2d3e'],
        )->assertRedirect('/animals/create');
        // The page still open asks what it reads, between the redirect and the page that it leads to.
        $this->getJson('/read?'.http_build_query(['text' => 'Pastle', 'as' => 'male']))->assertOk();
        $this->get('/animals/create')->assertSee('Zephyr <3')->assertSee('is not a known gene');
        $this->get('/animals/create')->assertDontSee('Zephyr <3');
    }

    public function test_a_new_animal_comes_with_its_weight_and_its_tub(): void
    {
        $rack = $this->keeper()->racks()->create(['name' => 'Slipway', 'rows' => 1, 'columns' => 2]);
        $this->get('/animals/create')->assertSee('Slipway, 1·1')->assertSee('Weight today');
        $form = ['name' => 'Gig', 'sex' => 'female', 'genotype' => 'Pastel', 'weight' => '1450', 'tub' => "{$rack->id}:1:2",
            'form_token' => (string) Str::uuid()];
        foreach ([['tub' => "{$rack->id}:1:9"], ['tub' => 'x'], ['weight' => 'heavy']] as $wrong) {
            $this->post('/animals', $wrong + $form)->assertSessionHasErrors(array_keys($wrong));
        }
        $this->post('/animals', $form)->assertSessionHasNoErrors();
        $this->post('/animals', $form)->assertSessionHasNoErrors(); // a double click finds the tub taken by its own animal
        $animal = $this->keeper()->animals()->sole();
        $this->assertSame([1450, 'Slipway, tub 1·2'], [$animal->latestWeight?->grams, $animal->placeWords()]);
        $this->get('/animals/create')->assertSee('Slipway, 1·1')->assertDontSee('Slipway, 1·2');
        $this->post('/animals', ['name' => 'Punt', 'form_token' => (string) Str::uuid()] + $form)
            ->assertSessionHasErrors(['tub' => 'Another animal is in this tub, or there is no such tub. Choose another.']);
        $this->assertSame(1, $this->keeper()->animals()->count());
    }

    public function test_a_hatch_date_is_read_as_people_write_it_and_what_is_open_is_said(): void
    {
        foreach ([
            '14 June 2021' => '2021-06-14 day', '12.7.23' => '2023-07-12 day', 'Aug 2022' => '2022-08-01 month',
            '25/12/2022' => '2022-12-25 day', 'June 14th, 2021' => '2021-06-14 day', '2020' => '2020-01-01 year', '2022-8' => '2022-08-01 month',
        ] as $typed => $read) {
            $this->post('/animals', ['name' => "Of {$typed}", 'sex' => 'male', 'genotype' => 'Normal', 'hatched_on' => (string) $typed])
                ->assertSessionHasNoErrors();
            $animal = $this->keeper()->animals()->latest('id')->first();
            $this->assertSame($read, "{$animal->hatched_on->format('Y-m-d')} {$animal->hatched_precision->value}");
        }
        foreach (['3/4/2022' => 'two ways', 'before 2020' => 'not exact', '~2018' => 'not exact', 'soon' => 'Enter the hatch date'] as $typed => $why) {
            $answer = $this->post('/animals', ['name' => 'No', 'sex' => 'male', 'genotype' => 'Normal', 'hatched_on' => $typed]);
            $this->assertStringContainsString($why, (string) session('errors')?->first('hatched_on'));
            $answer->assertSessionHasInput('hatched_on', $typed);
        }
    }
}
