<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Collection\Opened;
use App\Database\Snapshot;
use App\Exchange\AnimalSheet;
use App\Exchange\Archive\Archive;
use App\Exchange\Errors\ExchangeError;
use App\Exchange\PedigreeFile;
use App\Exchange\SeasonCalendar;
use App\Photos\Darkroom;
use App\Tables\Sheet;
use RuntimeException;
use Symfony\Component\Console\Output\OutputInterface;

class ExportCommand extends AnswerCommand
{
    use OfKeeper;

    protected $signature = 'destino:export
        {--format=json : json, csv, xlsx, ped or ics}
        {--out= : write to this file; an archive named *.zip holds the photographs too}
        {--keeper= : e-mail address of the owner, where there are several}
        {--json : errors as a JSON document}';

    protected $description = 'The collection as an archive, a list, a pedigree or a calendar';

    protected function answer(): void
    {
        Snapshot::during($this->export(...));
    }

    private function export(): void
    {
        $opened = $this->open();
        $keeper = $opened->keeper();
        $out = $this->option('out');
        $format = (string) $this->option('format');
        if ($format === 'json' && is_string($out) && str_ends_with($out, '.zip')) {
            (new Archive($keeper, $this->laravel->make(Darkroom::class)))->write($out);
            chmod($out, 0600);
            $this->line("Written: {$out}");

            return;
        }
        $text = match ($format) {
            'json' => Archive::json((new Archive($keeper, $this->laravel->make(Darkroom::class)))->document()),
            Sheet::CSV, Sheet::XLSX => self::sheet($opened, $format),
            'ped' => PedigreeFile::write($opened),
            'ics' => SeasonCalendar::of($keeper),
            default => throw ExchangeError::unknownFormat($format),
        };
        if (is_string($out)) {
            file_put_contents($out, $text);
            $this->line("Written: {$out}");
        } else {
            $this->output->getOutput()->write($text, false, OutputInterface::OUTPUT_RAW);
        }
    }

    private static function sheet(Opened $opened, string $format): string
    {
        $stream = fopen('php://temp', 'w+') ?: throw new RuntimeException('There is no room for a temporary file.');
        Sheet::write($stream, $format, AnimalSheet::headings(), AnimalSheet::rows($opened));
        rewind($stream);

        return (string) stream_get_contents($stream);
    }
}
