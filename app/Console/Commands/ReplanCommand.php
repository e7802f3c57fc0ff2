<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Collection\Doorway;
use App\Jobs\MakePlan;
use App\Models\Project;
use App\Projects\ProjectPage;
use App\Projects\Workshop;
use Destino\DestinoError;
use Illuminate\Console\Command;

class ReplanCommand extends Command
{
    protected $signature = 'destino:replan';

    protected $description = 'Plans every project that has no plan, or whose animals have changed since its plan';

    public function handle(Doorway $doorway): int
    {
        foreach (Project::query()->with('keeper', 'latestPlan')->orderBy('id')->get() as $project) {
            $workshop = new Workshop($doorway->open($project->keeper));
            $page = new ProjectPage($project, $workshop);
            if ($page->plan !== null && ! $page->isOutdated()) {
                continue;
            }
            try {
                MakePlan::dispatch($project->plans()->create($workshop->begin($project))->id);
                $this->line("{$project->name}: begun.");
            } catch (DestinoError $error) {
                $this->line("{$project->name}: {$error->getMessage()}");
            }
        }

        $doorway->close();

        return self::SUCCESS;
    }
}
