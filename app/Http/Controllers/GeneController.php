<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catalogue\CatalogueShelf;
use App\Catalogue\GenePage;
use App\Catalogue\GeneSearch;
use App\Catalogue\GeneSigns;
use App\Collection\Opened;
use App\House\House;
use App\Http\Requests\NamingRequest;
use App\Looks\Gallery;
use App\Looks\Prints;
use App\Looks\StatePictures;
use App\Models\User;
use App\People\CurrentKeeper;
use App\Prove\DisputedFacts;
use App\Train\Carried;
use Destino\Genome\Allele;
use Destino\Genome\Effect;
use Destino\Genome\Inheritance;
use Destino\Genome\Locus;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

class GeneController extends Controller
{
    public function __construct(private readonly CatalogueShelf $shelf, private readonly House $house, private readonly Opened $opened) {}

    public function index(Request $request): View
    {
        $this->authorize('read');
        $catalogue = $this->shelf->catalogue();
        $text = fn (string $field): string => is_string($request->query($field)) ? (string) $request->query($field) : '';
        $search = new GeneSearch(
            mb_substr($text('find'), 0, 100),
            isset($catalogue->loci[$text('complex')]) ? $text('complex') : null,
            Inheritance::tryFrom($text('kind')),
            Effect::tryFrom($text('effect')),
        );

        $owned = array_flip((new Carried($this->opened))->alleles());
        $genes = $search->in($catalogue);
        usort($genes, fn (Allele $a, Allele $b): int => [isset($owned[$b->key]), $a->name] <=> [isset($owned[$a->key]), $b->name]);

        return view('genes.index', [
            'house' => $this->house,
            'catalogue' => $catalogue,
            'search' => $search,
            'genes' => $genes, 'owned' => $owned, 'walls' => $search->isNarrowed() ? ['all' => $genes] : self::walls($genes, $owned),
            'prints' => new Prints($gallery = new Gallery($this->shelf), kept: $this->opened->kept), 'gallery' => $gallery,
            'complexes' => array_filter($catalogue->loci, fn (Locus $locus): bool => $locus->isComplex()),
        ]);
    }

    /**
     * What is in the collection stands open, the rest a tap away; all of it where nothing is here.
     *
     * @param list<Allele> $genes
     * @param array<string, int> $owned by allele
     * @return array<string, list<Allele>>
     */
    private static function walls(array $genes, array $owned): array
    {
        $yours = array_values(array_filter($genes, fn (Allele $one): bool => isset($owned[$one->key])));
        $rest = array_values(array_filter($genes, fn (Allele $one): bool => ! isset($owned[$one->key])));

        return $yours === [] ? ['all' => $genes] : ['yours' => $yours] + ($rest === [] ? [] : ['rest' => $rest]);
    }

    public function show(string $gene, #[CurrentKeeper] User $keeper): View
    {
        $this->authorize('read');
        $catalogue = $this->shelf->catalogue();
        abort_unless(isset($catalogue->alleles[$gene]), 404);

        return view('genes.show', [
            'page' => new GenePage($catalogue, $catalogue->allele($gene)), 'gallery' => new Gallery($this->shelf), 'house' => $this->house,
            'changes' => $keeper->geneChanges()->where('gene', $gene)->orderBy('id')->get(),
            'recessives' => NamingRequest::recessives($catalogue->alleles),
            'signs' => new GeneSigns($this->shelf), 'disputed' => new DisputedFacts($this->opened), 'pictures' => new StatePictures($this->shelf),
            'mark' => (string) $this->opened->kept->mark(), 'prints' => new Prints(new Gallery($this->shelf), kept: $this->opened->kept),
        ]);
    }

    public function complex(string $locus): View
    {
        $this->authorize('read');
        $catalogue = $this->shelf->catalogue();
        abort_unless(isset($catalogue->loci[$locus]) && $catalogue->locus($locus)->isComplex(), 404);

        return view('genes.complex', ['catalogue' => $catalogue, 'locus' => $catalogue->locus($locus)]);
    }
}
