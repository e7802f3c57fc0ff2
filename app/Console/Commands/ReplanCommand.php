<?php

namespace App\Console\Commands;

use App\Catalogue\CatalogueShelf;
use App\House\House;
use App\Http\Middleware\EnterCollection;
use App\Jobs\MakePlan;
use App\Models\Project;
use App\Projects\ProjectPage;
use App\Projects\Workshop;
use Destino\DestinoError;
use Illuminate\Console\Command;

class ReplanCommand extends Command
{
    protected $signature = 'destino:replan';

    protected $description = 'Plans anew every project that has no plan, or one that the collection has outgrown';

    public function handle(): int
    {
        foreach (Project::query()->with('keeper', 'latestPlan')->orderBy('id')->get() as $project) {
            EnterCollection::layOut($project->keeper);
            $workshop = new Workshop(app(CatalogueShelf::class), app(House::class));
            $page = new ProjectPage($project, $workshop);
            if ($page->plan !== null && ! $page->isOutdated()) {
                continue;
            }
            try {
                MakePlan::dispatch($workshop->begin($project)->id);
                $this->line("{$project->name}: begun.");
            } catch (DestinoError $error) {
                $this->line("{$project->name}: {$error->getMessage()}");
            }
        }

        return self::SUCCESS;
    }
}
