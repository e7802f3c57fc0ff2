<?php

namespace Tests\Feature;

use App\Collection\Doorway;
use App\Collection\Opened;
use App\Models\GeneChange;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Tests\TestCase;

/** A recessive that nobody has named: carried, proved, planned for, and named later. */
class UnnamedGeneTest extends TestCase
{
    use RefreshDatabase;

    public function test_it_is_carried_asked_about_and_aimed_at(): void
    {
        $this->add();
        $this->get('/genes/own-unnamed-1')->assertOk()->assertSee('Unnamed 1')->assertSee('It has a name now');
        $sire = $this->animal('Reed', 'male', 'het Unnamed 1');
        $dam = $this->animal('Gale', 'female', '50% het Unnamed 1');
        $this->get("/animals/{$dam}")->assertSee('50% het Unnamed 1');
        $this->get('/pair?'.http_build_query(['sire' => 'het Unnamed 1', 'dam' => '50% het Unnamed 1', 'target' => 'Unnamed 1']))
            ->assertSee('1 in 8 per egg');
        $this->get('/prove')->assertOk()->assertSee('Gale')->assertSee('Unnamed 1');
        $this->get('/animals?'.http_build_query(['genes' => 'carries Unnamed 1']))->assertSee('Reed');
        $this->post('/projects', [
            'form_token' => (string) Str::uuid(), 'name' => 'The odd one', 'target' => 'Unnamed 1', 'horizon' => '4', 'wanted' => 'one', 'weight' => '2',
        ])->assertSessionHasNoErrors();
        $this->post('/animals', ['name' => 'Third', 'sex' => 'male', 'genotype' => 'het unknown'])
            ->assertSessionHasErrors(['genotype' => '“unknown” may mean het Unnamed 1. A recessive without a name goes by its working name.']);
        $this->assertGreaterThan(0, $sire);
    }

    public function test_a_name_is_taken_over_by_every_record(): void
    {
        $this->add('Harbour oddity');
        $this->add();
        $this->assertSame(['Harbour oddity', 'Unnamed 1'], GeneChange::query()->orderBy('id')->get()->pluck('data.name')->all());
        $id = $this->animal('Reed', 'male', 'Pastel het Harbour oddity');
        $this->post('/genes/own-harbour-oddity/name', ['new_name' => 'Saltmarsh'])->assertRedirect('/genes/own-harbour-oddity')
            ->assertSessionHas('said', 'Harbour oddity is called Saltmarsh from now on, in every record.');
        $this->get("/animals/{$id}")->assertSee('het Saltmarsh');
        $this->get('/genes/own-harbour-oddity')->assertSee('Saltmarsh')->assertSee('Harbour oddity')->assertDontSee('Plan toward it');
        $this->assertSame('Pastel het Saltmarsh', $this->believed($id));
        $this->animal('Gale', 'female', 'het Harbour oddity');
        $this->get('/pair?'.http_build_query(['sire' => 'het Saltmarsh', 'dam' => 'het Harbour oddity', 'target' => 'Saltmarsh']))
            ->assertSee('1 in 4 per egg');
    }

    public function test_it_turns_out_to_be_a_known_gene(): void
    {
        $this->add('Harbour oddity');
        $id = $this->animal('Reed', 'male', 'Pastel het Harbour oddity');
        $this->post('/genes/own', ['kind' => 'nickname', 'combination' => 'Wharf', 'means' => 'Pastel Harbour oddity'])->assertSessionHasNoErrors();
        $this->post('/genes/own-harbour-oddity/name', ['same_as' => 'ultramel'])->assertRedirect('/genes/ultramel');
        $this->assertSame('Pastel het Ultramel', $this->believed($id));
        $this->get('/genes/own-harbour-oddity')->assertNotFound();
        $this->get('/pair?'.http_build_query(['sire' => 'Wharf', 'dam' => 'het Ultramel', 'target' => 'Ultramel']))->assertSee('1 in 2 per egg');
    }

    public function test_what_cannot_be_meant_is_refused_in_words(): void
    {
        $this->add();
        $this->from('/genes/own-unnamed-1')->post('/genes/own-unnamed-1/name', ['new_name' => 'Clown'])
            ->assertSessionHasErrors(['new_name' => '“Clown” means something already: Clown.']);
        $this->post('/genes/own-unnamed-1/name', [])->assertSessionHasErrors(['new_name' => 'Enter a name, or choose the gene that it is.']);
        $this->post('/genes/own-unnamed-1/name', ['new_name' => 'Marsh', 'same_as' => 'clown'])->assertSessionHasErrors('new_name');
        $this->post('/genes/own-unnamed-1/name', ['same_as' => 'pastel'])->assertSessionHasErrors(['same_as' => 'Choose a recessive of the library.']);
        $this->post('/genes/clown/name', ['new_name' => 'Marsh'])->assertNotFound();
        $this->post('/genes/own', ['kind' => 'unnamed', 'unnamed' => 'Pastel'])->assertSessionHasErrors('unnamed');
        $this->assertSame('Unnamed 1', GeneChange::query()->sole()->data['name']);
    }

    public function test_own_names_stand_beside_the_genes(): void
    {
        foreach (['Wharf' => 'Pastel Enchi', 'Harbour Gold' => 'Pastel Enchi Clown', 'Jetty' => 'Enchi Mojave'] as $name => $means) {
            $this->post('/genes/own', ['kind' => 'nickname', 'combination' => $name, 'means' => $means, 'form_token' => (string) Str::uuid()]);
        }
        $id = $this->animal('Reed', 'male', 'Harbour Gold 50% het Piebald');
        $this->get("/animals/{$id}")->assertSee('Pastel Enchi Clown 50% het Piebald')->assertSee('Harbour Gold')->assertDontSee('Wharf')->assertDontSee('Jetty');
        $plain = $this->animal('Gale', 'female', 'Super Pastel Enchi 66% het Clown');
        $this->get("/animals/{$plain}")->assertDontSee('Wharf')->assertDontSee('Harbour Gold');
        $this->get('/pair?sire=Pastel+Clown&dam=Enchi+het+Clown&target=Clown')->assertSee('Harbour Gold')->assertSee('Wharf')->assertDontSee('Jetty');
        $page = $this->get('/pair?sire=Enchi&dam=Mojave')->assertOk()->getContent();
        $this->assertSame(1, preg_match('/Enchi Mojave|Mojave Enchi/', (string) $page));
        $this->assertStringContainsString('Jetty', (string) $page);
    }

    private function add(string $name = ''): void
    {
        $this->post('/genes/own', ['kind' => 'unnamed', 'unnamed' => $name, 'note' => 'paler, with blue eyes', 'form_token' => (string) Str::uuid()])
            ->assertSessionHasNoErrors();
    }

    private function animal(string $name, string $sex, string $genes): int
    {
        $this->post('/animals', ['name' => $name, 'sex' => $sex, 'genotype' => $genes, 'hatched_on' => Carbon::now()->subYears(3)->format('Y-m-d')])
            ->assertSessionHasNoErrors();

        return (int) User::query()->sole()->animals()->where('name', $name)->value('id');
    }

    private function believed(int $animal): string
    {
        return app(Doorway::class)->within(User::query()->sole(), static fn (Opened $opened): string => $opened->beliefs()->text($animal));
    }
}
