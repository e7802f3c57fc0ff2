<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Vault;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

class RestoreCommand extends AnswerCommand
{
    protected $signature = 'destino:restore {file? : a backup of the list, or a path; without it, the backups are listed} {--json : print one JSON document}';

    protected $description = 'Put a backup in place of the database; what is there is backed up first';

    protected function answer(): void
    {
        $vault = Vault::ofThisInstallation();
        $file = $this->argument('file');
        if (! is_string($file)) {
            $list = array_map(
                fn (array $backup): array => [
                    'file' => $backup['file'], 'at' => $backup['at']->format('Y-m-d H:i:s'), 'bytes' => $backup['bytes'],
                ],
                $vault->backups(),
            );
            $this->option('json') ? $this->printJson(['backups' => $list]) : $this->table(['backup', 'made', 'bytes'], $list);

            return;
        }
        DB::purge(); // this process lets go of the file
        $before = $vault->restore($file, Carbon::now());
        $this->option('json')
            ? $this->printJson(['restored' => $file, 'before' => $before])
            : $this->line("{$file} is in place. What was there before is kept as {$before}.");
    }
}
