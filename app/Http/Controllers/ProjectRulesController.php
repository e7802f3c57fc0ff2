<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Collection\Opened;
use App\Jobs\Replanning;
use App\Models\Project;
use App\Projects\Workshop;
use Destino\Planning\Given\Aim;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;

/** What a keeper asks of a plan: crosses that are left out, young that are kept, animals that are used, pairs that are tried. */
class ProjectRulesController extends Controller
{
    public function __construct(private readonly Opened $opened) {}

    /** Forbids a cross of two founders, or allows it again, and plans anew. */
    public function forbid(Request $request, Project $project): RedirectResponse
    {
        $this->authorize('manage', $project);
        $pairs = $request->validate(['pairs' => ['required', 'array', 'max:200'], 'pairs.*' => ['regex:/^\d{1,12}:\d{1,12}$/']])['pairs'];
        $pairs = array_map(fn (string $pair): array => array_map(intval(...), explode(':', $pair)), array_values($pairs));
        $isForbidden = in_array($pairs[0], $project->forbidden, true);
        $rest = array_values(array_filter($project->forbidden, fn (array $pair): bool => ! in_array($pair, $pairs, true)));
        DB::transaction(fn () => $project->update(['forbidden' => $isForbidden ? $rest : [...$rest, ...$pairs]]));
        Replanning::of($project, $this->opened);

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
        if ($plan === null || $plan->made()->policy === null) {
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
        Replanning::of($project, $this->opened);

        return redirect()->route('projects.show', $project)->with(
            'said',
            ($valid['count'] ?? null) === null ? 'How many to keep is left to the plan.' : "The plan keeps {$valid['count']} of them now.",
        );
    }

    /** Fixes how many young to keep at one time or how many clutches to pair for, or leaves both to the plan, and makes a new plan. */
    public function effort(Request $request, Project $project): RedirectResponse
    {
        $this->authorize('manage', $project);
        $valid = $request->validate(
            ['tubs' => ['nullable', 'integer', 'between:1,500'], 'clutches' => ['nullable', 'integer', 'between:1,500']],
            ['tubs' => 'Keep 1 to 500.', 'clutches' => 'Pair for 1 to 500 clutches.'],
        );
        $own = Aim::fromArray($project->aim ?? []);
        $whole = static fn (string $name): ?int => ($valid[$name] ?? null) === null ? null : (int) $valid[$name];
        $isLeft = $whole('tubs') === null && $whole('clutches') === null;
        $aim = $isLeft ? new Aim($own->early)
            : new Aim($own->early, $whole('tubs') ?? $own->tubs, $whole('clutches') ?? $own->clutches);
        DB::transaction(fn () => $project->update(['aim' => $aim->toArray()]));
        Replanning::of($project, $this->opened);

        return redirect()->route('projects.show', $project)->with(
            'said', $isLeft ? 'How much you give is left to the plan. Planning again.' : 'Planning again with what you mean to give.',
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
        Replanning::of($project, $this->opened);

        return redirect()->route('projects.show', $project)->with(
            'said', $isPinned ? 'The pin is removed.' : 'Every way uses this animal from now on.',
        );
    }
}
