<?php

declare(strict_types=1);

namespace App\Exchange\Archive;

use App\Exchange\Errors\ExchangeError;
use App\Exchange\Files\Unpacked;
use App\Models\User;
use App\Photos\Darkroom;
use App\Photos\UnusablePhoto;
use Illuminate\Support\Facades\DB;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Throwable;
use ZipArchive;

/**
 * A whole collection as one zip: collection.json (docs/formats/collection.schema.json) and the photographs. Accounts and
 * passwords are not in it, nor plans, which are worked out anew from their projects. Numbers in the document are its own,
 * counted from 1, so that two archives of equal collections are equal. Archives of the first format are read as well.
 */
class Archive
{
    /** Bytes that an archive may unpack to, and one file in it: the document of 1,000 animals with all they have is about 5 MB. */
    private const MOST_UNPACKED = 600_000_000;

    private const MOST_DOCUMENT = 60_000_000;

    public function __construct(private readonly User $keeper, private readonly Darkroom $darkroom) {}

    /** @return array<string, mixed> */
    public function document(): array
    {
        return (new Writer($this->keeper, $this->darkroom))->document();
    }

    /** Writes the zip. */
    public function write(string $path): void
    {
        $writer = new Writer($this->keeper, $this->darkroom);
        $document = $writer->document();
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE);
        $zip->addFromString('collection.json', self::json($document));
        foreach ($writer->files as $name => $file) {
            $zip->addFromString($name, $this->darkroom->read($file));
        }
        $zip->close();
    }

    /** @param array<string, mixed> $document */
    public static function json(array $document): string
    {
        return json_encode(
            $document,
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION,
        )
            ."\n";
    }

    /**
     * What is in a zip or in the document alone.
     *
     * @return array{array<string, mixed>, array<string, string>} the document, and the photographs by file
     *
     * @throws ExchangeError
     */
    public static function open(string $path): array
    {
        Unpacked::check($path, self::MOST_UNPACKED, self::MOST_DOCUMENT);
        $zip = new ZipArchive;
        $photos = [];
        if ($zip->open($path, ZipArchive::RDONLY) === true) {
            $text = $zip->getFromName('collection.json');
            for ($i = 0; $i < $zip->numFiles; $i++) {
                $name = (string) $zip->getNameIndex($i);
                if (preg_match('~^photos/[\w-]+\.jpg$~', $name)) {
                    if (($zip->statIndex($i)['size'] ?? 0) > Darkroom::MOST_KILOBYTES * 1024) {
                        throw ExchangeError::unusablePhoto($name, 'It is larger than '.(Darkroom::MOST_KILOBYTES / 1024).' MB.');
                    }
                    $photos[$name] = (string) $zip->getFromIndex($i);
                }
            }
            $zip->close();
        } else {
            $text = file_get_contents($path);
        }
        $document = json_decode((string) $text, true);
        $format = is_array($document) ? $document['format'] ?? null : null;
        if (! is_array($document) || ! in_array($format, [Schema::FORMAT, FirstFormat::FORMAT], true)) {
            throw ExchangeError::notAnArchive('it holds no collection.json of the format '.Schema::FORMAT.'.');
        }
        $schema = $format === FirstFormat::FORMAT ? 'collection-1' : 'collection';
        $result = (new Validator)->validate(
            json_decode((string) $text), (string) file_get_contents(base_path("docs/formats/{$schema}.schema.json")),
        );
        if (! $result->isValid()) {
            $errors = (new ErrorFormatter)->formatFlat($result->error());
            throw ExchangeError::notAnArchive((string) ($errors[count($errors) - 1] ?? 'its document does not follow the schema'));
        }

        return [$format === FirstFormat::FORMAT ? FirstFormat::lifted($document) : $document, $photos];
    }

    /**
     * Takes a whole archive into an empty collection.
     *
     * @param array<string, mixed> $document in the present format
     * @param array<string, string> $photos content by file
     * @return int animals taken in
     *
     * @throws ExchangeError when the collection is not empty, or a photograph is no picture
     */
    public function take(array $document, array $photos): int
    {
        $count = $this->keeper->animals()->withTrashed()->count();
        if ($count > 0) {
            throw ExchangeError::notEmpty($count);
        }
        $made = [];
        foreach ($photos as $name => $content) { // before anybody is kept from writing
            try {
                $made[$name] = Darkroom::made($content);
            } catch (UnusablePhoto $error) {
                throw ExchangeError::unusablePhoto($name, $error->getMessage());
            }
        }
        $reader = new Reader($this->keeper, $this->darkroom, $made);
        try {
            return DB::transaction(function () use ($document, $reader): int {
                activity()->disableLogging();
                try {
                    $reader->take($document);
                } finally {
                    activity()->enableLogging();
                }

                return count($document['animals']);
            });
        } catch (Throwable $error) {
            array_map($this->darkroom->discard(...), $reader->files());

            throw $error;
        }
    }
}
