<?php

declare(strict_types=1);

namespace Destino\Documents;

use Destino\DestinoError;
use Destino\Genome\CatalogueBuilder;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use stdClass;

/** Checks a folder of gene facts: the shape by the schema, then that every school builds a catalogue from it. */
final readonly class CatalogueCheck
{
    private CatalogueFiles $files;

    public function __construct(string $folder)
    {
        $this->files = new CatalogueFiles($folder);
    }

    /** @return list<string> what is wrong, empty where nothing is */
    public function faults(): array
    {
        $faults = $this->shapeFaults($this->files->objects());

        return $faults === [] ? $this->buildFaults() : $faults;
    }

    /** @return list<string> */
    public function shapeFaults(stdClass $document): array
    {
        $validator = (new Validator)->setMaxErrors(20);
        $error = $validator->validate($document, $this->files->schema())->error();
        $faults = [];
        foreach ($error === null ? [] : (new ErrorFormatter)->format($error) as $place => $messages) {
            $faults[] = "{$place}: ".implode(' ', array_filter((array) $messages, is_string(...)));
        }

        return $faults;
    }

    /** @return list<string> */
    private function buildFaults(): array
    {
        $document = $this->files->document();
        $facts = new ShippedFacts($document);
        $faults = [];
        try {
            $facts->cues();
            foreach ($facts->catalogue()->claims as $claim) {
                foreach (array_keys($claim->schools) as $school) {
                    CatalogueBuilder::build($document, [$claim->key => $school]);
                }
            }
        } catch (DestinoError $error) {
            $faults[] = $error->getMessage();
        }

        return $faults;
    }
}
