<?php

namespace App\Jobs;

use App\Collection\Doorway;
use App\Collection\Opened;
use App\Models\User;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
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

    public static function after(User $keeper): void
    {
        if (config('queue.default') !== 'sync' && $keeper->animals()->count() >= self::FROM) {
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
