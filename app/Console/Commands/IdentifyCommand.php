<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\CatalogueShelf;
use Destino\Documents\ClutchReader;
use Destino\Documents\IdentificationDocument;
use Destino\Identification\Identification;
use Destino\Identification\IdentificationError;
use Destino\Pairing\Asking\QuestionError;

class IdentifyCommand extends AnswerCommand
{
    use ChoosesSchools;
    use ReadsFile;

    protected $signature = 'destino:identify
        {file : a clutch document (destino-clutch/1), or - for standard input}
        {--top=50 : genotypes of each hatchling}
        {--school=* : CLAIM=CHOICE for a disputed fact}
        {--json : print one JSON document}';

    protected $description = 'What the hatchlings of a clutch are, by what was seen of them';

    protected function answer(): void
    {
        $document = $this->fileDocument(IdentificationError::missing(...));
        $top = $this->wholeNumber(
            'top', 0, 100_000, fn (string $typed): QuestionError => QuestionError::notOneOf('top', $typed, ['a whole number']),
        );
        $shelf = app(CatalogueShelf::class)->withSchools($this->schools());
        $reader = new ClutchReader($shelf, $document);
        $found = new Identification($shelf->catalogue(), $shelf->looks(), $reader->clutch, $reader->cues);
        $answer = (new IdentificationDocument($shelf))->of($found, $reader, $top);
        $this->option('json') ? $this->printJson($answer) : $this->printTable($answer);
    }

    /** @param array<string, mixed> $answer */
    private function printTable(array $answer): void
    {
        foreach ($answer['hatchlings'] as $one) {
            if ($one['impossible']) {
                $this->line("{$one['id']}: these parents cannot have it.");
                foreach ($one['explanations'] as $why) {
                    $this->line(sprintf('  %5.1f %%  %s', 100 * $why['decimal'], $why['text']));
                }

                continue;
            }
            $this->line("{$one['id']}: ".($one['label'] === '' ? 'Normal' : $one['label']));
            foreach ($one['genes'] as $gene) {
                $this->line(sprintf('  %5.1f %%  carries %s', 100 * $gene['decimal'], $gene['name']));
            }
            foreach (array_slice($one['next'], 0, 3) as $next) {
                $next['bits'] > 0
                    && $this->line(
                        sprintf(
                            '  look at %s: %.2f bits%s', $next['cue'], $next['bits'],
                            $next['separates'] === '' ? '' : ", separates {$next['separates']}",
                        ),
                    );
            }
        }
        foreach (count($answer['sires']) > 1 ? $answer['sires'] : [] as $sire) {
            $this->line(sprintf('sire %s: %.1f %%', $sire['id'], 100 * $sire['decimal']));
        }
    }
}
