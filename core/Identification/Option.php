<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Form;
use Destino\Genome\Sex;

/** What a young can be in one linkage group, whichever parent gave what. */
final readonly class Option
{
    /** @param array<string, Form> $forms by locus */
    public function __construct(public string $key, public array $forms, public ?Sex $sex, public bool $isLethal) {}
}
