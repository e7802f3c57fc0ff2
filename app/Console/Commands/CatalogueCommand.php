<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Destino\Documents\CatalogueCheck;
use Illuminate\Console\Command;

class CatalogueCommand extends Command
{
    protected $signature = 'destino:catalogue {folder? : a folder of gene facts; the shipped one if left out}';

    protected $description = 'Check the gene facts against their schema';

    public function handle(): int
    {
        $faults = (new CatalogueCheck((string) ($this->argument('folder') ?? config('destino.catalogue'))))->faults();
        foreach ($faults as $fault) {
            $this->error($fault);
        }
        if ($faults === []) {
            $this->info('The catalogue follows its schema, and every school can be built from it.');
        }

        return $faults === [] ? self::SUCCESS : 2;
    }
}
