<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\CatalogueShelf;
use App\Catalogue\GeneSearch;
use Destino\Documents\GenesDocument;
use Destino\Genome\Allele;

class GenesCommand extends AnswerCommand
{
    use ChoosesSchools;

    protected $signature = 'destino:genes
        {--find= : words to look for}
        {--school=* : CLAIM=CHOICE for a disputed fact}
        {--json : print one JSON document}';

    protected $description = 'The genes of the catalogue';

    protected function answer(): void
    {
        $catalogue = app(CatalogueShelf::class)->catalogue($this->schools());
        $alleles = (new GeneSearch((string) $this->option('find')))->in($catalogue);
        if ($this->option('json')) {
            $this->printJson(GenesDocument::of($catalogue, $alleles));

            return;
        }
        $this->table(['name', 'also', 'kind', 'complex', 'two copies', 'how sure', 'key'], array_map(fn (Allele $allele): array => [
            $allele->name,
            implode(', ', $allele->aliases),
            $allele->inheritance->words(),
            $catalogue->locus($allele->locus)->isComplex() ? $catalogue->locus($allele->locus)->name : '',
            $allele->twoCopyName,
            $allele->evidence.(preg_match('/about (\d+) in 100/', $allele->source, $sure) === 1 ? ", about {$sure[1]} %" : ''),
            $allele->key,
        ], $alleles));
        $this->line(count($alleles).' of '.count($catalogue->alleles).' genes.');
    }
}
