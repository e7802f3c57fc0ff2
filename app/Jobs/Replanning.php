<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Collection\Opened;
use App\Models\Plan;
use App\Models\Project;
use App\Projects\Workshop;
use Destino\DestinoError;
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
            $project->plans()->where('state', Plan::FOLLOWING)->delete();

            return $project->plans()->create($begun);
        }));
    }

    /** A new plan in the place of one that the collection has outgrown, which is shown until then. */
    public static function follow(Project $project, Opened $opened): void
    {
        $shown = $project->latestPlan;
        try {
            if ($shown?->state !== 'done' || (new Workshop($opened))->since($shown, $project) === []) {
                return;
            }
        } catch (DestinoError) {
            return; // its page says what cannot be read
        }
        $plan = DB::transaction(fn (): ?Plan => $project->plans()->where('state', Plan::FOLLOWING)->exists()
            ? null
            : $project->plans()->create(['state' => Plan::FOLLOWING, 'seed' => $shown->seed, 'input' => '']));
        $plan === null ?: MakePlan::dispatch($plan->id)->onQueue(FollowPlans::LATER)->afterCommit();
    }

    /** The whole answer, by a worker. */
    public static function work(Plan $plan): void
    {
        MakePlan::dispatch($plan->id)->afterCommit();
    }
}
