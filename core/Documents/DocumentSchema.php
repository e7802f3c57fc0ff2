<?php

declare(strict_types=1);

namespace Destino\Documents;

use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;
use stdClass;

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
        $error = self::fault($validator, $value, $schema);
        // "{}" and "[]" are the same to PHP: where an object is wanted, an empty list is one.
        for ($tries = 0; $error instanceof ValidationError && $tries < self::MOST && self::emptied($value, $error); $tries++) {
            $error = self::fault($validator, $value, $schema);
        }
        if ($error !== null) {
            throw new DocumentError(array_values(array_unique(SchemaFault::words($error))));
        }
    }

    private static function fault(Validator $validator, mixed $value, string $schema): ?ValidationError
    {
        return $validator->validate($value, $schema)->error();
    }

    /** Puts an object in the place of each empty list that should be one; answers whether there was any. */
    private static function emptied(mixed &$value, ValidationError $error): bool
    {
        $found = false;
        foreach ($error->subErrors() as $one) {
            $found = ($one instanceof ValidationError && self::emptied($value, $one)) || $found;
        }
        if ($error->keyword() !== 'type' || $error->data()->value() !== []
            || ! in_array('object', (array) ($error->args()['expected'] ?? []), true)) {
            return $found;
        }
        $place = &$value;
        foreach ($error->data()->fullPath() as $key) {
            if ($place instanceof stdClass) {
                $place = &$place->{(string) $key};
            } elseif (is_array($place)) {
                $place = &$place[$key];
            }
        }
        $place = (object) [];

        return true;
    }
}
