<?php

namespace App\Jobs;

use App\Collection\Doorway;
use App\Collection\Opened;
use App\Models\User;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Http\Events\RequestHandled;
use Illuminate\Foundation\Queue\Queueable;

/**
 * After something was written in a large collection: what follows for everybody in it is worked out while nobody waits. A page that
 * comes sooner works out what it needs itself; what both find is the same, and kept under what it follows from.
 */
class WorkOutBeliefs implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    /** Smaller collections take no time that anybody would notice. */
    private const FROM = 100;

    public int $tries = 1;

    public int $timeout = 600;

    public function __construct(private readonly int $keeper)
    {
        $this->onQueue('quick');
    }

    /** Whoever wrote, by a page or by a program. */
    public static function after(RequestHandled $handled): void
    {
        if ($handled->request->isMethodSafe() || $handled->response->getStatusCode() >= 400 || config('queue.default') === 'sync') {
            return;
        }
        $keeper = $handled->request->user()?->keeper();
        if ($keeper instanceof User && $keeper->animals()->count() >= self::FROM) {
            self::dispatch($keeper->id);
        }
    }

    public function uniqueId(): string
    {
        return (string) $this->keeper;
    }

    public function handle(Doorway $doorway): void
    {
        $keeper = User::query()->find($this->keeper);
        $keeper === null ?: $doorway->within($keeper, function (Opened $opened) use ($keeper): void {
            foreach ($keeper->animals()->pluck('id') as $id) {
                $opened->beliefs()->text((int) $id);
            }
        });
    }
}
