<?php

namespace Tests\Feature;

use App\Collection\Doorway;
use App\House\House;
use App\Models\Project;
use App\Models\User;
use App\Projects\Now;
use App\Projects\ProjectDrawings;
use App\Projects\ProjectPage;
use App\Projects\Workshop;
use App\View\Components\ProjectAnswer\ProjectAnswer;
use Database\Seeders\DemoSeeder;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

/** A project's page: the answer and this season's work in the open, the rest folded away with its main fact. */
class ProjectFoldsTest extends TestCase
{
    use RefreshDatabase;

    public function test_the_answer_comes_first_and_the_rest_is_folded_with_its_main_fact(): void
    {
        $project = $this->planned();
        $page = $this->get("/projects/{$project->id}")->assertOk()->assertSeeInOrder([
            'Chance by 20', 'On average it takes', 'What to do now', 'Keep, in this order', 'The path', 'Ways compared',
            'the chance by year, and', 'Other choices', 'What happened so far', 'clutches', 'What this rests on', 'none of your own',
        ]);
        $html = (string) $page->getContent();
        $this->assertSame(4, substr_count($html, 'sheet folded'));
        $this->assertStringNotContainsString('<details class="sheet folded" id="basis" open', $html);
        $this->assertGreaterThan(5, substr_count($html, 'class="drawn'), 'parents and young are drawn');
        $this->post("/projects/{$project->id}/pin", ['animal' => $this->animal('Lantern')]);
        $this->get("/projects/{$project->id}")->assertSee('id="basis" open', false)->assertSee('every way uses them');
    }

    public function test_what_all_runs_reached_is_never_called_certain_and_equal_efforts_are_no_choice(): void
    {
        $project = $this->planned();
        $plan = $project->latestPlan ?? throw new \LogicException('no plan');
        $result = $plan->result ?? [];
        $reached = ['decimal' => 1.0, 'low' => .995];
        $result['policy']['probability_by_season'][5] = $reached + $result['policy']['probability_by_season'][5];
        $result['policy']['probability_by_season'][4] = ['decimal' => 1.0, 'low' => .2] + $result['policy']['probability_by_season'][4];
        $result['tubs'] = ['chances' => [1 => .8, 2 => .9, 4 => .904, 6 => 1.0], 'advised' => 2, 'clutches' => [1 => .9, 2 => .9]];
        $result['first']['effort'] = ['tubs' => 2, 'clutches' => 1];
        $plan->update(['result' => $result]);
        $answer = $this->answer($project->refresh());
        $this->assertSame(['over 99 %', 'over 20 %'], array_map(
            static fn (int $season): string => str_replace("\u{a0}", ' ', $answer->years()[$season]['told']), [5, 4],
        ), 'few runs say little, in the headline and beneath it');
        $this->assertSame(
            [['Keep 1:', "80\u{a0}%", false], ['Keep 2:', "90\u{a0}%", true], ['Keep 6:', "over 99\u{a0}%", false]],
            array_map(static fn (array $one): array => [$one['name'], $one['told'], $one['isPlan']], $answer->tubs()),
        );
        $this->assertSame([], $answer->clutches());
        $bound = function (?float $bound) use ($plan, $result, $project): string {
            $reached = array_map(static fn (array $one): array => ['decimal' => .7] + $one, $result['policy']['probability_by_season']);
            $plan->update(['result' => ['bound' => $bound, 'policy' => ['probability_by_season' => $reached] + $result['policy']] + $result]);

            return $this->answer($project->refresh())->bound();
        };
        $this->assertSame(['', ''], [$bound(null), $bound(.98)]);
        $this->assertSame("The best possible: 83\u{a0}%, whatever you pair and keep.", $bound(.83));
        $this->assertStringContainsString("70\u{a0}%", $bound(.69), 'never less than what is promised');
        $this->get("/projects/{$project->id}")->assertOk()->assertSee('2 at any one time are enough');
    }

    public function test_what_is_not_shown_of_the_young_is_told_for_what_it_is(): void
    {
        $project = $this->planned();
        $page = new ProjectPage($project, new Workshop(app(Doorway::class)->open($project->keeper)));
        $young = fn (int $count, bool $keep): array => array_fill(0, $count, ['genes' => 'Mojave', 'sex' => 'male', 'expected' => .5, 'keep' => $keep]);
        $told = fn (int $keep, int $rest): string => (
            new Now(['buy' => [], 'matings' => [], 'keep' => [...$young($keep, true), ...$young($rest, false)]], $page)
        )->others();
        $this->assertSame('2 more kinds would do where none of these hatches; 3 kinds can be let go.', $told(8, 3));
        $this->assertSame('One more kind would do where none of these hatches.', $told(7, 0));
        $this->assertSame('One other kind that may hatch can be let go.', $told(6, 1));
        $this->assertSame('4 other kinds that may hatch can be let go.', $told(2, 4));
        $this->assertSame('', $told(6, 0));
        $this->assertSame('2 other kinds that may hatch can be let go.', $told(0, 8), 'where none is to be kept six are shown');
    }

    private function planned(): Project
    {
        $this->seed(DemoSeeder::class);
        $this->flushSession();
        $this->actingAs(User::query()->where('email', 'boathouse@destino.localhost')->sole());
        $project = Project::query()->where('name', 'Caramel lavender')->sole();
        $this->post("/projects/{$project->id}/plan")->assertRedirect();

        return $project->load('latestPlan', 'keeper');
    }

    private function animal(string $name): int
    {
        return (int) User::query()->where('email', 'boathouse@destino.localhost')->sole()->animals()->where('name', $name)->sole()->id;
    }

    private function answer(Project $project): ProjectAnswer
    {
        $opened = app(Doorway::class)->open($project->load('latestPlan', 'keeper')->keeper);

        return new ProjectAnswer(new ProjectPage($project, new Workshop($opened)), new ProjectDrawings($opened), new House);
    }
}
