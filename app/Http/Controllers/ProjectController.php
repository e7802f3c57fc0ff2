<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Collection\Opened;
use App\Collection\Statuses;
use App\Health\BeforeOfPairs;
use App\House\House;
use App\Http\Requests\ProjectRequest;
use App\Jobs\Replanning;
use App\Models\Plan;
use App\Models\Project;
use App\Models\User;
use App\People\CurrentKeeper;
use App\Projects\NextBuys;
use App\Projects\ProjectDrawings;
use App\Projects\ProjectPage;
use App\Projects\SeasonList;
use App\Projects\Workshop;
use App\Projects\WorthQuestion;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

class ProjectController extends Controller
{
    public function __construct(private readonly Opened $opened, private readonly House $house) {}

    public function index(WorthQuestion $question, #[CurrentKeeper] User $keeper): Response
    {
        $this->authorize('read');
        $projects = $keeper->projects()->with('latestPlan')->orderByDesc('weight')->orderBy('name')->get();
        $workshop = new Workshop($this->opened);
        $clutches = $keeper->clutches()->with('dam', 'sires.animal')->get();

        return response()->view('projects.index', [
            'projects' => $projects, 'question' => $question, 'worths' => $question->answers($projects->all(), $workshop),
            'season' => new SeasonList(
                $projects->all(), $this->house->number('females_per_male'), $clutches, BeforeOfPairs::of($this->opened),
            ),
            'buys' => NextBuys::of($projects->all(), $workshop),
            'pages' => $projects->mapWithKeys(fn (Project $project): array => [$project->id => new ProjectPage($project, $workshop)]),
        ], $question->error() === null ? 200 : 422);
    }

    public function create(Request $request): View
    {
        $this->authorize('manage');
        $target = is_string($request->query('target')) ? mb_substr($request->query('target'), 0, 400) : '';

        return view(
            'projects.form',
            ['project' => new Project(['name' => '', 'target' => $target]), 'token' => (string) Str::uuid(), 'house' => $this->house],
        );
    }

    public function store(ProjectRequest $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $made = $request->addTo($keeper, (new Workshop($this->opened))->begin(...));
        $made instanceof Plan && Replanning::work($made);

        return redirect()->route('projects.show', $made instanceof Plan ? $made->project_id : $made);
    }

    public function show(Project $project): View
    {
        $this->authorize('view', $project);
        $project->load('latestPlan', 'keeper');

        return view(
            'projects.show',
            [
                'project' => $project, 'page' => new ProjectPage($project, new Workshop($this->opened)), 'house' => $this->house,
                'animals' => $this->candidates($project), 'drawings' => new ProjectDrawings($this->opened),
            ],
        );
    }

    public function story(Project $project): View
    {
        $this->authorize('view', $project);
        $project->load('latestPlan', 'keeper');

        return view('projects.story', ['project' => $project, 'page' => new ProjectPage($project, new Workshop($this->opened))]);
    }

    public function edit(Project $project): View
    {
        $this->authorize('manage', $project);

        return view('projects.form', ['project' => $project, 'token' => null, 'house' => $this->house]);
    }

    public function update(ProjectRequest $request, Project $project): RedirectResponse
    {
        $request->change($project);
        Replanning::of($project->refresh(), $this->opened);

        return redirect()->route('projects.show', $project)->with('said', 'Saved. Planning again.');
    }

    /** Plans again, with the animals as they are now. */
    public function replan(Project $project): RedirectResponse
    {
        $this->authorize('manage', $project);
        Replanning::of($project, $this->opened);

        return redirect()->route('projects.show', $project)->with('said', 'Planning again with your current animals.');
    }

    public function progress(Plan $plan): JsonResponse
    {
        $this->authorize('view', $plan);

        return response()->json(['state' => $plan->state, 'progress' => $plan->progress]);
    }

    /** What a plan was made from, as a document that bin/destino plan makes the same plan of. */
    public function given(Plan $plan): Response
    {
        $this->authorize('money', $plan);
        abort_if($plan->given === null, 404);

        return response((string) json_encode($plan->given, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES), 200, [
            'Content-Type' => 'application/json', 'Content-Disposition' => "attachment; filename=\"destino-plan-{$plan->id}.json\"",
        ]);
    }

    public function cancel(Plan $plan): RedirectResponse
    {
        $this->authorize('manage', $plan);
        DB::transaction(fn () => $plan->isOpen() && $plan->update(['state' => 'cancelled']));

        return redirect()->route('projects.show', $plan->project_id)->with('said', 'Stopped. The first answer stays.');
    }

    /** @return array<string, array<int, string>> names of the animals that are here, by sex and id */
    private function candidates(Project $project): array
    {
        $statuses = Statuses::of($project->keeper);
        $names = ['male' => [], 'female' => []];
        foreach ($project->keeper->animals()->whereNotNull('sex')->orderBy('name')->get(['id', 'user_id', 'name', 'sex']) as $animal) {
            if ($animal->sex !== null && $statuses->status($animal->id)->isHere()) {
                $names[$animal->sex->value][$animal->id] = $animal->name;
            }
        }

        return $names;
    }
}
