<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\CatalogueShelf;
use Destino\Documents\PedigreeReader;
use Destino\Documents\PosteriorDocument;
use Destino\Inference\Evidence\InferenceError;

class InferCommand extends AnswerCommand
{
    use ReadsFile;
    use ChoosesSchools;

    protected $signature = 'destino:infer
        {file : a pedigree document (destino-pedigree/1), or - for standard input}
        {--school=* : CLAIM=CHOICE for a disputed fact}
        {--json : print one JSON document}';

    protected $description = 'What the offspring say about their parents';

    protected function answer(): void
    {
        $document = $this->fileDocument(InferenceError::missing(...));
        $shelf = app(CatalogueShelf::class)->withSchools($this->schools());
        $kindred = (new PedigreeReader($shelf))->read($document);
        if ($kindred->faults !== []) {
            throw $kindred->faults[0];
        }
        $posterior = PosteriorDocument::of($kindred, $shelf->catalogue());
        $this->option('json') ? $this->printJson($posterior) : $this->printTable($posterior);
    }

    /** @param array<string, mixed> $posterior */
    private function printTable(array $posterior): void
    {
        foreach ($posterior['animals'] as $animal) {
            $this->line("{$animal['id']}: {$animal['text']}");
            foreach ((array) $animal['loci'] as $locus => $pairs) {
                $this->line(
                    "  {$locus}: "
                        .implode(
                            ', ',
                            array_map(fn (array $pair): string => implode('/', $pair['alleles'])." {$pair['probability']}", $pairs),
                        ),
                );
            }
        }
        foreach ($posterior['contradictions'] as $contradiction) {
            $this->newLine();
            $this->line("{$contradiction['subject']} cannot be what the records say. The explanations, and their odds:");
            foreach ($contradiction['explanations'] as $one) {
                $this->line(sprintf('  %5.1f %%  %s', 100 * $one['decimal'], $one['text']));
            }
        }
        foreach ($posterior['unlikely'] as $one) {
            $this->newLine();
            $this->line(sprintf('%s is possible, and hardly so (%.2g). If it is not luck:', $one['subject'], $one['decimal']));
            foreach ($one['explanations'] as $why) {
                $this->line(sprintf('  %5.1f %%  %s', 100 * $why['decimal'], $why['text']));
            }
        }
        $this->line($posterior['exact'] ? 'Exact.' : 'Sampled: a probability is within about '.round($posterior['error'], 4).' of this.');
    }
}
