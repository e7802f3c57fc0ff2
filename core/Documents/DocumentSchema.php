<?php

declare(strict_types=1);

namespace Destino\Documents;

use Opis\JsonSchema\Validator;

/** Holds a document that somebody wrote against its schema in docs/formats, and says at each place what is wrong. */
final readonly class DocumentSchema
{
    private const MOST = 20;

    public function __construct(private string $name) {}

    /**
     * @param  array<array-key, mixed>  $document
     *
     * @throws DocumentError when a field is unknown, missing or of another kind than wanted
     */
    public function check(array $document): void
    {
        $validator = (new Validator)->setMaxErrors(self::MOST)->setStopAtFirstError(false);
        $schema = (string) file_get_contents(dirname(__DIR__, 2)."/docs/formats/{$this->name}.schema.json");
        $value = json_decode((string) json_encode($document === [] ? (object) [] : $document));
        $error = $validator->validate($value, $schema)->error();
        if ($error !== null) {
            throw new DocumentError(array_values(array_unique(SchemaFault::words($error))));
        }
    }
}
