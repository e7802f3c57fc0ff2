<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Collection\Doorway;
use App\Collection\Opened;
use App\Models\User;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Http\Events\RequestHandled;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;

/**
 * Some time after something was written, so that many writes are one: each project whose plan the collection has outgrown gets a
 * new one, behind everything that somebody waits for.
 */
class FollowPlans implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    /** The queue that comes last. */
    public const LATER = 'later';

    /** Seconds in which more may be written. */
    private const PAUSE = 30;

    public int $tries = 1;

    public int $timeout = 300;

    /** Seconds after which one that was lost is asked for again. */
    public int $uniqueFor = 300;

    public function __construct(private readonly int $keeper)
    {
        $this->onQueue(self::LATER)->delay(self::PAUSE);
    }

    /** Whoever wrote, by a page or by a program. */
    public static function after(RequestHandled $handled): void
    {
        $keeper = $handled->request->isMethodSafe() || $handled->response->getStatusCode() >= 400 ? null
            : $handled->request->user()?->keeper();
        $keeper instanceof User && self::of($keeper);
    }

    /** Each hour: a season turns, and animals come of age, though nobody writes. */
    public static function everybody(): void
    {
        User::query()->has('projects')->get()->each(self::of(...));
    }

    public static function of(User $keeper): void
    {
        if (config('queue.default') !== 'sync' && $keeper->projects()->exists()) {
            rescue(function () use ($keeper): void { // what was written is kept, whatever becomes of this; the next hour asks again
                self::dispatch($keeper->id);
            });
        }
    }

    /** Of one keeper in one database: the demo and a collection of one's own share what is kept here. */
    public function uniqueId(): string
    {
        return $this->keeper.' '.DB::connection()->getDatabaseName();
    }

    public function handle(Doorway $doorway): void
    {
        $keeper = User::query()->find($this->keeper);
        $keeper === null ?: $doorway->within($keeper, function (Opened $opened) use ($keeper): void {
            foreach ($keeper->projects()->with('latestPlan', 'keeper')->orderByDesc('weight')->orderBy('id')->get() as $project) {
                Replanning::follow($project, $opened);
            }
        });
    }
}
