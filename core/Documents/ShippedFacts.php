<?php

declare(strict_types=1);

namespace Destino\Documents;

use Destino\Appearance\LookFacts;
use Destino\Genome\Catalogue;
use Destino\Genome\CatalogueBuilder;
use Destino\Genome\Facts;
use Destino\Identification\Cue;
use Destino\Identification\CueBook;
use Destino\Notation\GenotypeReader;
use Destino\Notation\NameIndex;
use Destino\Notation\TargetReader;

/** The gene facts as they ship, of one choice of schools. */
final class ShippedFacts implements GeneFacts
{
    private ?Catalogue $catalogue = null;

    private ?NameIndex $names = null;

    private ?LookFacts $looks = null;

    /** @var array<string, Cue>|null */
    private ?array $cues = null;

    /**
     * @param  array<string, mixed>  $document  as catalogue/schema.json describes it
     * @param  array<string, string>  $schools  choice by claim; the rest as the catalogue's default
     */
    public function __construct(public readonly array $document, private readonly array $schools = []) {}

    public function catalogue(): Catalogue
    {
        return $this->catalogue ??= CatalogueBuilder::build($this->document, $this->schools);
    }

    public function names(): NameIndex
    {
        return $this->names ??= new NameIndex($this->catalogue());
    }

    public function reader(): GenotypeReader
    {
        return new GenotypeReader($this->catalogue(), $this->names());
    }

    public function targets(): TargetReader
    {
        return new TargetReader($this->catalogue(), $this->names());
    }

    public function looks(): LookFacts
    {
        return $this->looks ??= LookFacts::of($this->document);
    }

    public function cues(): array
    {
        return $this->cues ??= (new CueBook($this->catalogue(), $this->targets()))->read(
            array_map(fn (Facts $cue): array => $cue->values(), Facts::of($this->document)->children('cues')),
        );
    }
}
