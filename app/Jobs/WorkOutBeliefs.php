<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Collection\Doorway;
use App\Collection\Opened;
use App\Collection\Patience;
use App\Database\Snapshot;
use App\Http\Middleware\EnterCollection;
use App\Models\User;
use App\Prove\DisputedFacts;
use App\Prove\EvidenceAsked;
use App\Prove\EvidencePage;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Http\Events\RequestHandled;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;

/**
 * After something was written in a large collection: what follows for everybody in it is worked out while nobody waits. A page that
 * comes sooner works out what it needs itself; what both find is the same, and kept under what it follows from.
 */
class WorkOutBeliefs implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 600;

    /** Seconds after which one that was lost is asked for again. */
    public int $uniqueFor = 60;

    public function __construct(private readonly int $keeper)
    {
        $this->onQueue('quick');
    }

    /** Whoever wrote, by a page or by a program; and a page that found it not done yet. */
    public static function after(RequestHandled $handled): void
    {
        $isAsked = $handled->request->attributes->getBoolean(EnterCollection::BEHIND)
            || (! $handled->request->isMethodSafe() && $handled->response->getStatusCode() < 400);
        if (! $isAsked || config('queue.default') === 'sync') {
            return;
        }
        $keeper = $handled->request->user()?->keeper();
        if ($keeper instanceof User && $keeper->animals()->count() >= Patience::FROM) {
            rescue(function () use ($keeper): void { // what was written is kept; a page that finds it not done asks again
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
        $keeper === null ?: $doorway->within($keeper, function (Opened $opened): void {
            Snapshot::during($opened->beliefs()->complete(...));
            Snapshot::during(function () use ($opened): void {
                foreach ((new EvidenceAsked($opened->kept, $this->keeper))->all() as $id) {
                    $animal = $opened->keeper()->animals()->find($id);
                    $animal === null ? (new EvidenceAsked($opened->kept, $this->keeper))->isAnswered($id) : new EvidencePage($animal, $opened);
                }
                (new DisputedFacts($opened))->all();
            });
        });
    }
}
