<?php

declare(strict_types=1);

namespace Destino\Documents;

use Opis\JsonSchema\Errors\ValidationError;
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
        // "{}" and "[]" are the same to PHP: where an object is wanted, an empty list is one.
        for ($tries = 0; $error !== null && $tries < self::MOST && self::emptied($value, $error); $tries++) {
            $error = $validator->validate($value, $schema)->error();
        }
        if ($error !== null) {
            throw new DocumentError(array_values(array_unique(SchemaFault::words($error))));
        }
    }

    /** Puts an object in the place of each empty list that should be one; answers whether there was any. */
    private static function emptied(mixed &$value, ValidationError $error): bool
    {
        $found = false;
        foreach ($error->subErrors() as $one) {
            $found = self::emptied($value, $one) || $found;
        }
        if ($error->keyword() !== 'type' || $error->data()->value() !== [] || ! in_array('object', (array) ($error->args()['expected'] ?? []), true)) {
            return $found;
        }
        $place = &$value;
        foreach ($error->data()->fullPath() as $key) {
            if (is_object($place)) {
                $place = &$place->{$key};
            } else {
                $place = &$place[$key];
            }
        }
        $place = (object) [];

        return true;
    }
}
