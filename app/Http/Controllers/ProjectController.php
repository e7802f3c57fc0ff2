<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Collection\Opened;
use App\Collection\Statuses;
use App\Health\BeforeOfPairs;
use App\House\House;
use App\Http\Requests\ProjectRequest;
use App\Jobs\MakePlan;
use App\Models\Plan;
use App\Models\Project;
use App\Models\User;
use App\People\CurrentKeeper;
use App\Projects\NextBuys;
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
use Illuminate\Validation\Rule;

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
        $project = $request->addTo($keeper);
        if ($project->wasRecentlyCreated) {
            $this->plan($project);
        }

        return redirect()->route('projects.show', $project);
    }

    public function show(Project $project): View
    {
        $this->authorize('view', $project);
        $project->load('latestPlan', 'keeper');

        return view(
            'projects.show',
            [
                'project' => $project, 'page' => new ProjectPage($project, new Workshop($this->opened)), 'house' => $this->house,
                'animals' => $this->candidates($project),
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
        $this->plan($project->refresh());

        return redirect()->route('projects.show', $project)->with('said', 'Saved; the plan is made anew.');
    }

    /** Plans anew, from what there is now. */
    public function replan(Project $project): RedirectResponse
    {
        $this->authorize('manage', $project);
        $this->plan($project);

        return redirect()->route('projects.show', $project)->with('said', 'The plan is made anew from the collection as it is now.');
    }

    /** Forbids a cross of two founders, or allows it again, and plans anew. */
    public function forbid(Request $request, Project $project): RedirectResponse
    {
        $this->authorize('manage', $project);
        $pairs = $request->validate(['pairs' => ['required', 'array', 'max:200'], 'pairs.*' => ['regex:/^\d{1,12}:\d{1,12}$/']])['pairs'];
        $pairs = array_map(fn (string $pair): array => array_map(intval(...), explode(':', $pair)), array_values($pairs));
        $isForbidden = in_array($pairs[0], $project->forbidden, true);
        $rest = array_values(array_filter($project->forbidden, fn (array $pair): bool => ! in_array($pair, $pairs, true)));
        DB::transaction(fn () => $project->update(['forbidden' => $isForbidden ? $rest : [...$rest, ...$pairs]]));
        $this->plan($project);

        return redirect()->route('projects.show', $project)->with(
            'said', $isForbidden ? 'The cross is allowed again.' : 'The cross is left out from now on.',
        );
    }

    /** Why not this pair? What it would do to the chance, worked out at once. */
    public function tryPair(Request $request, Project $project): RedirectResponse
    {
        $this->authorize('manage', $project);
        $exists = Rule::exists('animals', 'id')->where('user_id', $project->user_id)->whereNull('deleted_at');
        $valid = $request->validate([
            'sire' => ['required', 'integer', (clone $exists)->where('sex', 'male')],
            'dam' => ['required', 'integer', $exists->where('sex', 'female')],
        ], ['sire' => 'Choose a male of the collection.', 'dam' => 'Choose a female of the collection.']);
        $plan = $project->latestPlan;
        if ($plan === null || ! isset($plan->result['policy'])) {
            return back()->withErrors(['sire' => 'There is no plan to hold it against yet.']);
        }
        (new Workshop($this->opened))->tryPair($project, $plan, (int) $valid['sire'], (int) $valid['dam']);

        return redirect()->to(route('projects.show', $project).'#why-not');
    }

    /** Fixes how many to keep of a step, or leaves it to the plan again, and plans anew. */
    public function keep(Request $request, Project $project): RedirectResponse
    {
        $this->authorize('manage', $project);
        $valid = $request->validate(
            ['step' => ['required', 'string', 'max:400'], 'count' => ['nullable', 'integer', 'between:1,12']],
            ['count' => 'Keep 1 to 12.'],
        );
        $keep = $project->keep;
        unset($keep[$valid['step']]);
        DB::transaction(
            fn () => $project->update([
                'keep' => $keep + (($valid['count'] ?? null) === null ? [] : [$valid['step'] => (int) $valid['count']]),
            ]),
        );
        $this->plan($project);

        return redirect()->route('projects.show', $project)->with(
            'said',
            ($valid['count'] ?? null) === null ? 'How many to keep is left to the plan.' : "The plan keeps {$valid['count']} of them now.",
        );
    }

    /** Pins an animal, so that every way must use it, or lets it go, and plans anew. */
    public function pin(Request $request, Project $project): RedirectResponse
    {
        $this->authorize('manage', $project);
        $id = (int) $request->validate(
            [
                'animal' => [
                    'required', 'integer',
                    Rule::exists('animals', 'id')->where('user_id', $project->user_id)->whereNull('deleted_at'),
                ],
            ],
            ['animal' => 'Choose an animal of the collection.'],
        )['animal'];
        $isPinned = in_array($id, $project->pinned, true);
        DB::transaction(
            fn () => $project->update([
                'pinned' => $isPinned ? array_values(array_diff($project->pinned, [$id])) : [...$project->pinned, $id],
            ]),
        );
        $this->plan($project);

        return redirect()->route('projects.show', $project)->with(
            'said', $isPinned ? 'The pin is removed.' : 'Every way uses this animal from now on.',
        );
    }

    public function progress(Plan $plan): JsonResponse
    {
        $this->authorize('view', $plan);

        return response()->json(['state' => $plan->state, 'progress' => $plan->progress]);
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

    private function plan(Project $project): void
    {
        $plan = DB::transaction(function () use ($project): Plan {
            // an older one that is still at work
            $project->plans()->whereIn('state', ['waiting', 'running'])->update(['state' => 'cancelled']);

            return (new Workshop($this->opened))->begin($project);
        });
        MakePlan::dispatch($plan->id)->afterCommit();
    }
}
