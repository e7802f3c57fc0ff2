<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Exchange\Archive\Archive;
use App\Exchange\ColumnGuess;
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
        {--dates= : day-first or month-first, for dates like 03/04/2022}
        {--keeper= : e-mail address of the owner, where there are several}
        {--json : print one JSON document}';

    protected $description = 'Import a collection or a list of animals';

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
        $plan = new ImportPlan(
            $table, $table->hasHeadings ? Field::match($table->headings) : (new ColumnGuess($opened->shelf))->of($table),
            $keeper, $opened->shelf, $opened->house, (string) $this->option('dates'),
        );
        $rows = $plan->ready((bool) $this->option('repeated'));
        $written = $this->option('dry-run') ? 0 : count((new Importer($opened))->atOnce($rows));
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

    /** @return array<string, mixed> as the document destino-import/1 */
    private function report(ImportPlan $plan, int $written): array
    {
        $taken = $plan->ready((bool) $this->option('repeated'));

        return [
            'format' => 'destino-import/1', 'rows' => count($plan->rows), 'taken' => count($taken),
            'with_remarks' => count(array_filter($taken, fn (ImportRow $row): bool => $row->remarks !== [] || $row->genesUnread)),
            'asked' => $this->asked($plan),
            'refused' => array_values(array_map(
                fn (ImportRow $row): array => ['row' => $row->line, 'why' => implode(' ', array_column($row->errors, 'message'))],
                array_filter($plan->rows, fn (ImportRow $row): bool => $row->errors !== []),
            )),
            'columns' => array_combine(
                $plan->table->headings,
                array_map(fn (?Field $field): string => $field === null ? 'notes' : str_replace(' ', '_', $field->value), $plan->columns),
            ) ?: new \stdClass,
            'left' => array_values(array_intersect_key($plan->table->headings, array_filter($plan->columns, is_null(...)))),
            'written' => $written, 'dry_run' => (bool) $this->option('dry-run'),
            'remarks' => array_merge(
                [],
                ...array_map(
                    fn (ImportRow $row): array => array_map(fn (array $one): array => ['row' => $row->line] + $one, $row->remarks),
                    $plan->rows,
                ),
            ),
        ];
    }

    /** @return list<array<string, mixed>> what has to be answered before all can be brought in */
    private function asked(ImportPlan $plan): array
    {
        $heading = array_flip(array_map(fn (?Field $field): string => $field->value ?? '', $plan->columns));
        $asked = [];
        foreach ($plan->rows as $row) {
            foreach ($row->asked as $one) {
                $asked[] = [
                    'row' => $row->line, 'column' => $plan->table->headings[$heading[$one['field']] ?? -1] ?? $one['field'],
                ] + array_diff_key($one, ['field' => 1]);
            }
            if ($row->errors === [] && $row->repeats !== '' && ! $this->option('repeated')) {
                $asked[] = [
                    'row' => $row->line, 'column' => null, 'text' => (string) $row->values['name'],
                    'question' => "It repeats: {$row->repeats}. Bring it in all the same?", 'choices' => ['leave out', 'bring in'],
                ];
            }
        }

        return $asked;
    }

    private function printReport(ImportPlan $plan, int $ready, int $written): void
    {
        foreach ($plan->table->headings as $i => $heading) {
            $this->line("{$heading} → ".($plan->columns[$i]->value ?? 'kept in the notes'));
        }
        foreach ($plan->rows as $row) {
            foreach ([...$row->errors, ...$row->remarks] as $one) {
                $this->line("Row {$row->line}, {$one['field']}: {$one['message']}");
            }
            if ($row->repeats !== '') {
                $this->line("Row {$row->line} repeats: {$row->repeats}");
            }
        }
        $counts = $plan->counts();
        $this->line(
            "{$counts['rows']} rows: {$counts['wrong']} that are no animal, {$counts['remarks']} with remarks, {$counts['unread']} with genes to read, "
                ."{$counts['repeated']} repeated.",
        );
        $this->line($this->option('dry-run') ? "{$ready} would be written. Nothing was." : "{$written} animals written.");
    }
}
