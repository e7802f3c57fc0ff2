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
    /** The first answer is worked out before anybody is kept from writing. */
    public static function of(Project $project, Opened $opened): void
    {
        $begun = (new Workshop($opened))->begin($project);
        self::work(DB::transaction(function () use ($project, $begun): Plan {
            // an older one that is still at work
            $project->plans()->whereIn('state', ['waiting', 'running'])->update(['state' => 'cancelled']);

            return $project->plans()->create($begun);
        }));
    }

    /** The whole answer, by a worker. */
    public static function work(Plan $plan): void
    {
        MakePlan::dispatch($plan->id)->afterCommit();
    }
}
