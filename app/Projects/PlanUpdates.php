<?php

declare(strict_types=1);

namespace App\Projects;

use App\Models\Project;
use App\Models\User;
use Illuminate\Support\Carbon;

/** Plans that were updated because the collection changed: why, and what they say now. */
final readonly class PlanUpdates
{
    /** Why the plan on the page was updated, and what it said before; empty where somebody asked for it. */
    public static function words(Project $project): string
    {
        $plan = $project->made();
        if ($plan->because === []) {
            return '';
        }

        return 'Updated on '.$project->latestPlan?->created_at?->format('j M').': '.implode('; ', $plan->because).'.'
            .($plan->before === null ? '' : " Before: “{$plan->before}”");
    }

    /** @return list<array{project: Project, answer: string, words: string}> since a day */
    public static function since(User $keeper, Workshop $workshop, Carbon $day): array
    {
        $projects = $keeper->projects()->whereHas('plans', fn ($plans) => $plans->where('created_at', '>=', $day))
            ->with('latestPlan')->orderByDesc('weight')->orderBy('name')->get();
        $news = [];
        foreach ($projects as $project) {
            $words = $project->latestPlan?->created_at?->gte($day) ? self::words($project) : '';
            $words === '' ?: $news[] = ['project' => $project, 'answer' => (new ProjectPage($project, $workshop))->answer(),
                'words' => $words];
        }

        return $news;
    }
}
