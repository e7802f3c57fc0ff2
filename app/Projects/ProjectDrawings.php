<?php

declare(strict_types=1);

namespace App\Projects;

use App\Collection\CoreId;
use App\Collection\Opened;
use App\Looks\Gallery;
use App\Looks\Prints;
use Destino\DestinoError;
use Illuminate\Support\HtmlString;

/** The animals of a project drawn: those that are here as they most likely look, what is hoped for by its genes. */
class ProjectDrawings
{
    private readonly Gallery $gallery;

    private readonly Prints $prints;

    public function __construct(private readonly Opened $opened)
    {
        $this->gallery = new Gallery($opened->shelf);
        $this->prints = new Prints($this->gallery, isFine: true, kept: $opened->kept, isLoose: true);
    }

    /** An animal by the core's id ("a5"); empty for one that is not here. */
    public function ofAnimal(string $id): HtmlString
    {
        $number = (int) CoreId::animal($id);

        return new HtmlString(
            $this->isHere($id)
                ? $this->prints->of($this->gallery->ofBelief($this->opened->beliefs()->belief($number), seed: $number))
                : '',
        );
    }

    /** Genes as a plan or a target writes them; empty where they are no look ("at least one of …"). */
    public function ofGenes(string $genes, int $seed = 0): HtmlString
    {
        try {
            return new HtmlString($this->prints->of($this->gallery->ofText(str_replace([' + ', ','], ' ', $genes), seed: $seed)));
        } catch (DestinoError) {
            return new HtmlString('');
        }
    }

    /** A node of a way: the animal itself where it is one that is here, else its genes; empty where neither is a look. */
    public function inRiver(string $animal, string $genes): HtmlString
    {
        try {
            $forms = $this->isHere($animal)
                ? $this->gallery->formsOf($this->opened->beliefs()->belief((int) CoreId::animal($animal)))
                : $this->gallery->formsOf($this->gallery->belief(str_replace([' + ', ','], ' ', $genes)));
        } catch (DestinoError) {
            return new HtmlString('');
        }

        return new HtmlString($this->prints->inDrawing($forms, false));
    }

    private function isHere(string $id): bool
    {
        return CoreId::animal($id) !== null && $this->opened->family()->animal((int) CoreId::animal($id)) !== null;
    }

    public function symbols(): HtmlString
    {
        return new HtmlString($this->prints->symbols());
    }
}
