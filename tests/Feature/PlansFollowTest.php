<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Collection\Doorway;
use App\Jobs\FollowPlans;
use App\Jobs\MakePlan;
use App\Jobs\WorkOutBeliefs;
use App\Models\Animal;
use App\Models\Plan;
use App\Models\Project;
use App\Projects\PlanChanges;
use App\Projects\PlanInput;
use App\Projects\PlanUpdates;
use App\Projects\ProjectPage;
use App\Projects\Workshop;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Whatever changes what a plan rests on brings a new plan, which takes the place of the old one when it is done. */
final class PlansFollowTest extends TestCase
{
    use RefreshDatabase;

    private const FORM = ['wanted' => 'one', 'horizon' => '3', 'weight' => '1'];

    protected function setUp(): void
    {
        parent::setUp();
        config(['queue.default' => 'database']);
        $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'het Clown', 'hatched_on' => '2022-07-01']);
        $this->made(['name' => 'Tender', 'sex' => 'female', 'genotype' => 'het Clown', 'hatched_on' => '2021-07-01']);
        $this->post('/projects', ['name' => 'Heads', 'target' => 'Clown', 'offers' => ''] + self::FORM)->assertSessionHasNoErrors();
        $this->work();
    }

    public function test_what_is_recorded_brings_a_new_plan_and_the_old_one_stays_until_then(): void
    {
        $old = $this->project()->latestPlan;
        $this->assertSame(['done', []], [$old->state, $old->made()->because]);
        $answer = (new ProjectPage($this->project(), new Workshop(app(Doorway::class)->open($this->keeper()))))->answer();
        $this->record(['name' => 'Buoy', 'sex' => 'female', 'genotype' => 'Clown Pastel', 'hatched_on' => '2026-08-01']);
        $this->record(['name' => 'Cleat', 'genotype' => 'Normal']);
        $this->assertSame(1, DB::table('jobs')->where('queue', 'later')->count(), 'many writes are one question');
        $this->assertSame(0, Artisan::call('queue:work', ['--queue' => 'quick,default,later', '--stop-when-empty' => true, '--sleep' => 0, '--memory' => 1024]));
        $this->assertSame(1, Plan::query()->count(), 'not before the pause is over');
        $this->get($this->page())->assertSee('Your animals have changed since this plan: Buoy is new. It will be updated soon.');

        $this->travel(31)->seconds();
        Artisan::call('queue:work', ['--queue' => 'later', '--once' => true, '--sleep' => 0, '--memory' => 1024]);
        $this->assertSame(['done', Plan::FOLLOWING], Plan::query()->orderBy('id')->pluck('state')->all());
        $this->assertSame($old->id, $this->project()->latestPlan->id, 'the older one is shown');
        $this->get($this->page())->assertSee('Buoy is new. A new plan is being calculated.');

        $this->work();
        $new = $this->project()->latestPlan;
        $this->assertSame(['done', ['Buoy is new']], [$new->state, $new->made()->because]);

        $this->assertSame($answer, $new->made()->before);
        $this->get($this->page())->assertDontSee('animals have changed since')->assertSee('Buoy is new.');
        $this->get('/today')->assertSeeInOrder(['Updated plans', 'Heads', 'Buoy is new.', 'Before: ']);
        $this->travel(4)->days();
        $this->get('/today')->assertDontSee('Updated plans');
        $this->later();
        $this->assertSame([2, 0], [Plan::query()->count(), DB::table('jobs')->count()], 'nothing more is made where nothing changed');
    }

    public function test_what_is_believed_at_genes_that_the_target_does_not_ask_about_makes_no_new_plan(): void
    {
        $input = function (string $says): string {
            Animal::query()->where('name', 'Skiff')->sole()->statements()->sole()->update(['text' => $says]);
            $opened = app(Doorway::class)->open($this->keeper());

            return (new PlanInput($opened))->of((new Workshop($opened))->project($this->project()));
        };
        $before = $input('het Clown');
        $this->assertSame($before, $input('Pastel het Clown het Piebald'));
        $this->assertNotSame($before, $input('66% het Clown'));
    }

    public function test_a_weight_counts_by_the_season_in_which_it_lets_an_animal_breed(): void
    {
        $tender = Animal::query()->where('name', 'Tender')->sole();
        $weigh = fn (int $grams) => $this->post(
            "/animals/{$tender->id}/care", ['kind' => 'weight', 'grams' => (string) $grams, 'on' => now()->format('Y-m-d')],
        )->assertRedirect()->assertSessionHasNoErrors();
        $weigh(2100);
        $this->later();
        $this->assertSame(1, Plan::query()->count());
        $tender->care()->delete();
        $weigh(900);
        $this->later();
        $this->assertSame(['Tender can breed only later'], $this->project()->latestPlan->made()->because);
        $this->assertStringContainsString('Before: “', PlanUpdates::words($this->project()));
    }

    public function test_it_gives_way_to_a_plan_that_somebody_waits_for(): void
    {
        $this->record(['name' => 'Buoy', 'sex' => 'female', 'genotype' => 'Clown', 'hatched_on' => '2026-08-01']);
        $this->travel(31)->seconds();
        Artisan::call('queue:work', ['--queue' => 'later', '--once' => true, '--sleep' => 0, '--memory' => 1024]);
        $this->post('/projects', ['name' => 'Painted', 'target' => 'Pastel', 'offers' => ''] + self::FORM)->assertSessionHasNoErrors();
        Artisan::call('queue:work', ['--queue' => 'later', '--once' => true, '--sleep' => 0, '--memory' => 1024]); // before the one that is waited for
        $this->assertSame(['done', Plan::FOLLOWING, 'waiting'], Plan::query()->orderBy('id')->pluck('state')->all());
        $this->later();
        $this->assertSame(['done', 'done', 'done'], Plan::query()->orderBy('id')->pluck('state')->all());
    }

    public function test_a_write_is_kept_where_the_question_for_a_plan_cannot_be(): void
    {
        $this->travel(10)->minutes();
        config(['queue.default' => 'broken', 'queue.connections.broken' => ['driver' => 'nowhere']]);
        $this->withoutExceptionHandling();
        $this->record(['name' => 'Buoy', 'genotype' => 'Clown']);
        $this->assertSame(1, Animal::query()->where('name', 'Buoy')->count());
    }

    public function test_the_demo_does_not_stand_in_the_way_of_a_collection_of_ones_own(): void
    {
        foreach ([FollowPlans::class, WorkOutBeliefs::class] as $job) {
            $here = (new $job(1))->uniqueId();
            $this->assertNotSame($here, (new $job(2))->uniqueId());
            $name = DB::connection()->getDatabaseName();
            DB::connection()->setDatabaseName('another');
            $this->assertNotSame($here, (new $job(1))->uniqueId());
            DB::connection()->setDatabaseName($name);
            $this->assertSame($here, (new $job(1))->uniqueId());
        }
    }

    public function test_who_plans_again_does_not_wait_for_it_and_a_failure_leaves_the_old_one(): void
    {
        $old = $this->project()->latestPlan;
        $following = $this->project()->plans()->create(['state' => Plan::FOLLOWING, 'seed' => 1, 'input' => '']);
        (new MakePlan($following->id))->failed(null);
        $this->assertSame([$old->id, 'done'], [$this->project()->latestPlan->id, $this->project()->latestPlan->state]);
        $this->assertSame(1, Plan::query()->count());

        $this->project()->plans()->create(['state' => Plan::FOLLOWING, 'seed' => 1, 'input' => '']);
        $this->post($this->page().'/plan')->assertSessionHasNoErrors();
        $this->assertSame(['done', 'waiting'], Plan::query()->orderBy('id')->pluck('state')->all());
    }

    public function test_a_season_that_turns_is_noticed_though_nobody_writes(): void
    {
        $this->record(['name' => 'Buoy', 'sex' => 'female', 'genotype' => 'Clown', 'hatched_on' => now()->subMonths(14)->format('Y-m-d')]);
        $this->later();
        $this->assertCount(2, Plan::query()->get());
        $this->travel(13)->months();
        FollowPlans::everybody();
        $this->later();
        $this->assertSame(['Buoy can breed sooner'], $this->project()->latestPlan->made()->because);
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, list<string>}> */
    public static function changes(): iterable
    {
        $animal = fn (int $i, array $with = []): array => $with + [
            'id' => "a{$i}", 'sex' => 'female', 'genes' => 'Normal', 'belief' => [], 'age' => 40, 'weight' => 1800,
        ];
        $given = fn (array $animals, array $with = []): array => $with + [
            'target' => 'Clown', 'horizon' => 3, 'animals' => $animals, 'market' => [], 'assumptions' => [], 'rules' => [],
        ];
        $one = $given([$animal(1)]);
        yield 'new' => [$one, $given([$animal(1), $animal(2)]), ['Two is new']];
        yield 'gone' => [$given([$animal(1), $animal(2)]), $one, ['Two is gone or is not bred']];
        yield 'genes' => [$one, $given([$animal(1, ['genes' => 'het Clown'])]), ['One is het Clown now']];
        yield 'chances' => [$one, $given([$animal(1, ['belief' => [['groups' => ['clown']]]])]), ['One has other chances now']];
        yield 'lighter' => [$one, $given([$animal(1, ['weight' => 900])]), ['One can breed only later']];
        yield 'out of quarantine' => [$given([$animal(1, ['from_season' => 2])]), $one, ['One can breed sooner']];
        yield 'parents' => [$one, $given([$animal(1, ['dam' => 'a2'])]), ['One has other parents']];
        yield 'offers' => [$one, $given([$animal(1)], ['market' => [$animal(9)]]), ['offers changed']];
        yield 'rules' => [$one, $given([$animal(1)], ['assumptions' => ['hatch' => .5]]), ['house rules or assumptions changed']];
        yield 'malformed young' => [$one, $given([$animal(1)], ['rules' => ['sound' => [1]]]), ['malformed young were noted']];
        yield 'terms' => [$one, $given([$animal(1)], ['horizon' => 4]), ['the aim or the limits of the project changed']];
        yield 'nothing of these' => [$one, $one, ['gene facts changed']];
        $many = array_map(fn (int $i): array => $animal($i), range(1, 9));
        yield 'many' => [$given([]), $given($many), [
            'One is new', 'Two is new', ...array_fill(0, 4, 'Normal is new'), '3 more animals changed',
        ]];
    }

    /**
     * @param array<string, mixed> $then
     * @param array<string, mixed> $now
     * @param list<string> $says
     */
    #[DataProvider('changes')]
    public function test_what_changed_is_said(array $then, array $now, array $says): void
    {
        $this->assertSame($says, PlanChanges::between($then, $now, ['a1' => 'One', 'a2' => 'Two']));
    }

    private function project(): Project
    {
        return Project::query()->where('name', 'Heads')->sole();
    }

    private function page(): string
    {
        return "/projects/{$this->project()->id}";
    }

    /** @param array<string, string> $animal */
    private function record(array $animal): void
    {
        $this->post('/animals', $animal)->assertRedirect()->assertSessionHasNoErrors();
    }

    private function work(): void
    {
        Artisan::call('queue:work', ['--queue' => 'quick,default,later', '--stop-when-empty' => true, '--sleep' => 0, '--memory' => 1024]);
    }

    /** Everything that is asked for, when every pause is over. */
    private function later(): void
    {
        for ($i = 0; $i < 4; $i++) {
            $this->travel(31)->seconds();
            $this->work();
        }
    }
}
