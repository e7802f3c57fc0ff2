<?php

namespace Tests\Feature;

use App\Catalogue\CatalogueShelf;
use App\Models\Animal;
use App\Models\User;
use Database\Seeders\DemoSeeder;
use Destino\Genome\Sex;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

class DemoTest extends TestCase
{
    use RefreshDatabase;

    protected function startsSignedIn(): bool
    {
        return false;
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->seed(DemoSeeder::class);
        $this->actingAs($this->owner = User::query()->where('email', 'boathouse@destino.localhost')->sole());
    }

    public function test_the_demo_collection_can_be_read_whole(): void
    {
        $reader = app(CatalogueShelf::class)->reader();
        $animals = Animal::query()->with('statements')->get();

        $this->assertCount(29, $animals);
        foreach ($animals as $animal) {
            foreach ($animal->statements as $statement) {
                $this->assertSame([], $reader->read($statement->text, $animal->sex ?? Sex::Female)->errors, $animal->name);
            }
            $this->get("/animals/{$animal->id}")->assertOk()->assertSee($animal->name);
        }
    }

    public function test_the_two_axanthics_bought_by_mistake_are_told(): void
    {
        $this->get(
            '/pair?'
                .http_build_query([
                    'sire_id' => $this->id('North Pier'), 'dam_id' => $this->id('Oarlock'), 'target' => 'Axanthic (line 1)',
                ]),
        )
            ->assertOk()
            ->assertSee('Axanthic (line 1) and Axanthic (line 2) look alike and are not the same gene')
            ->assertSee('only the sire carries Axanthic (line 1)');
    }

    public function test_the_banana_of_unknown_phase_is_told(): void
    {
        $this->get('/pair?'.http_build_query(['sire_id' => $this->id('Pontoon'), 'dam' => 'Normal']))->assertOk()
            ->assertSee('It is not known whether this male is a male maker or a female maker');
    }

    public function test_the_female_bought_as_66_het(): void
    {
        // Bought as 2/3; four young of hers by a visual male showed nothing: (2/3 · 1/16) against 1/3 leaves 1/9, and half of that an egg.
        $this->get(
            '/pair?'
                .http_build_query(['sire_id' => $this->id('Anchor'), 'dam_id' => $this->id('Calico Jenny'), 'target' => 'Genetic Stripe']),
        )->assertOk()
            ->assertSee('Genetic Stripe: 1 in 18 per egg')->assertSee("no number of eggs passes 11\u{a0}%");
    }

    public function test_the_first_project_in_one_pairing(): void
    {
        // Calico 1/2 · Piebald 1/4 · Genetic Stripe 1/4.
        $this->get(
            '/pair?'
                .http_build_query([
                    'sire_id' => $this->id('Gunwale'), 'dam_id' => $this->id('Halyard'),
                    'target' => 'Genetic Stripe Piebald Calico',
                ]),
        )->assertOk()
            ->assertSee('1/32 per egg');
    }

    public function test_the_demo_keeper_is_signed_in_and_nobody_else_is_made(): void
    {
        $this->get('/animals')->assertOk()->assertSee('28 of 29 animals.');
        $this->assertSame(1, User::query()->count());
        $this->assertAuthenticatedAs(User::query()->sole());
    }

    private function id(string $name): int
    {
        return Animal::query()->where('name', $name)->sole()->id;
    }
}
