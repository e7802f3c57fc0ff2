<?php

namespace App\Console\Commands;

use App\Exchange\Archive\Archive;
use App\Exchange\Errors\ExchangeError;
use App\Exchange\Field;
use App\Exchange\Importer;
use App\Exchange\ImportPlan;
use App\Exchange\ImportRow;
use App\Exchange\Table;
use App\Photos\Darkroom;

class ImportCommand extends AnswerCommand
{
    use OfKeeper;

    protected $signature = 'destino:import
        {file : an archive (.zip or .json), or a list of animals (.csv or .xlsx)}
        {--dry-run : say what would be written, and write nothing}
        {--repeated : bring in rows that repeat an animal too}
        {--unread : bring in rows whose genes cannot be read, the text in the notes}
        {--dates= : day-first or month-first, for dates like 03/04/2022}
        {--keeper= : e-mail address of the owner, where there are several}
        {--json : print one JSON document}';

    protected $description = 'Bring in a collection or a list of animals';

    protected function answer(): void
    {
        $opened = $this->open();
        $keeper = $opened->keeper();
        $path = (string) $this->argument('file');
        if (! is_file($path)) {
            throw ExchangeError::noFile($path);
        }
        if (self::isArchive($path)) {
            [$document, $photos] = Archive::open($path);
            $count = $this->option('dry-run') ? 0 : (new Archive($keeper, $this->laravel->make(Darkroom::class)))->take($document, $photos);
            $this->option('json')
                ? $this->printJson([
                    'written' => $count, 'animals' => count($document['animals']), 'photographs' => count($photos),
                    'dry_run' => (bool) $this->option('dry-run'),
                ])
                : $this->line(
                    $this->option('dry-run')
                        ? count($document['animals']).' animals and '.count($photos).' photographs would be taken in. Nothing was written.'
                        : "{$count} animals taken in.",
                );

            return;
        }
        $table = Table::read($path, basename($path));
        $plan = new ImportPlan($table, Field::match($table->headings), $keeper, $opened->shelf, (string) $this->option('dates'));
        $rows = $plan->ready((bool) $this->option('repeated'), (bool) $this->option('unread'));
        $written = $this->option('dry-run') ? 0 : count((new Importer($opened))->write($rows));
        $this->option('json') ? $this->printJson($this->report($plan, $written)) : $this->printReport($plan, count($rows), $written);
    }

    private static function isArchive(string $path): bool
    {
        $zip = new \ZipArchive;
        if ($zip->open($path, \ZipArchive::RDONLY) === true) {
            return $zip->locateName('collection.json') !== false;
        }

        return str_starts_with(ltrim((string) file_get_contents($path, false, null, 0, 64)), '{');
    }

    /** @return array<string, mixed> */
    private function report(ImportPlan $plan, int $written): array
    {
        return ['written' => $written, 'dry_run' => (bool) $this->option('dry-run')] + $plan->counts() + [
            'columns' => array_map(
                fn (string $heading, ?Field $field): array => ['heading' => $heading, 'meaning' => $field->value ?? 'kept in the notes'],
                $plan->table->headings, $plan->columns,
            ),
            'problems' => array_values(array_map(fn (ImportRow $row): array => [
                'row' => $row->line, 'name' => $row->values['name'], 'errors' => $row->errors,
                'genes_unread' => $row->genesUnread, 'repeats' => $row->repeats, 'notes' => $row->notes,
            ], array_filter($plan->rows, fn (ImportRow $row): bool => $row->errors !== [] || $row->genesUnread || $row->repeats !== ''))),
        ];
    }

    private function printReport(ImportPlan $plan, int $ready, int $written): void
    {
        foreach ($plan->table->headings as $i => $heading) {
            $this->line("{$heading} → ".($plan->columns[$i]->value ?? 'kept in the notes'));
        }
        foreach ($plan->rows as $row) {
            foreach ($row->errors as $error) {
                $this->line("Row {$row->line}, {$error['field']}: {$error['message']}");
            }
            if ($row->genesUnread) {
                $this->line("Row {$row->line}, genes “{$row->genes}”: ".implode(' ', $row->notes));
            }
            if ($row->repeats !== '') {
                $this->line("Row {$row->line} repeats: {$row->repeats}");
            }
        }
        $counts = $plan->counts();
        $this->line(
            "{$counts['rows']} rows: {$counts['wrong']} wrong, {$counts['unread']} with genes that cannot be read, "
                ."{$counts['repeated']} repeated.",
        );
        $this->line($this->option('dry-run') ? "{$ready} would be written. Nothing was." : "{$written} animals written.");
    }
}
