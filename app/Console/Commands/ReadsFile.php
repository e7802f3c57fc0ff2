<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Closure;
use Destino\DestinoError;

/** For commands that are handed a document: a file, or "-" for what comes in. */
trait ReadsFile
{
    /**
     * The JSON document that the argument "file" names.
     *
     * @param  Closure(string, string): DestinoError  $missing  the error for what is wanted at a place
     * @return array<array-key, mixed>
     */
    protected function fileDocument(Closure $missing): array
    {
        $path = (string) $this->argument('file');
        $text = $path === '-'
            ? file_get_contents('php://stdin')
            : (is_file($path) ? file_get_contents($path) : throw $missing($path, 'the file'));
        $document = json_decode((string) $text, true);

        return is_array($document) ? $document : throw $missing($path, 'a JSON document');
    }
}
