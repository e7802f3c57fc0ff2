<?php

namespace Tests\Feature;

use App\Collection\Doorway;
use App\Collection\Opened;
use App\Http\Requests\OfferLines;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Project;
use App\Models\User;
use App\Projects\LookingBack;
use App\Projects\PlanInput;
use App\Projects\ProjectPage;
use App\Projects\SeasonList;
use App\Projects\Workshop;
use Database\Seeders\DemoSeeder;
use Destino\Documents\ProjectReader;
use Destino\Planning\Given\Founder;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

class ProjectsTest extends TestCase
{
    use RefreshDatabase;

    private const FORM = [
        'name' => 'Two recessives', 'target' => 'Clown + Piebald', 'horizon' => '8', 'wanted' => 'one', 'weight' => '2',
        'offers' => "female, Clown Piebald, 40 months, 2500\n",
    ];

    public function test_a_first_answer_comes_at_once_and_the_whole_one_after_it(): void
    {
        $this->animals();
        Queue::fake();
        $form = ['form_token' => (string) Str::uuid()] + self::FORM;
        $this->post('/projects', $form)->assertSessionHasNoErrors();
        $this->post('/projects', $form);
        $project = Project::query()->sole();
        $plan = $project->plans()->sole();
        $this->assertSame('waiting', $plan->state);
        $this->get("/projects/{$project->id}")
            ->assertSee('First estimate')
            ->assertSee('first estimate')
            ->assertDontSee("90\u{a0}% chance by")
            ->assertSee('Skiff');
        Queue::assertPushed(\App\Jobs\MakePlan::class, 1);

        app()->call([new \App\Jobs\MakePlan($plan->id), 'handle']);
        $this->getJson("/plans/{$plan->id}")->assertJson(['state' => 'done', 'progress' => 100]);
        $this->get("/projects/{$project->id}")
            ->assertSee('Without buying')
            ->assertSee("90\u{a0}% chance by")
            ->assertSee('What matters most')
            ->assertSee('Young kept')
            ->assertSee('Best pairings')
            ->assertDontSee('have changed since this plan');
        $this->get("/projects/{$project->id}/story")->assertOk()->assertSee('Clown + Piebald');
        $this->get('/projects')->assertSee('Two recessives');

        $this->made(['name' => 'New one', 'sex' => 'male', 'genotype' => 'Clown Piebald']);
        $this->get("/projects/{$project->id}")->assertSee('Your animals have changed since this plan:');
        $this->post("/projects/{$project->id}/plan")->assertRedirect();
        $this->get("/projects/{$project->id}")->assertSee('New one is one already')->assertSee('Earlier plans');
    }

    public function test_a_target_may_leave_a_choice(): void
    {
        $this->animals();
        Queue::fake();
        $this->get('/read?'.http_build_query(['text' => 'at least two of Clown, Piebald, Pastel', 'as' => 'choices']))->assertOk();
        $this->post('/projects', ['form_token' => (string) Str::uuid(), 'target' => 'at least two of Clown, Piebald, Pastel'] + self::FORM)
            ->assertSessionHasNoErrors();
        $project = Project::query()->sole();
        app()->call([new \App\Jobs\MakePlan($project->plans()->sole()->id), 'handle']);
        $plan = $project->plans()->sole();
        $this->assertSame('done', $plan->state);
        $this->get("/projects/{$project->id}")->assertSee('at least two of Clown, Piebald, Pastel')->assertSee('Best pairings');
        $this->get("/projects/{$project->id}/story")->assertOk();
        $this->get('/prove')->assertOk();
        $this->get('/season')->assertOk();
    }

    public function test_a_choice_among_very_many_genes_is_refused_in_words(): void
    {
        Queue::fake();
        $genes = [];
        foreach (app(Doorway::class)->nobodys()->shelf->catalogue()->alleles as $allele) {
            if ($allele->inheritance === \Destino\Genome\Inheritance::IncompleteDominant) {
                $genes[$allele->locus] ??= $allele->name;
            }
        }
        foreach (array_chunk(array_slice(array_values($genes), 0, 44), 6) as $i => $some) {
            $this->made(['name' => "Keel {$i}", 'sex' => $i % 2 === 0 ? 'male' : 'female', 'genotype' => implode(' ', $some)]);
        }
        $this->post('/projects', ['form_token' => (string) Str::uuid(), 'target' => 'two co-dominants'] + self::FORM)->assertSessionHasNoErrors();
        $project = Project::query()->sole();
        app()->call([new \App\Jobs\MakePlan($project->plans()->sole()->id), 'handle']);
        foreach (["/projects/{$project->id}", "/projects/{$project->id}/story", '/projects', '/season', '/today', '/prove'] as $page) {
            $this->get($page)->assertOk();
        }
        $this->get("/projects/{$project->id}")->assertSee('Name the genes to choose among');
    }

    public function test_offers_have_their_days(): void
    {
        Carbon::setTestNow('2026-06-15');
        $read = OfferLines::read("female, Clown, 24 months, 400, from 2027-03\nmale, until 2026-05, Piebald, 300\nfemale, Pastel, 90, until soon");
        $this->assertSame(['2027-03-01', '2026-05-31'], [$read[0]['from'], $read[1]['until']]);
        $this->assertSame('Line 3: write the day as from 2027-03-01 or until 2027-03.', $read[2]);
        $this->post('/projects', ['offers' => 'female, Clown, 400, until soon'] + self::FORM)->assertSessionHasErrors('offers');

        $this->animals();
        Queue::fake();
        $lines = "female, Clown, 24 months, 400, from 2027-03\nfemale, Clown, 400\nmale, Piebald, 300, until 2026-05-31\nmale, Piebald, 300, until 2026-06-15";
        $this->post('/projects', ['offers' => $lines] + self::FORM)->assertSessionHasNoErrors();
        $project = Project::query()->sole();
        $opened = app(Doorway::class)->open($this->keeper()->fresh());
        $offers = array_values(array_filter((new Workshop($opened))->project($project)->founders, fn (Founder $one): bool => $one->isOffer()));
        // Pairings begin in December 2026, and those of the year after are the first behind March 2027.
        $this->assertSame([['offer 0', 2], ['offer 1', 1], ['offer 3', 1]], array_map(fn (Founder $one): array => [$one->id, $one->from], $offers));
        $this->get("/projects/{$project->id}/edit")->assertSee('24 months, 400, from 2027-03-01')->assertSee('until 2026-05-31');
        $this->assertSame(['male Piebald, until 2026-05-31'], (new ProjectPage($project, new Workshop($opened)))->goneOffers());
    }

    public function test_a_cross_is_left_out_and_the_number_to_keep_is_fixed(): void
    {
        $this->animals();
        $this->post('/projects', ['offers' => ''] + self::FORM)->assertSessionHasNoErrors();
        $project = Project::query()->sole();
        $latest = fn (): array => $project->plans()->latest('id')->first()->result['routes'] ?? [];
        $this->get('/projects')->assertSeeInOrder(['Best pairings this season', 'Skiff × Tender', 'Two recessives']);
        $this->get('/pair')->assertSeeInOrder(['Suggested by your projects', 'Skiff × Tender', 'Two recessives: makes breeders for the next step']);

        $step = $latest()[0]['steps'][0];
        $this->assertSame('Piebald het Clown', $step['keep'][0]['genes']);
        $this->post("/projects/{$project->id}/keep", ['step' => $step['keep'][0]['young'], 'count' => '5'])->assertSessionHasNoErrors();
        $this->assertSame(5, $latest()[0]['steps'][0]['keep'][0]['count']);
        $this->post("/projects/{$project->id}/keep", ['step' => $step['keep'][0]['young'], 'count' => ''])->assertSessionHasNoErrors();
        $this->assertSame(2, $latest()[0]['steps'][0]['keep'][0]['count']);

        $this->made(['name' => 'Wherry', 'genotype' => 'Piebald', 'hatched_on' => '2021-08-01']);
        $page = new \App\Projects\ProjectPage($project->load('latestPlan', 'keeper'), app(\App\Projects\Workshop::class));
        $pairs = $page->pairsOf($step);
        $this->post("/projects/{$project->id}/forbid", ['pairs' => $pairs])->assertRedirect();
        $this->get("/projects/{$project->id}")->assertSee('Crosses left out')->assertSee('Skiff × Tender');
        $this->post("/projects/{$project->id}/forbid", ['pairs' => $pairs]);
        $this->assertSame([], $project->refresh()->forbidden);
    }

    public function test_the_keeper_says_what_he_gives_and_what_counts_more(): void
    {
        $this->animals();
        $this->post('/projects', ['offers' => '', 'first' => 'early', 'wanted' => 'two'] + self::FORM)->assertSessionHasNoErrors();
        $project = Project::query()->sole();
        $given = fn (): array => $project->plans()->latest('id')->first()->given['rules'];
        $this->assertSame([['early' => true], 'two'], [$given()['aim'], $given()['wanted']]);
        $this->get("/projects/{$project->id}")->assertSee('two of them, early rather than surely')->assertDontSee('Leave it to the plan');

        $this->post("/projects/{$project->id}/effort", ['tubs' => '3'])->assertSessionHasNoErrors()->assertRedirect();
        $this->post("/projects/{$project->id}/effort", ['clutches' => '1'])->assertSessionHasNoErrors();
        $this->assertSame(['early' => true, 'tubs' => 3, 'clutches' => 1], $given()['aim'], 'one beside the other');
        $effort = $project->plans()->latest('id')->first()->made()->first;
        $this->assertTrue(! $effort->buildsUp || [$effort->effort->tubs, $effort->effort->clutches] === [3, 1]);
        $this->get("/projects/{$project->id}")->assertSee('Leave it to the plan');
        $this->put("/projects/{$project->id}", ['offers' => '', 'first' => 'surely', 'version' => $project->refresh()->version] + self::FORM)
            ->assertSessionHasNoErrors();
        $this->assertSame(['tubs' => 3, 'clutches' => 1], $project->refresh()->aim, 'the form leaves what was tapped');

        $this->post("/projects/{$project->id}/effort", [])->assertSessionHasNoErrors();
        $this->assertSame([], $project->refresh()->aim);
        $this->post("/projects/{$project->id}/effort", ['tubs' => '0'])->assertSessionHasErrors('tubs');
    }

    public function test_past_seasons_are_played_again_with_who_was_there(): void
    {
        $year = (int) now()->addMonth()->format('Y') - 1; // of the last season that is over
        $make = fn (string $name, string $sex, string $genes): Animal => $this->made([
            'name' => $name, 'sex' => $sex, 'genotype' => $genes, 'hatched_on' => ($year - 6).'-07-01',
        ]);
        [$skiff, $tender, $wherry] = [$make('Skiff', 'male', 'Pastel'), $make('Tender', 'female', 'Pastel'), $make('Wherry', 'female', 'Normal')];
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $wherry->id, 'laid_on' => "{$year}-04-01", 'eggs_good' => 5]);
        $clutch->sires()->create(['animal_id' => $skiff->id]);
        $this->post('/projects', ['offers' => '', 'target' => 'Super Pastel', 'horizon' => '3'] + self::FORM)->assertSessionHasNoErrors();
        $project = Project::query()->sole()->load('keeper');
        $past = fn (): array => app(Doorway::class)->within($this->keeper(), fn (Opened $opened): array => (new LookingBack($opened))->of(
            $project, (new Workshop($opened))->project($project), .3, 1,
        ));

        [$one] = $past();
        $this->assertSame([$year, "a{$skiff->id}", "a{$tender->id}", ''], [$one['season'], $one['sire'], $one['dam'], $one['instead']]);
        $this->assertGreaterThan(.25, $one['sooner']);
        $plan = $project->plans()->latest('id')->first();
        $plan->update(['result' => ['past' => [$one]] + $plan->result]);
        $this->get("/projects/{$project->id}")->assertSee("{$year}")->assertSee('with Skiff × Tender as well, you would have the target');

        $tender->statusEvents()->create(['status' => 'sold', 'on' => ($year - 2).'-01-01']);
        $this->assertSame([], $past(), 'she had been sold by then');
    }

    public function test_a_pinned_animal_is_in_every_way_and_the_pin_can_be_taken_out(): void
    {
        $this->animals();
        $wherry = $this->made(['name' => 'Wherry', 'sex' => 'female', 'genotype' => 'het Clown', 'hatched_on' => '2021-07-01']);
        $this->post('/projects', ['offers' => ''] + self::FORM)->assertSessionHasNoErrors();
        $project = Project::query()->sole();
        $routes = fn (): array => $project->plans()->latest('id')->first()->result['routes'];
        $uses = fn (array $route): bool => str_contains(json_encode($route['steps']), "a{$wherry->id}");
        $this->assertNotContains(true, array_map($uses, $routes()), 'nobody needs a het beside the two visuals');
        $this->post("/projects/{$project->id}/pin", ['animal' => $wherry->id])->assertRedirect();
        $this->assertNotSame([], $routes());
        $this->assertNotContains(false, array_map($uses, $routes()));
        $this->get("/projects/{$project->id}")->assertSee('every way uses them')->assertSee('Stop always using Wherry');
        $this->post("/projects/{$project->id}/pin", ['animal' => $wherry->id]);
        $this->assertSame([], $project->refresh()->pinned);
        $this->post("/projects/{$project->id}/pin", ['animal' => 9999])->assertSessionHasErrors('animal');
    }

    public function test_house_rules_and_the_limit_of_relatedness_bind_the_plan(): void
    {
        $this->made(['name' => 'Ferry', 'sex' => 'male', 'genotype' => 'Spider het Clown', 'hatched_on' => '2021-07-01']);
        $this->made(['name' => 'Gig', 'sex' => 'female', 'genotype' => 'Spider het Clown', 'hatched_on' => '2021-07-01']);
        $this->post('/projects', ['target' => 'Spider + Clown', 'offers' => ''] + self::FORM)->assertSessionHasNoErrors();
        $project = Project::query()->sole();
        $this->get("/projects/{$project->id}")->assertSee('Your house rules refuse every cross that would lead there');
        $this->put('/house', ['stances' => ['dies-in-the-egg' => 'warn']])->assertSessionHasNoErrors();

        $this->made(['name' => 'Punt', 'sex' => 'male', 'genotype' => 'Clown', 'hatched_on' => '2021-07-01']);
        $this->put(
            "/projects/{$project->id}",
            ['target' => 'Clown, female', 'most_inbreeding' => '0', 'wanted' => 'sure', 'offers' => ''] + self::FORM,
        )->assertSessionHasNoErrors();
        $project->refresh();
        $this->assertSame(['0', 'sure'], [$project->most_inbreeding, $project->wanted]);
        $this->get("/projects/{$project->id}")->assertSee('a pair that gives it in every egg')->assertSee('F at most 0');
        $this->put("/projects/{$project->id}", ['most_inbreeding' => '7'] + self::FORM)->assertSessionHasErrors('most_inbreeding');
    }

    public function test_a_pairing_that_serves_two_projects_says_so(): void
    {
        $this->animals();
        Queue::fake();
        $this->post('/projects', ['name' => 'Striking heads', 'target' => 'Clown'] + self::FORM)->assertSessionHasNoErrors();
        $this->post('/projects', ['offers' => ''] + self::FORM)->assertSessionHasNoErrors();
        $second = Project::query()->where('name', 'Two recessives')->sole();
        app()->call([new \App\Jobs\MakePlan($second->plans()->sole()->id), 'handle']);
        $pairs = $second->plans()->sole()->result['pairs'];
        $this->assertSame(['Striking heads'], $pairs[0]['serves']);
        $this->get("/projects/{$second->id}")->assertSeeInOrder([
            'Best pairings', 'Also helps', 'Skiff × Tender', 'Striking heads',
        ]);
    }

    public function test_the_season_of_all_projects_gives_each_female_one_mate_and_says_who_waits(): void
    {
        $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Clown', 'hatched_on' => '2022-07-01']);
        $barge = $this->made(['name' => 'Barge', 'sex' => 'male', 'genotype' => 'Piebald', 'hatched_on' => '2022-07-01']);
        $tender = $this->made(['name' => 'Tender', 'genotype' => 'het Clown het Piebald', 'hatched_on' => '2021-07-01']);
        $this->post(
            '/projects', ['name' => 'Painted', 'target' => 'Piebald, female', 'weight' => '1', 'offers' => ''] + self::FORM,
        )->assertSessionHasNoErrors();
        $this->post(
            '/projects', ['name' => 'Heads', 'target' => 'Clown, female', 'weight' => '9', 'offers' => ''] + self::FORM,
        )->assertSessionHasNoErrors();
        $this->get('/projects')
            ->assertSeeInOrder(
                [
                    'Best pairings this season', 'Skiff × Tender', 'Heads', 'Painted', 'would have Barge × Tender',
                    'does more for all projects together with Skiff',
                ],
            )
            ->assertSee('What to buy next');
        $this->get("/pair?sire_id={$barge->id}&dam_id={$tender->id}")->assertSeeInOrder(['Painted', 'the plan asks for it this season']);
        $this->get("/animals/{$tender->id}")->assertSeeInOrder(['Value to your projects', 'Heads', 'without this animal']);

        // A pairing that is recorded stays: neither is asked for again.
        $this->post(
            '/clutches', ['dam_id' => $tender->id, 'sires' => [$barge->id], 'paired_on' => now()->subDays(20)->format('Y-m-d')],
        )->assertSessionHasNoErrors();
        $this->get('/projects')->assertSee('Already paired')->assertDontSee('Skiff × Tender');
    }

    public function test_a_male_that_is_with_a_female_has_one_fewer_to_give(): void
    {
        $this->put('/house', ['females_per_male' => '1'])->assertSessionHasNoErrors();
        $skiff = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Clown', 'hatched_on' => '2022-07-01']);
        $this->made(['name' => 'Tender', 'genotype' => 'het Clown', 'hatched_on' => '2021-07-01']);
        $punt = $this->made(['name' => 'Punt', 'genotype' => 'Normal', 'hatched_on' => '2021-07-01']);
        $this->post('/projects', ['target' => 'Clown, female', 'horizon' => '1', 'offers' => ''] + self::FORM)->assertSessionHasNoErrors();
        $projects = Project::query()->with('latestPlan')->get()->all();
        $names = fn (array $pairs, SeasonList $list): array => array_map(
            fn (array $one): string => $list->name($one['sire']).' × '.$list->name($one['dam']), $pairs,
        );
        $before = new SeasonList($projects, 1);
        $this->assertSame([['Skiff × Tender'], []], [$names($before->grants, $before), $names($before->waiting, $before)]);

        $clutch = ['dam_id' => $punt->id, 'sires' => [$skiff->id], 'paired_on' => now()->subDays(20)->format('Y-m-d')];
        $this->post('/clutches', $clutch)->assertSessionHasNoErrors();
        $clutches = Clutch::query()->with(['sires.animal', 'dam'])->get();
        $after = new SeasonList($projects, 1, $clutches);
        $this->assertSame([[], ['Skiff × Tender']], [$names($after->grants, $after), $names($after->waiting, $after)]);
        $this->assertStringStartsWith('Skiff has as many females', $after->waiting[0]['why']);
        $two = new SeasonList($projects, 2, $clutches);
        $this->assertSame(['Skiff × Tender'], $names($two->grants, $two), 'where a male is given two, one is left');
    }

    public function test_why_not_this_pair_is_answered_with_what_it_would_cost(): void
    {
        $this->put('/house', ['females_per_male' => '1'])->assertSessionHasNoErrors();
        $skiff = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Clown', 'hatched_on' => '2022-07-01']);
        $this->made(['name' => 'Tender', 'genotype' => 'het Clown', 'hatched_on' => '2021-07-01']);
        $punt = $this->made(['name' => 'Punt', 'genotype' => 'Pastel', 'hatched_on' => '2021-07-01']);
        $this->post('/projects', ['target' => 'Clown, female', 'horizon' => '1', 'offers' => ''] + self::FORM)->assertSessionHasNoErrors();
        $project = Project::query()->sole();
        $this->post("/projects/{$project->id}/try", ['sire' => $skiff->id, 'dam' => $punt->id])->assertRedirect();
        $tried = $project->latestPlan()->first()->result['tried'];
        $this->assertLessThan(-.2, $tried[0]['worth'], 'his only season for a female that cannot give it');
        $this->get("/projects/{$project->id}")->assertSeeInOrder(['Compare another pair', 'Skiff × Punt', 'fewer']);
        foreach ([['sire' => $punt->id, 'dam' => $skiff->id], ['sire' => '99', 'dam' => 'x'], []] as $wrong) {
            $this->post("/projects/{$project->id}/try", $wrong)->assertSessionHasErrors('sire');
        }
    }

    public function test_what_an_animal_that_is_not_there_would_be_worth(): void
    {
        $this->animals();
        $this->get('/projects?genes=Clown')->assertOk()->assertSee('No projects yet');
        $this->post('/projects', ['horizon' => '3', 'offers' => ''] + self::FORM)->assertSessionHasNoErrors();
        $this->get('/projects?genes=Clown+Piebald&sex=female')->assertOk()->assertSeeInOrder(
            ['Is this animal worth buying?', 'Two recessives', 'more have the target'],
        );
        $this->get('/projects?genes=Pastel&sex=male')->assertOk()->assertSee('no clear difference');
        foreach (['genes=Clwn' => 'Clwn', 'genes=Clown&months=-3' => 'whole months', 'genes=Clown&sex=both' => 'male or female'] as $query => $says) {
            $this->get("/projects?{$query}")->assertUnprocessable()->assertSee($says);
        }
        $this->get('/projects?genes[]=Clown&sex[]=x&months[]=1')->assertClientError();
    }

    public function test_a_plan_can_be_stopped(): void
    {
        $this->animals();
        Queue::fake();
        $this->post('/projects', self::FORM);
        $plan = Project::query()->sole()->plans()->sole();
        $this->post("/plans/{$plan->id}/cancel")->assertRedirect();
        app()->call([new \App\Jobs\MakePlan($plan->id), 'handle']);
        $this->assertSame('cancelled', $plan->refresh()->state);
        $this->assertNotNull($plan->result, 'the first answer stays');
    }

    public function test_what_cannot_be_planned_says_what_to_do(): void
    {
        $this->animals();
        $this->post('/projects', ['target' => 'Albino + Clown'] + self::FORM)->assertSessionHasNoErrors();
        $this->get('/projects/'.Project::query()->sole()->id)->assertSee('Nobody owned or offered carries what “Albino” needs.');
        foreach (
            [
                ['target', 'Clwn', 'is not a known gene'], ['horizon', '0', '1 to 25'],
                ['offers', 'a snake', 'Line 1 needs a sex'], ['offers', 'female, Clwn, 400', 'Offer 1'],
                ['name', '', 'Give the project a name'], ['assumptions', ['lay_rate' => '7'], 'between 0 and 1'],
            ] as [$field, $value, $message]
        ) {
            $this->from('/projects/create')->followingRedirects()->post('/projects', [$field => $value] + self::FORM)->assertSee($message);
        }
        $this->assertSame(1, Project::query()->count());
    }

    public function test_a_plan_can_be_made_again_from_what_it_was_made_from(): void
    {
        $this->made(['name' => 'Skiff', 'sex' => 'male', 'hatched_on' => '2022-06-01'])->statements()->create(['text' => '66% het Clown Pastel', 'source' => 'own']);
        $this->made(['name' => 'Punt', 'sex' => 'female', 'hatched_on' => '2021-06-01'])->statements()->create(['text' => 'Clown', 'source' => 'own']);
        $this->post('/projects', ['name' => 'Ours', 'target' => 'Clown + Pastel', 'horizon' => 3, 'wanted' => 'one', 'weight' => 1, 'form_token' => (string) Str::uuid()])
            ->assertRedirect();
        $plan = Project::query()->sole()->plans()->sole();
        $this->get("/projects/{$plan->project_id}")->assertSee("/plans/{$plan->id}/given");

        $given = $this->get("/plans/{$plan->id}/given")->assertOk()->assertHeader('Content-Type', 'application/json')->json();
        $opened = app(Opened::class);
        $again = (new ProjectReader($opened->shelf))->read($given);

        $this->assertSame($plan->input, (new PlanInput($opened))->of($again), 'everything that the plan follows from');
        $this->assertSame($opened->shelf->version, $plan->version);
        $plan->update(['given' => null]);
        $this->get("/plans/{$plan->id}/given")->assertNotFound();
        $this->get("/projects/{$plan->project_id}")->assertOk()->assertDontSee('/given');
    }

    public function test_both_demo_projects_run_from_plan_to_replan(): void
    {
        $this->seed(DemoSeeder::class);
        $this->flushSession();
        $this->actingAs(User::query()->where('email', 'boathouse@destino.localhost')->sole());
        foreach (['Painted stripes' => 'Halyard', 'Caramel lavender' => 'Keel'] as $name => $animal) {
            $project = Project::query()->where('name', $name)->sole();
            $this->post("/projects/{$project->id}/plan")->assertRedirect();
            $page = $this->get("/projects/{$project->id}")->assertOk()->assertSee('What to do now')->assertSee('The chance by year')
                ->assertSee($animal);
            $page->assertSee('Plan against what happened')->assertSee('2026')->assertSee('Luck so far');
            foreach ($name === 'Painted stripes'
                ? [
                    'Gunwale × Halyard', 'at 1/32', '2023 Anchor × Calico Jenny', 'kept Halyard', 'made 2022: 6 eggs, 6 hatched',
                    'is above the 1/8',
                ]
                : ['2026 Lantern × Keel', '2 of 6 young are Ultramel, 3 expected at 1/2'] as $words) {
                $page->assertSee($words);
            }
        }
        $this->artisan('destino:replan')->doesntExpectOutputToContain('begun')->assertSuccessful();
        Project::query()->where('name', 'Caramel lavender')->sole()->plans()->delete();
        $this->artisan('destino:replan')->expectsOutputToContain('Caramel lavender: begun.')->assertSuccessful();
        $this->get('/projects')->assertOk()->assertSee('Best pairings this season');
    }

    public function test_the_command_says_how_little_is_enough(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'destino-');
        $female = fn (int $i): array => ['id' => "F{$i}", 'sex' => 'female', 'genes' => 'Clown', 'age' => 40, 'weight' => 1700];
        file_put_contents($file, json_encode([
            'format' => 'destino-project/1', 'target' => 'Clown', 'horizon' => 6, 'assumptions' => ['lay_rate' => 1],
            'animals' => [['id' => 'M1', 'sex' => 'male', 'genes' => 'het Clown'], $female(1), $female(2), $female(3)],
            'rules' => ['wanted' => 'pair'],
        ]));
        $this->assertSame(0, Artisan::call('destino:plan', ['file' => $file, '--runs' => 200, '--json' => true]));
        $this->assertSame(['tubs' => 1, 'clutches' => 1], json_decode(Artisan::output(), true)['policy']['effort']);
        $this->assertSame(0, Artisan::call('destino:plan', ['file' => $file, '--runs' => 200]));
        $this->assertStringContainsString("  one clutch a season is enough\n  one young at a time is enough to keep", Artisan::output());
    }

    public function test_the_command_prints_what_its_schema_says(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'destino-');
        file_put_contents(
            $file,
            json_encode([
                'format' => 'destino-project/1', 'target' => 'Clown', 'horizon' => 4,
                'animals' => [
                    ['id' => 'M1', 'sex' => 'male', 'genes' => 'het Clown'],
                    ['id' => 'F1', 'sex' => 'female', 'genes' => 'het Clown', 'age' => 40, 'weight' => 1700],
                ],
            ]),
        );
        $this->assertSame(0, Artisan::call('destino:plan', ['file' => $file, '--runs' => 200, '--json' => true]));
        $first = Artisan::output();
        $this->assertTrue(
            (new Validator)->validate(
                json_decode($first), (string) file_get_contents(base_path('docs/formats/plan.schema.json')),
            )->isValid(),
        );
        $this->assertTrue(
            (new Validator)->validate(
                json_decode((string) file_get_contents($file)),
                (string) file_get_contents(base_path('docs/formats/project.schema.json')),
            )->isValid(),
        );
        Artisan::call('destino:plan', ['file' => $file, '--runs' => 200, '--json' => true]);
        $this->assertSame($first, Artisan::output(), 'same document, seed and version: the same answer');
        file_put_contents($file, '{"format": "destino-project/1", "target": "Clwn"}');
        $this->assertSame(2, Artisan::call('destino:plan', ['file' => $file, '--json' => true]));
        $this->assertStringContainsString('"piece": "Clwn"', Artisan::output());
        unlink($file);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrongDocuments(): iterable
    {
        yield 'an unknown field' => [['seasons' => 4], '“seasons”'];
        yield 'an unknown field of an animal' => [
            ['animals' => [['sex' => 'male', 'genes' => 'Clown', 'wieght' => 900]]], 'animals[0] has a field “wieght”',
        ];
        yield 'an unknown rule' => [['rules' => ['bugdet' => 100]], 'rules has a field “bugdet”'];
        yield 'a list where a text is meant' => [['target' => ['Clown', 'Piebald']], 'target is a list, where a text is wanted'];
        yield 'a text where a number is meant' => [['rules' => ['budget' => 'much']], 'rules.budget is a text'];
        yield 'a horizon too far' => [['horizon' => 26], 'horizon is too large: at most 25'];
        yield 'a forbidden pair with nobody' => [
            ['animals' => [['id' => 'M1', 'sex' => 'male', 'genes' => 'Clown']], 'rules' => ['forbidden' => [['M1', 'F9']]]],
            'rules.forbidden[0]: no animal of the document is called F9',
        ];
        yield 'somebody pinned who is not there' => [
            ['rules' => ['pinned' => ['M2']]], 'rules.pinned: no animal of the document is called M2',
        ];
        yield 'a stance that is none' => [['rules' => ['stances' => ['wobble' => 'never']]], '"inform", "warn", "refuse"'];
        yield 'two faults in one text' => [['animals' => [['sex' => 'male', 'genes' => 'Clwn Pastelll']]], 'animals[0].genes'];
    }

    /** @param array<string, mixed> $wrong */
    #[DataProvider('wrongDocuments')]
    public function test_a_document_is_held_against_its_schema_and_each_fault_has_its_place(array $wrong, string $says): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'destino-');
        file_put_contents($file, json_encode([...['format' => 'destino-project/1', 'target' => 'Clown'], ...$wrong]));
        $exit = Artisan::call('destino:plan', ['file' => $file, '--json' => true]);
        /** @var array{errors: list<array{message: string}>} $answer */
        $answer = json_decode(substr($output = Artisan::output(), (int) strpos($output, "{\n")), true);
        unlink($file);
        $this->assertSame(2, $exit);
        $this->assertStringContainsString($says, implode("\n", array_column($answer['errors'], 'message')));
    }

    private function animals(): void
    {
        $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Clown het Piebald', 'hatched_on' => '2022-07-01']);
        $this->made(['name' => 'Tender', 'genotype' => 'Piebald', 'hatched_on' => '2021-07-01']);
    }
}
