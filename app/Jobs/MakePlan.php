<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Collection\Doorway;
use App\Collection\Opened;
use App\Models\Plan;
use App\Projects\Workshop;
use Destino\DestinoError;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Works a plan out whole, in the background. */
class MakePlan implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 900;

    /** Seconds after which one that gave way is tried again. */
    private const PAUSE = 30;

    public function __construct(private readonly int $plan) {}

    public function handle(Doorway $doorway): void
    {
        $plan = Plan::query()->with('project.keeper')->find($this->plan);
        if ($plan === null || ! ($plan->isOpen() || $plan->isFollowing())) {
            return;
        }
        $isFollowing = $plan->isFollowing();
        try {
            $isMade = $doorway->within($plan->project->keeper, fn (Opened $opened): bool => (new Workshop($opened))->work($plan));
        } catch (DestinoError $error) {
            $isFollowing ? $plan->delete()
                : $plan->update(['state' => 'failed', 'result' => ['error' => $error->getMessage()] + ($plan->result ?? [])]);

            return;
        }
        if ($isFollowing && $isMade) {
            FollowPlans::of($plan->project->keeper); // what was written in the meantime
        } elseif ($isFollowing) {
            self::dispatch($this->plan)->onQueue(FollowPlans::LATER)->delay(self::PAUSE); // somebody's own plan came first
        }
    }

    public function failed(?Throwable $error): void
    {
        Plan::query()->whereKey($this->plan)->where('state', Plan::FOLLOWING)->delete(); // the older one stays
        Plan::query()->whereKey($this->plan)->update(['state' => 'failed']);
    }
}
