<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Collection\Opened;
use App\Models\Plan;
use App\Models\Project;
use App\Projects\Workshop;
use Illuminate\Support\Facades\DB;

/** A new plan: a first answer at once, the whole one by a worker; an older one that is at work is stopped. */
class Replanning
{
    public static function of(Project $project, Opened $opened): void
    {
        $plan = DB::transaction(function () use ($project, $opened): Plan {
            // an older one that is still at work
            $project->plans()->whereIn('state', ['waiting', 'running'])->update(['state' => 'cancelled']);

            return (new Workshop($opened))->begin($project);
        });
        MakePlan::dispatch($plan->id)->afterCommit();
    }
}
