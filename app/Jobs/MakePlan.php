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

    public function __construct(private readonly int $plan) {}

    public function handle(Doorway $doorway): void
    {
        $plan = Plan::query()->with('project.keeper')->find($this->plan);
        if ($plan === null || ! $plan->isOpen()) {
            return;
        }
        try {
            $doorway->within($plan->project->keeper, fn (Opened $opened) => (new Workshop($opened))->work($plan));
        } catch (DestinoError $error) {
            $plan->update(['state' => 'failed', 'result' => ['error' => $error->getMessage()] + ($plan->result ?? [])]);
        }
    }

    public function failed(?Throwable $error): void
    {
        Plan::query()->whereKey($this->plan)->update(['state' => 'failed']);
    }
}
