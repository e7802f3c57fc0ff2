<?php

declare(strict_types=1);

namespace App\Catalogue;

use Destino\DestinoError;
use Destino\Genome\CatalogueBuilder;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use stdClass;

/** Checks a folder of gene facts: the shape by the schema, then that every school builds a catalogue from it. */
class CatalogueCheck
{
    public function __construct(private readonly string $folder) {}

    /** @return list<string> what is wrong, empty where nothing is */
    public function faults(): array
    {
        return $this->shapeFaults($this->document()) ?: $this->buildFaults();
    }

    /** The files as one document of objects, as the schema sees them. */
    public function document(): stdClass
    {
        $document = new stdClass;
        $document->format = 'destino-catalogue/1';
        $document->genes = array_map(self::decode(...), glob($this->folder.'/genes/*.json') ?: []);
        foreach (CatalogueShelf::PARTS as $part) {
            $document->$part = self::decode("{$this->folder}/{$part}.json");
        }

        return $document;
    }

    /** @return list<string> */
    public function shapeFaults(stdClass $document): array
    {
        $validator = (new Validator)->setMaxErrors(20);
        $error = $validator->validate($document, (string) file_get_contents("{$this->folder}/schema.json"))->error();
        $faults = [];
        foreach ($error === null ? [] : (new ErrorFormatter)->format($error) as $place => $messages) {
            $faults[] = "{$place}: ".implode(' ', (array) $messages);
        }

        return $faults;
    }

    /** @return list<string> */
    private function buildFaults(): array
    {
        $shelf = new CatalogueShelf($this->folder);
        $faults = [];
        try {
            $shelf->cues();
            foreach ($shelf->catalogue()->claims as $claim) {
                foreach (array_keys($claim->schools) as $school) {
                    CatalogueBuilder::build($shelf->document(), [$claim->key => (string) $school]);
                }
            }
        } catch (DestinoError $error) {
            $faults[] = $error->getMessage();
        }

        return $faults;
    }

    private static function decode(string $file): mixed
    {
        return json_decode((string) file_get_contents($file), false, 64, JSON_THROW_ON_ERROR);
    }
}
