<?php

namespace Tests\Feature;

use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Enums\Role;
use App\Models\Plan;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Routing\Route as OneRoute;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Tests\TestCase;

/** Walks every route as a guest, a viewer, a helper and the owner of another collection. */
class AccessTest extends TestCase
{
    use RefreshDatabase;

    /** The least role that may use each route; "anyone" needs no collection. A new route must be added here. */
    private const LEAST = [
        'assets' => 'anyone', 'begin' => 'anyone', 'begin.store' => 'anyone', 'login' => 'anyone', 'login.attempt' => 'anyone',
        'logout' => 'viewer', 'may-send' => 'viewer',
        'pair' => 'viewer', 'pair.sheet' => 'viewer', 'pair.export' => 'viewer', 'read' => 'viewer', 'worked-out' => 'viewer', 'luck' => 'viewer',
        'house' => 'viewer', 'house.index' => 'viewer', 'account' => 'viewer', 'account.password' => 'viewer', 'tokens.store' => 'viewer',
        'tokens.destroy' => 'viewer', 'tokens.calendar' => 'viewer', 'api.calendar' => 'anyone',
        'animals.index' => 'viewer', 'animals.names' => 'viewer', 'animals.show' => 'viewer', 'animals.puzzle' => 'viewer', 'animals.history' => 'viewer', 'photos.show' => 'viewer',
        'clutches.index' => 'viewer', 'clutches.show' => 'viewer', 'genes.index' => 'viewer', 'genes.show' => 'viewer',
        'complexes.show' => 'viewer',
        'care.store' => 'helper', 'animals.place' => 'helper', 'round.create' => 'helper', 'round.store' => 'helper',
        'observations.store' => 'helper', 'photos.store' => 'helper', 'searches.store' => 'helper',
        'searches.destroy' => 'helper',
        'clutches.create' => 'helper', 'clutches.store' => 'helper', 'clutches.edit' => 'helper', 'clutches.update' => 'helper',
        'counts.store' => 'helper', 'hatchlings.store' => 'helper', 'hatchlings.all' => 'helper', 'records.destroy' => 'helper', 'records.restore' => 'helper',
        'animals.create' => 'owner', 'animals.store' => 'owner', 'animals.edit' => 'owner', 'animals.update' => 'owner',
        'statements.store' => 'owner', 'statements.edit' => 'owner', 'statements.update' => 'owner', 'status.store' => 'owner',
        'prove' => 'viewer', 'prove.animal' => 'viewer', 'prove.surer' => 'viewer', 'prove.design' => 'viewer', 'traits.show' => 'viewer',
        'prove.decide' => 'owner', 'prove.read' => 'owner', 'traits.create' => 'owner', 'traits.store' => 'owner',
        'traits.add' => 'owner',
        'projects.index' => 'viewer', 'projects.show' => 'viewer', 'projects.story' => 'viewer', 'plans.progress' => 'viewer', 'plans.given' => 'owner',
        'projects.create' => 'owner', 'projects.store' => 'owner', 'projects.edit' => 'owner', 'projects.update' => 'owner',
        'today' => 'viewer', 'season.reckoning' => 'viewer', 'papers.animal' => 'viewer', 'papers.opinion' => 'viewer', 'papers.opinion.file' => 'viewer', 'papers.story' => 'viewer', 'papers.story.file' => 'viewer', 'papers.labels' => 'viewer',
        'papers.sale' => 'viewer', 'events.store' => 'helper', 'incubators.index' => 'viewer', 'incubators.show' => 'viewer',
        'incubators.store' => 'owner', 'incubators.update' => 'owner', 'incubators.read' => 'helper', 'incubators.file' => 'helper',
        'incubators.place' => 'helper',
        'season.board' => 'viewer', 'guide' => 'viewer', 'young' => 'viewer', 'bulk.store' => 'owner', 'bulk.undo' => 'owner',
        'money' => 'owner', 'money.book' => 'owner',
        'prices.store' => 'owner', 'sales.update' => 'owner', 'eggs' => 'viewer', 'eggs.lay-out' => 'helper', 'eggs.weights' => 'helper',
        'eggs.candled' => 'helper', 'eggs.candled.undo' => 'helper', 'eggs.update' => 'helper',
        'animals.tap' => 'helper', 'bench' => 'viewer', 'identify' => 'viewer', 'bench.see' => 'helper', 'bench.alike' => 'helper', 'box' => 'helper', 'box.store' => 'helper', 'first-day' => 'helper', 'first-day.store' => 'helper', 'projects.try' => 'owner',
        'looks.compare' => 'viewer', 'looks.design' => 'viewer', 'looks.drawing' => 'viewer', 'looks.confusions' => 'viewer', 'looks.counts' => 'viewer', 'looks.state' => 'viewer',
        'train' => 'viewer', 'train.begin' => 'viewer', 'train.answer' => 'viewer', 'train.next' => 'viewer', 'projects.replan' => 'owner',
        'projects.forbid' => 'owner', 'projects.keep' => 'owner', 'projects.effort' => 'owner', 'projects.pin' => 'owner',
        'plans.cancel' => 'owner',
        'racks.index' => 'owner', 'racks.store' => 'owner', 'racks.update' => 'owner', 'racks.destroy' => 'owner',
        'genes.own' => 'owner', 'genes.change' => 'owner', 'genes.name' => 'owner', 'house.update' => 'owner',
        'exchange' => 'owner', 'exchange.download' => 'owner', 'exchange.upload' => 'owner', 'exchange.paste' => 'owner', 'exchange.preview' => 'owner',
        'animals.link' => 'owner', 'taps.several' => 'helper', 'taps.undo' => 'helper', 'imports.show' => 'owner', 'imports.progress' => 'owner', 'imports.rest' => 'owner', 'imports.clutches' => 'owner',
        'imports.back' => 'owner', 'imports.stop' => 'owner', 'imports.on' => 'owner', 'imports.again' => 'owner',
        'exchange.store' => 'owner', 'exchange.answer' => 'owner', 'people.index' => 'owner', 'people.store' => 'owner',
        'people.update' => 'owner',
        'people.destroy' => 'owner',
        'backups' => 'installation', 'backups.store' => 'installation', 'exchange.empty' => 'installation',
        'backups.download' => 'installation',
        'api.animals.index' => 'viewer', 'api.animals.show' => 'viewer', 'api.animals.weights' => 'viewer',
        'api.readings.index' => 'viewer', 'api.weights.store' => 'helper', 'api.readings.store' => 'helper',
    ];

    /** @var array<string, string> what stands for each parameter of an address */
    private array $of;

    protected function startsSignedIn(): bool
    {
        return false;
    }

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        $animal = $this->made(['name' => 'Skiff']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $animal->id, 'laid_on' => '2025-05-05']);
        $this->of = [
            'animal' => (string) $animal->id, 'statement' => (string) $animal->statements()->sole()->id,
            'clutch' => (string) $clutch->id, 'egg' => (string) $clutch->eggs()->create(['number' => 1])->id, 'kind' => 'weight',
            'photo' => (string) $animal->photos()->create([
                'on' => '2026-01-01', 'file' => 'photos/none.jpg', 'width' => 1, 'height' => 1,
            ])->id,
            'id' => (string) $animal->care()->create(['kind' => 'shed', 'on' => '2026-01-01'])->id,
            'rack' => (string) $this->keeper()->racks()->create(['name' => 'A', 'rows' => 2, 'columns' => 2])->id,
            'search' => (string) $this->keeper()->savedSearches()->create(['name' => 'Mine', 'query' => 'find=x'])->id,
            'incubator' => (string) $this->keeper()->incubators()
                ->create(['name' => 'Box', 'place' => 'box', 'celsius' => 31.5, 'low' => 31, 'high' => 32])->id,
            'version' => '00000000', 'path' => 'css/destino.css', 'gene' => 'pastel', 'season' => '2025', 'locus' => 'bel',
            'group' => 'clown', 'format' => 'csv', 'cue' => 'ground', 'state' => '1',
            'trait' => (string) $this->keeper()->oddTraits()->create(['name' => 'Mine'])->id,
            'project' => (string) ($project = $this->keeper()->projects()->create(['name' => 'Mine', 'target' => 'Clown']))->id,
            'plan' => (string) $project->plans()->create(['state' => 'done', 'seed' => 1, 'input' => 'x'])->id,
            'import' => (string) $this->keeper()->imports()->create(
                ['upload' => (string) Str::uuid(), 'name' => 'list.csv', 'state' => 'failed'],
            )->id,
            'upload' => (string) Str::uuid(), 'file' => 'none.sqlite', 'person' => (string) $this->person(Role::Helper)->id, 'token' => '1',
        ];
    }

    public function test_every_route_is_known_here(): void
    {
        $this->assertSame(
            [],
            array_diff(array_map(fn (OneRoute $route): string => (string) $route->getName(), $this->routes()), array_keys(self::LEAST)),
        );
    }

    public function test_a_guest_is_shown_the_door(): void
    {
        foreach ($this->routes() as $route) {
            if (self::LEAST[$route->getName()] === 'anyone') {
                continue;
            }
            $answer = $this->call($route->methods()[0], $this->address($route));
            str_starts_with($route->uri(), 'api/')
                ? $this->assertSame(401, $answer->status(), (string) $route->getName())
                : $answer->assertRedirect('/sign-in');
        }
        $this->assertSame(1, Animal::query()->count());
    }

    public function test_a_viewer_reads_and_changes_nothing(): void
    {
        $this->refusals($this->person(Role::Viewer), ['helper', 'owner', 'installation']);
    }

    public function test_a_helper_logs_and_changes_no_genetics_prices_or_rules(): void
    {
        $this->refusals($this->person(Role::Helper), ['owner', 'installation']);
        $helper = $this->person(Role::Helper);
        $this->flushSession();
        $this->actingAs($helper)->post(
            "/animals/{$this->of['animal']}/care", ['kind' => 'weight', 'grams' => '900', 'on' => '2026-01-02'],
        )->assertSessionHasNoErrors();
        $this->assertSame(
            $helper->id, \Spatie\Activitylog\Models\Activity::query()->latest('id')->first()?->causer_id, 'the history knows who',
        );
        $this->delete("/records/statement/{$this->of['statement']}")->assertForbidden();
        $this->delete("/records/animal/{$this->of['animal']}")->assertForbidden();
        $this->post(
            "/clutches/{$this->of['clutch']}/hatchlings",
            ['name' => 'Egg one', 'genotype' => 'Pastel', 'form_token' => (string) Str::uuid()],
        )->assertForbidden();
        $this->post(
            "/clutches/{$this->of['clutch']}/hatchlings", ['name' => 'Egg one', 'form_token' => (string) Str::uuid()],
        )->assertSessionHasNoErrors();
    }

    public function test_another_collections_records_do_not_exist(): void
    {
        $stranger = User::factory()->create();
        $bound = ['animal', 'statement', 'clutch', 'photo', 'id', 'rack', 'search', 'person', 'upload', 'project', 'plan'];
        foreach ($this->routes() as $route) {
            if (array_intersect($route->parameterNames(), $bound) === [] || str_starts_with($route->uri(), 'api/')) {
                continue;
            }
            $answer = $this->actingAs($stranger)->call($route->methods()[0], $this->address($route, ['kind' => 'care']));
            $route->parameterNames() === ['upload']
                ? $this->assertContains($answer->status(), [302, 404])
                : $this->assertSame(404, $answer->status(), (string) $route->getName());
        }
        $this->actingAs($stranger)->get('/backups')->assertForbidden(); // only the first owner keeps the installation
        $this->assertSame('Skiff', Animal::query()->sole()->name);
        $this->assertSame(1, Clutch::query()->count());
    }

    public function test_roles_do_not_cross_collections(): void
    {
        $elsewhere = User::factory()->create();
        $helper = User::factory()->create(['owner_id' => $elsewhere->id, 'role' => Role::Helper]);
        $this->actingAs($helper)->get("/animals/{$this->of['animal']}")->assertNotFound();
        $this->actingAs($helper)->get('/animals')->assertOk()->assertSee('No animals yet.')->assertDontSee('Skiff');
    }

    public function test_tokens_open_the_interface_as_far_as_their_person_may(): void
    {
        $bearer = fn (User $person, array $abilities): array => [
            'Authorization' => 'Bearer '.$person->createToken('test', $abilities)->plainTextToken,
        ];
        $weight = ['weights' => [['number' => Animal::query()->sole()->number, 'grams' => 900, 'token' => (string) Str::uuid()]]];
        $reads = $bearer($this->person(Role::Viewer), ['read']);
        $this->getJson('/api/v1/animals', $reads)->assertOk()->assertJsonPath('data.0.name', 'Skiff');
        $this->postJson('/api/v1/weights', $weight, $reads)->assertForbidden();
        $this->app['auth']->forgetGuards();
        $this->getJson('/api/v1/animals/'.$this->of['animal'], $bearer(User::factory()->create(), ['read', 'log']))->assertNotFound();
    }

    /** @param  list<string>  $levels */
    private function refusals(User $person, array $levels): void
    {
        foreach ($this->routes() as $route) {
            if (in_array(self::LEAST[$route->getName()], $levels, true) && ! str_starts_with($route->uri(), 'api/')) {
                $answer = $this->actingAs($person)->call(
                    $route->methods()[0],
                    $this->address(
                        $route,
                        $route->getName() === 'records.destroy' || $route->getName() === 'records.restore' ? ['kind' => 'care'] : [],
                    ),
                );
                $this->assertSame(403, $answer->status(), "{$route->getName()} as {$person->role->value}");
            }
        }
    }

    /** @return list<OneRoute> the application's own */
    private function routes(): array
    {
        return array_values(
            array_filter(
                Route::getRoutes()->getRoutes(),
                fn (OneRoute $route): bool => array_intersect(['web', 'api'], $route->gatherMiddleware()) !== [] && $route->uri() !== '/',
            ),
        );
    }

    /** @param  array<string, string>  $other */
    private function address(OneRoute $route, array $other = []): string
    {
        return '/'.preg_replace_callback('/\{(\w+)\??\}/', fn (array $name): string => $other[$name[1]] ?? $this->of[$name[1]], $route->uri());
    }

    private function person(Role $role): User
    {
        return User::factory()->create(['owner_id' => $this->keeper()->id, 'role' => $role]);
    }

    public function test_prices_and_buyers_are_nowhere_for_whoever_has_not_the_right(): void
    {
        $keeper = $this->keeper();
        $this->actingAs($keeper);
        $clutch = $keeper->clutches()->create(['dam_id' => $this->made(['name' => 'Estuary'])->id, 'laid_on' => now()->subDays(90)->format('Y-m-d'), 'eggs_good' => 4]);
        $sold = $this->made(['name' => 'Jib', 'sex' => 'male', 'price_cents' => 47_1400, 'clutch_id' => $clutch->id, 'genotype' => 'Clown', 'hatched_on' => now()->subDays(30)->format('Y-m-d')]);
        $this->put("/animals/{$sold->id}/sale", [
            'status' => 'reserved', 'on' => now()->format('Y-m-d'), 'asking' => '4711', 'deposit' => '471', 'price' => '4712', 'buyer' => 'Ms Ode', 'note' => 'pays in May',
        ])->assertSessionHasNoErrors();
        $reserved = ['status' => 'reserved', 'on' => now()->format('Y-m-d'), 'reason' => 'waits for Ms Ode', 'review_on' => now()->addMonth()->format('Y-m-d')];
        $this->post("/animals/{$sold->id}/status", $reserved)->assertSessionHasNoErrors();
        $this->post('/money/prices', ['target' => 'Clown', 'low' => '4715', 'high' => '4716', 'note' => 'as Ms Ode pays'])->assertSessionHasNoErrors();
        $this->post('/projects', [
            'name' => 'One', 'target' => 'Clown', 'horizon' => 4, 'wanted' => 'one', 'weight' => 1, 'budget' => '4717', 'offers' => 'female, Clown, 40 months, 4718',
        ])->assertSessionHasNoErrors();
        $project = $keeper->projects()->max('id');
        $pages = [
            "/animals/{$sold->id}", "/animals/{$sold->id}/history", '/animals?find=Ode', '/animals?view=list', '/today', '/season', '/young?season='.now()->format('Y'),
            "/clutches/{$clutch->id}", '/projects', '/projects/'.$project, '/projects/'.$project.'/story',
            "/animals/{$sold->id}/ask", "/animals/{$sold->id}/ask.html", '/offered.csv', '/season/'.now()->format('Y'), '/prove',
        ];
        $content = function (string $page): string {
            $answer = $this->get($page)->assertOk();

            return (string) ($answer->baseResponse instanceof StreamedResponse ? $answer->streamedContent() : $answer->getContent());
        };
        $marks = '/Ms Ode|pays in May|4,?71[1-8]|(?<!\d)471(?!\d)/';
        $owner = implode('', array_map($content, $pages));
        foreach (['Ms Ode', 'pays in May', '4,711', '4,712', '4,714', '4,715', '4,717'] as $mark) {
            $this->assertTrue(str_contains($owner, $mark), "the owner sees {$mark}");
        }
        foreach ([Role::Viewer, Role::Helper] as $role) {
            $this->flushSession();
            $this->actingAs($this->person($role));
            foreach ($pages as $page) {
                $text = preg_replace('/data-owner="[^"]*"|value="[0-9a-f-]{36}"|content="[^"]*"|name="_token"[^>]*/', '', $content($page));
                $this->assertSame(0, preg_match($marks, (string) $text, $found), "{$page} as {$role->value}: ".($found[0] ?? ''));
            }
            $this->get('/money')->assertForbidden();
            $this->get('/plans/'.Plan::query()->max('id').'/given')->assertForbidden();
        }
    }
}
