<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Collection\Doorway;
use App\Collection\Opened;
use App\Exchange\Bringing;
use App\Models\Import;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Brings a list in, in the background. */
class BringIn implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 900;

    public function __construct(private readonly int $import)
    {
        $this->onQueue('quick');
    }

    public function handle(Doorway $doorway): void
    {
        $import = Import::query()->with('keeper')->find($this->import);
        if ($import !== null) {
            $doorway->within($import->keeper, fn (Opened $opened) => (new Bringing($opened))->work($import));
            FollowPlans::of($import->keeper);
        }
    }

    public function failed(?Throwable $error): void
    {
        $import = Import::query()->find($this->import);
        $import === null || ! $import->isOpen() ?: Bringing::stop($import, 'The import stopped before its end.');
    }
}
