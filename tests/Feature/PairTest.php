<?php

namespace Tests\Feature;

use App\Models\Animal;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

class PairTest extends TestCase
{
    use RefreshDatabase;

    public function test_one_side_empty_and_a_target_is_a_question_for_the_best_mate(): void
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Clown', 'hatched_on' => '2020-07-01']);
        foreach (['Tender' => 'Clown', 'Punt' => 'het Clown', 'Wherry' => '66% het Clown', 'Gig' => 'Pastel'] as $name => $genes) {
            $this->made(['name' => $name, 'sex' => 'female', 'genotype' => $genes, 'hatched_on' => '2019-07-01']);
        }
        $this->get("/pair?sire_id={$sire->id}&target=Clown")->assertOk()
            ->assertSeeInOrder(['The best mates for Skiff toward Clown', 'Skiff × Tender', 'Skiff × Punt', '1/2', 'Skiff × Wherry', '1/3'])
            ->assertSee('weigh first')->assertDontSee('Skiff × Gig');
        $this->get("/animals/{$sire->id}")->assertSee('Find mates')->assertSee('name="sire_id" value="'.$sire->id.'"', false);
        $this->get('/pair?target=Clown')->assertOk()->assertSeeInOrder(['The best pairs for Clown', 'Skiff × Tender']);
        $this->get('/pair?dam=het+Clown&target=Clown')->assertOk()->assertSeeInOrder(['The best mates toward Clown', 'Skiff × het Clown']);
        $this->get("/pair?sire_id={$sire->id}&target=Piebald")->assertOk()->assertSee('None of your animals can make Piebald in one clutch with Skiff.');
        $this->get("/pair?sire_id={$sire->id}&target=Pidbald")->assertUnprocessable();
        $this->get('/pair?dam=Clwn&target=Clown')->assertUnprocessable();
    }

    public function test_what_a_ranking_leaves_out_is_said(): void
    {
        foreach (range(1, 16) as $i) {
            $this->made(['name' => "Hull {$i}", 'sex' => 'male', 'genotype' => $i > 14 ? 'Pastel' : 'het Clown']);
            $this->made(['name' => "Keel {$i}", 'sex' => 'female', 'genotype' => $i > 12 ? 'Clown' : 'het Clown']);
        }
        $this->get('/pair?target=Clown')->assertOk()->assertDontSee('Hull 15 ×')->assertSeeInOrder([
            'the 14 of each sex that carry most of it were crossed: 196 pairings of 256, 196 give it, the best 25 are shown', '× Keel 13',
        ]);
    }

    public function test_the_answer_comes_first_and_everything_behind_it_follows(): void
    {
        $this->get(
            '/pair?'
                .http_build_query([
                    'sire' => 'Pastel het Clown', 'dam' => 'Mojave/Mystic 66% het Clown', 'target' => 'Clown', 'eggs' => 5,
                    'by' => 'genotype',
                ]),
        )
            ->assertOk()
            ->assertSeeInOrder([
                "Clown: 1 in 6 per egg (17\u{a0}%), likely in one clutch.", 'genotypes are possible', 'In one clutch',
                'Before you pair them', 'All outcomes', 'The square behind each locus', 'What this rests on',
            ])
            // 2/3·(1 − (3/4)⁵) = 0.5085
            ->assertSee("51\u{a0}%")->assertSee('never')->assertSee("no number of eggs passes 67\u{a0}%")
            ->assertHeader('Content-Security-Policy');
    }

    public function test_animals_of_the_collection_are_paired_by_number(): void
    {
        $sire = Animal::factory()->for($this->keeper(), 'keeper')->create([
            'name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Mojave het Ultramel',
        ]);
        $dam = Animal::factory()->for($this->keeper(), 'keeper')->create([
            'name' => 'Tender', 'sex' => 'female', 'genotype' => 'Mystic het Ultramel',
        ]);

        $this->get("/pair?sire_id={$sire->id}&dam_id={$dam->id}&target=Ultramel+%2B+Mojave/Mystic")
            ->assertOk()
            ->assertSeeInOrder(['<strong>Skiff</strong>', 'Mojave het Ultramel', '×', '<strong>Tender</strong>', 'Mystic het Ultramel'], false)
            ->assertSee('1/16 per egg');
        $this->get("/pair?sire_id={$sire->id}&sire=Mojave&dam_id={$dam->id}")->assertOk()
            ->assertSeeInOrder(['<strong>Skiff, changed</strong>', '×', '<strong>Tender</strong>'], false);
    }

    public function test_what_was_looked_at_last_is_offered_on_the_empty_page(): void
    {
        $this->get('/pair')->assertOk()->assertDontSee('Looked at last');
        foreach (['Pastel', 'Mojave', 'Enchi', 'Fire', 'Spotnose', 'Cinnamon', 'Mojave'] as $sire) {
            $this->get("/pair?sire={$sire}&dam=Clown&target=het+Clown")->assertOk();
        }
        $page = $this->get('/pair')->assertOk()
            ->assertSeeInOrder(['Mojave × Clown, wanted het Clown', 'Cinnamon × Clown', 'Spotnose × Clown', 'Fire × Clown', 'Enchi × Clown'])
            ->assertDontSee('Pastel × Clown');
        $this->assertSame(1, substr_count((string) $page->getContent(), 'Mojave × Clown'), 'one asked twice is there once');
        $this->get('/pair?sire=Pastle&dam=Clown')->assertUnprocessable();
        $this->get('/pair')->assertDontSee('Pastle');
    }

    public function test_ties_are_said_in_plain_words(): void
    {
        $this->get('/pair?sire=Pastel&dam=Normal')->assertSee('2 looks are possible. Each 1 in 2.');
        $this->get('/pair?sire=Pastel&dam=Pastel&by=genotype')->assertSee('3 genotypes are possible. Most likely Pastel, 1 in 2.');
        $this->get('/pair?sire=Pastel&dam=Pastel+Clown&by=genotype')->assertSee('3 genotypes are possible');
        $this->get('/pair?sire=Pastel+Enchi&dam=Enchi&by=look')
            ->assertSee('6 looks are possible. Most likely 2 of them, 1 in 4 each.');
    }

    public function test_the_link_opens_exactly_this_pairing_again(): void
    {
        $query = [
            'sire' => 'Spider', 'dam' => 'Spider Enchi Cinnamon', 'target' => 'not Spider', 'eggs' => '9', 'by' => 'look',
            'sexed' => '1', 'hatched' => '1', 'school' => ['enchi-cinnamon-allelism' => 'allelic'],
        ];
        $page = $this->get('/pair?'.http_build_query($query))->assertOk();
        preg_match('/<a href="([^"]+)">Link to this pairing/', (string) $page->getContent(), $link);
        parse_str((string) parse_url(html_entity_decode($link[1]), PHP_URL_QUERY), $again);

        $this->assertEquals($query, $again);
        $this->assertSame($page->getContent(), $this->get(html_entity_decode($link[1]))->getContent());
    }

    public function test_a_school_changes_the_numbers_and_says_so(): void
    {
        $query = ['sire' => 'Enchi Cinnamon', 'dam' => 'Normal', 'target' => 'Enchi + Cinnamon'];
        $this->get('/pair?'.http_build_query($query))
            ->assertSee('1/4 per egg')
            ->assertSee('Is enchi an allele at the cinnamon locus, which black pastel shares?');
        $this->get('/pair?'.http_build_query($query + ['school' => ['enchi-cinnamon-allelism' => 'allelic']]))
            ->assertSee('Each part of the target can happen, but not together');
    }

    public function test_the_full_list_as_csv(): void
    {
        $response = $this->get(
            '/pair/outcomes.csv?'
                .http_build_query([
                    'sire' => 'Pastel het Clown', 'dam' => 'Mojave/Mystic het Clown', 'by' => 'genotype', 'target' => 'Clown',
                ]),
        );
        $rows = array_map(
            fn (string $line): array => str_getcsv($line, ',', '"', ''),
            explode("\n", trim($response->assertOk()->streamedContent())),
        );

        $this->assertCount(13, $rows);
        $this->assertSame(['1', 'Pastel Mojave het Clown', '', '1/8', '0.125', '', '', '1', '0'], $rows[1]);
        $this->assertEqualsWithDelta(1.0, array_sum(array_column(array_slice($rows, 1), 4)), 1e-12);
    }

    public function test_a_long_export_says_where_it_stops(): void
    {
        config(['destino.export_rows' => 5]);
        $text = $this->get(
            '/pair/outcomes.csv?'.http_build_query(['sire' => 'Pastel Enchi Mojave', 'dam' => 'Pastel Fire', 'by' => 'genotype']),
        )->streamedContent();

        $this->assertStringContainsString('Only the 5 most likely of 24 outcomes are in this file.', $text);
    }

    public function test_the_whole_list_is_a_click_away(): void
    {
        $query = ['sire' => 'Pastel Mojave Spotnose Leopard', 'dam' => 'Enchi Yellow Belly Fire Mahogany', 'by' => 'genotype'];
        $first = $this->get('/pair?'.http_build_query($query))->assertSee('60 of 256 listed')->assertSee('List all');
        $this->assertSame(60, substr_count((string) $first->getContent(), '<tr id="outcome-'));
        $whole = $this->get('/pair?'.http_build_query($query + ['rows' => 'all']))
            ->assertSee('256 of 256 listed')
            ->assertDontSee('List all');
        $this->assertSame(256, substr_count((string) $whole->getContent(), '<tr id="outcome-'));
    }

    public function test_another_animal_chosen_takes_the_place_of_the_text_of_the_one_before(): void
    {
        $make = fn (string $name, string $genotype): Animal => Animal::factory()->for($this->keeper(), 'keeper')->create(
            ['name' => $name, 'sex' => 'male', 'genotype' => $genotype],
        );
        [$skiff, $punt] = [$make('Skiff', 'Mojave'), $make('Punt', 'Clown')];
        $ask = fn (array $query) => $this->get('/pair?'.http_build_query($query + ['dam' => 'Clown', 'target' => 'Clown']))->assertOk();

        $ask(['sire_id' => $punt->id, 'sire_was' => $skiff->id, 'sire' => 'Mojave'])->assertSee('Clown: 1 per egg')
            ->assertSeeInOrder(['<strong>Punt</strong>', '×', '<strong>Clown</strong>'], false);
        $ask(['sire_id' => $punt->id, 'sire_was' => $skiff->id, 'sire' => 'het Clown'])->assertSee('Clown: 1/2 per egg')
            ->assertSee('Punt, changed');
        $ask(['sire_id' => $punt->id, 'sire_was' => $punt->id, 'sire' => 'Mojave'])->assertSee('This pairing cannot make')
            ->assertSee('Punt, changed');
    }

    public function test_the_sheet_to_print(): void
    {
        $this->get('/pair/sheet?sire=Banana+(male+maker)&dam=Pinstripe&target=Banana,+female&eggs=7')
            ->assertOk()
            ->assertSee('7 in 200 per egg')
            ->assertSee('In 7 eggs');
        $this->get('/pair/sheet?sire=Pastle&dam=Normal')->assertStatus(422);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badInput(): iterable
    {
        $pair = ['sire' => 'Pastel', 'dam' => 'Mojave'];
        yield 'misspelt' => [['sire' => 'Pastle'] + $pair, '“Pastle” is not a known gene. Did you mean Pastel or Pastave?'];
        yield 'two faults at once' => [['sire' => 'Pastle', 'dam' => 'Mojvae'], '“Mojvae” is not a known gene.'];
        yield 'three alleles' => [['dam' => 'Mojave Mystic Lesser'] + $pair, 'Mojave, Mystic and Lesser all stand at one locus'];
        yield 'a shared word' => [
            ['sire' => 'Axanthic'] + $pair,
            'can mean several things: Axanthic (line 1), Axanthic (line 2), Axanthic (line 3) or Axanthic (line 4)?',
        ];
        yield 'an impossible percentage' => [['sire' => '150% het Clown'] + $pair, 'it must be more than 0% and at most 100%'];
        yield 'an empty dam' => [['dam' => ' '] + $pair, 'Type what the female carries'];
        yield 'a target that cannot be read' => [['target' => '66% het Clown'] + $pair, 'a target has no percentages'];
        yield 'eggs in words' => [['eggs' => 'six'] + $pair, 'Enter the eggs as a whole number from 1 to 1000.'];
        yield 'a million eggs' => [['eggs' => '1000000'] + $pair, 'Enter the eggs as a whole number from 1 to 1000.'];
        yield 'markup' => [['sire' => '<script>alert(1)</script>'] + $pair, 'has no meaning here'];
        yield 'ten thousand characters' => [
            ['dam' => str_repeat('Pastel Æ<', 1112)] + $pair, 'The text has 10,008 characters; at most 2000 can be read.',
        ];
        yield 'an animal that is not there' => [['sire_id' => '999'] + $pair, 'That animal is not in your collection.'];
        yield 'an unknown school' => [
            ['school' => ['spider-two-copies' => 'perhaps']] + $pair, '“perhaps” is not a school of spider-two-copies.',
        ];
        yield 'nothing hatches' => [
            ['sire' => 'Super Champagne', 'dam' => 'Super Champagne', 'hatched' => 1],
            'Every egg of this pairing dies of its form',
        ];
    }

    public function test_a_list_where_a_text_belongs_is_named(): void
    {
        $this->get('/pair?sire[]=Pastel&dam=Mojave')
            ->assertStatus(400)
            ->assertSee('“sire” takes one value.');
    }

    /** @param  array<string, mixed>  $query */
    #[DataProvider('badInput')]
    public function test_bad_input_gets_a_message_at_its_place_and_loses_nothing(array $query, string $message): void
    {
        $response = $this->get('/pair?'.http_build_query($query))->assertStatus(422)->assertSee(str_replace('10,008', '10008', $message));

        foreach (['sire', 'dam', 'target', 'eggs'] as $field) {
            if (is_string($query[$field] ?? null)) {
                $response->assertSee($query[$field]); // escaped, as typed
            }
        }
        $response->assertDontSee('<script>alert', false)->assertDontSee('Stack trace');
    }

    public function test_the_same_animal_twice_and_two_females(): void
    {
        $dam = Animal::factory()->for($this->keeper(), 'keeper')->create(['name' => 'Tender', 'sex' => 'female']);
        $other = Animal::factory()->for($this->keeper(), 'keeper')->create(['name' => 'Wherry', 'sex' => 'female']);

        $this->get("/pair?sire_id={$dam->id}&dam_id={$dam->id}")->assertStatus(422)->assertSee('This is the same animal twice.');
        $this->get("/pair?sire_id={$other->id}&dam_id={$dam->id}")
            ->assertStatus(422)
            ->assertSee('Wherry is female, and the sire must be male.');
    }

    public function test_a_strangers_animal_cannot_be_paired(): void
    {
        $this->keeper();
        $stranger = Animal::factory()->for(User::factory(), 'keeper')->create(['sex' => 'male', 'genotype' => 'Super Fire']);

        $this->get("/pair?sire_id={$stranger->id}&dam=Normal")->assertStatus(422)->assertDontSee('Super Fire');
    }

    public function test_thirty_genes_on_each_side(): void
    {
        $genes = 'Pastel Orange Dream Enchi Mojave Fire Gravel Cinnamon Banana Mahogany Chocolate GHI Gorilla Spotnose Leopard Champagne HGW Woma Spider Confusion Acid Bongo Cypress Blade Trick Red Stripe Microscale Calico Pinstripe het Albino het Clown';
        $this->get('/pair?'.http_build_query(['sire' => $genes, 'dam' => $genes, 'target' => 'Pastel + Clown', 'by' => 'genotype']))
            ->assertOk()->assertSee('about 1 in 13 per egg')->assertSee('81/1024') // 3/4 · 1/4, and three loci at which a quarter of the eggs dies
            ->assertSee('List the 2,000 most likely')->assertSee('The whole list is in the CSV file.');
    }

    public function test_the_live_reading(): void
    {
        $this->getJson('/read?as=male&text=Pastle+het+Clown')
            ->assertOk()
            ->assertJsonPath('errors.0.suggestions', ['Pastel', 'Pastave'])
            ->assertJsonPath('canonical', null);
        $this->getJson('/read?as=male&text=clown,+pastel')
            ->assertOk()
            ->assertJsonPath('canonical', 'Pastel Clown')
            ->assertJsonPath('errors', []);
        $this->getJson('/read?as=male&text=Spider+Blackhead')->assertJsonPath('canonical', 'Spider/Blackhead');
        $this->getJson(
            '/read?as=male&text=Spider+Blackhead&school[spider-blackhead-allelism]=separate',
        )->assertJsonPath('canonical', 'Spider Blackhead');
        $this->getJson('/read?as=male&text=Pastel&school[nonesuch]=x')->assertOk()->assertJsonPath('canonical', 'Pastel');
        $this->getJson('/read?as=target&text=Clwn')->assertOk()->assertJsonPath('errors.0.position', 1);
        $this->assertStringNotContainsString(
            '<img', $this->getJson('/read?as=male&text='.urlencode('<img src=x onerror=alert(1)>'))->json('html'),
        );
    }

    public function test_what_is_wanted_may_be_one_of_several_or_so_many_of_a_list(): void
    {
        $parents = ['sire' => 'Pastel Enchi het Clown', 'dam' => 'Fire Mojave het Clown'];
        foreach ([
            'Pastel or Clown' => '5 in 8 per egg', 'at least two of Pastel, Enchi, Fire' => '1 in 2 per egg',
            'any Clown with two co-dominants' => '11 in 64 per egg', '(female Clown) or (male Pastel)' => '3 in 8 per egg',
        ] as $target => $says) {
            $this->get('/pair?'.http_build_query($parents + ['target' => $target]))->assertOk()->assertSee($says)->assertSee($target);
            $this->get('/pair?'.http_build_query($parents + ['target' => $target, 'by' => 'look']))->assertOk()->assertSee($says);
        }
        $this->get('/pair?'.http_build_query($parents + ['target' => 'at least three of Clown, Piebald, Pastel']))
            ->assertSee('an egg of these parents can have at most 2 of Clown, Piebald, Pastel.');
        $this->get('/pair?'.http_build_query($parents + ['target' => 'Pastel Clown or Enchi Clown']))
            ->assertSee('(Pastel Clown) or (Enchi Clown)')->assertSee('Pastel + (Clown or Enchi) + Clown');
        $this->get('/read?'.http_build_query(['as' => 'choices', 'text' => 'Pastel or Clown']))->assertOk()->assertJsonPath('errors', []);
        $this->get('/read?'.http_build_query(['as' => 'target', 'text' => 'Pastel or Clown']))->assertOk()->assertJsonCount(1, 'errors');
        $this->get('/animals?'.http_build_query(['genes' => 'Pastel or Clown']))->assertOk();
    }

    public function test_what_the_house_rules_ask_about_stands_once(): void
    {
        $this->keeper()->houseRules()->create(['choices' => ['stances' => ['wobble' => 'warn']]]);
        $page = (string) $this->get('/pair?'.http_build_query(['sire' => 'Spider', 'dam' => 'Pastel het Clown']))->assertOk()
            ->assertSee('Give a reason to plan')->getContent();
        preg_match_all('/<span class="grade">[^<]*<\/span>\s*([^<]+)/', $page, $said);
        $this->assertNotEmpty($said[1]);
        $this->assertSame(array_values(array_unique($said[1])), $said[1]);
        $this->assertStringContainsString('wobble', strtolower(implode(' ', $said[1])));
    }
}
