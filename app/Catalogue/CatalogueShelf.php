<?php

namespace App\Catalogue;

use Destino\Genome\Catalogue;
use Destino\Genome\CatalogueBuilder;
use Destino\Notation\NameIndex;
use RuntimeException;

/** Reads the gene facts from their files and keeps the catalogues built from them, one per choice of schools. */
class CatalogueShelf
{
    public const PARTS = ['loci', 'linkage', 'compounds', 'conditions', 'warnings', 'masks', 'lookalikes', 'interactions', 'names', 'claims'];

    /** @var array<string, mixed>|null */
    private ?array $document = null;

    /** @var array<string, Catalogue> */
    private array $catalogues = [];

    /** @var array<string, NameIndex> */
    private array $names = [];

    public function __construct(private readonly string $folder) {}

    /**
     * The whole catalogue as one document, as catalogue/schema.json describes it.
     *
     * @return array<string, mixed>
     */
    public function document(): array
    {
        if ($this->document === null) {
            $document = ['format' => 'destino-catalogue/1', 'genes' => []];
            foreach (glob($this->folder.'/genes/*.json') ?: [] as $file) {
                $document['genes'][] = $this->decode($file);
            }
            foreach (self::PARTS as $part) {
                $document[$part] = $this->decode("{$this->folder}/{$part}.json");
            }
            $this->document = $document;
        }

        return $this->document;
    }

    /** @param array<string, string> $schools choice by claim; the rest as the catalogue's default */
    public function catalogue(array $schools = []): Catalogue
    {
        return $this->catalogues[self::key($schools)] ??= CatalogueBuilder::build($this->document(), $schools);
    }

    /** @param array<string, string> $schools */
    public function names(array $schools = []): NameIndex
    {
        return $this->names[self::key($schools)] ??= new NameIndex($this->catalogue($schools));
    }

    /** @param array<string, string> $schools */
    private static function key(array $schools): string
    {
        ksort($schools);

        return http_build_query($schools);
    }

    private function decode(string $file): mixed
    {
        $text = is_readable($file) ? file_get_contents($file) : false;
        if ($text === false) {
            throw new RuntimeException("The catalogue file {$file} cannot be read.");
        }

        return json_decode($text, true, 64, JSON_THROW_ON_ERROR);
    }
}
