<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Vault;
use Illuminate\Support\Carbon;

class BackupCommand extends AnswerCommand
{
    protected $signature = 'destino:backup {--if-due : only where none was made for most of a day} {--json : print one JSON document}';

    protected $description = 'A consistent copy of the database, also while it is in use';

    protected function answer(): void
    {
        $vault = Vault::ofThisInstallation();
        if ($this->option('if-due') && ! $vault->isDue(Carbon::now())) {
            $this->option('json') ? $this->printJson(['made' => null]) : $this->line('The last backup is recent enough.');

            return;
        }
        $file = $vault->make(Carbon::now());
        $this->option('json')
            ? $this->printJson(['made' => $file, 'path' => $vault->path($file)])
            : $this->line("Backup made: {$vault->path($file)}");
    }
}
