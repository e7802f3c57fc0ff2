<?php

declare(strict_types=1);

namespace Destino\Documents;

use Destino\Appearance\LookFacts;
use Destino\Genome\Catalogue;
use Destino\Identification\Cue;
use Destino\Notation\GenotypeReader;
use Destino\Notation\TargetReader;

/** What the texts of a document are read by: the genes of one choice of schools, their names, and the cues. */
interface GeneFacts
{
    public function catalogue(): Catalogue;

    public function reader(): GenotypeReader;

    public function targets(): TargetReader;

    public function looks(): LookFacts;

    /** @return array<string, Cue> by key */
    public function cues(): array;
}
