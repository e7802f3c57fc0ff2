<?php

declare(strict_types=1);

namespace Destino\Documents;

/** The folder of gene facts as one document, as catalogue/schema.json describes it. */
final readonly class CatalogueFiles
{
    public const FORMAT = 'destino-catalogue/1';

    public const PARTS = [
        'loci', 'linkage', 'compounds', 'conditions', 'warnings', 'masks', 'lookalikes', 'interactions', 'axes', 'cues', 'names', 'claims',
    ];

    public function __construct(public string $folder) {}

    /**
     * @return array<string, mixed>
     *
     * @throws UnreadableFile where a file is missing or is no JSON
     */
    public function document(): array
    {
        $document = ['format' => self::FORMAT,
            'genes' => array_map(fn (string $file): mixed => $this->decode($file, true), $this->genes())];
        foreach (self::PARTS as $part) {
            $document[$part] = $this->decode("{$this->folder}/{$part}.json", true);
        }

        return $document;
    }

    /** The same with objects as objects, as a schema sees them. */
    public function objects(): \stdClass
    {
        $document = new \stdClass;
        $document->format = self::FORMAT;
        $document->genes = array_map(fn (string $file): mixed => $this->decode($file, false), $this->genes());
        foreach (self::PARTS as $part) {
            $document->{$part} = $this->decode("{$this->folder}/{$part}.json", false);
        }

        return $document;
    }

    public function schema(): string
    {
        return self::read("{$this->folder}/schema.json");
    }

    /** @return list<int> when each of the files was written last */
    public function times(): array
    {
        $files = glob($this->folder.'/{,genes/}*.json', GLOB_BRACE);

        return array_map(fn (string $file): int => (int) filemtime($file), $files === false ? [] : $files);
    }

    /** @return list<string> */
    private function genes(): array
    {
        $files = glob($this->folder.'/genes/*.json');

        return $files === false ? [] : $files;
    }

    private function decode(string $file, bool $asArrays): mixed
    {
        try {
            return json_decode(self::read($file), $asArrays, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            throw UnreadableFile::noJson($file, $error->getMessage());
        }
    }

    private static function read(string $file): string
    {
        $text = is_readable($file) ? file_get_contents($file) : false;

        return $text === false ? throw UnreadableFile::missing($file) : $text;
    }
}
