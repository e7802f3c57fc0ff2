<?php

declare(strict_types=1);

namespace App\Documents;

use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;

/** Holds a document that somebody wrote against its schema in docs/formats, and says at each place what is wrong. */
class DocumentSchema
{
    private const MOST = 20;

    public function __construct(private readonly string $name) {}

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
            throw new DocumentError(array_values(array_unique(self::leaves($error))));
        }
    }

    /** @return list<string> */
    private static function leaves(ValidationError $error): array
    {
        if ($error->subErrors() !== [] && ! in_array($error->keyword(), ['oneOf', 'anyOf'], true)) {
            return array_merge(...array_map(self::leaves(...), $error->subErrors()));
        }
        $where = self::path($error->data()->fullPath());
        $args = $error->args();

        return match ($error->keyword()) {
            'additionalProperties' => array_map(
                fn (string $field): string => (
                    $where === '' ? 'The document' : $where
                )." has a field “{$field}”, which is not known there.".self::known($error),
                self::unknown($error),
            ),
            'required' => array_map(
                fn (string $field): string => ($where === '' ? 'The document' : $where)." wants “{$field}”.",
                array_map(strval(...), (array) ($args['missing'] ?? [])),
            ),
            'type' => [
                "{$where} is ".self::kind((string) ($args['type'] ?? '')).', where '.self::kinds($args['expected'] ?? '').' is wanted.',
            ],
            'enum' => [
                "{$where} is not one of those that are known: "
                    .implode(
                        ', ',
                        array_map(fn (mixed $one): string => (string) json_encode($one), (array) (self::schemaOf($error)->enum ?? [])),
                    )
                    .'.',
            ],
            'const' => ["{$where} must be ".json_encode(self::schemaOf($error)->const ?? null, JSON_UNESCAPED_SLASHES).'.'],
            'minimum' => ["{$where} is too small: at least {$args['min']}."],
            'exclusiveMinimum' => ["{$where} is too small: more than {$args['min']}."],
            'maximum' => ["{$where} is too large: at most {$args['max']}."],
            'oneOf',
            'anyOf' => ["{$where} is of another kind than wanted: ".(self::schemaOf($error)->description ?? 'see docs/formats').'.'],
            default => ["{$where} is not as wanted ({$error->keyword()})."],
        };
    }

    /**
     * The fields that the schema does not have: the validator names those too in which it found another fault.
     *
     * @return list<string>
     */
    private static function unknown(ValidationError $error): array
    {
        $fields = array_map(strval(...), (array) ($error->args()['properties'] ?? []));

        return array_values(array_diff($fields, array_map(strval(...), array_keys((array) (self::schemaOf($error)->properties ?? [])))));
    }

    private static function schemaOf(ValidationError $error): object
    {
        $data = $error->schema()->info()->data();

        return is_object($data) ? $data : (object) [];
    }

    private static function known(ValidationError $error): string
    {
        $known = array_keys((array) (self::schemaOf($error)->properties ?? []));

        return $known === [] ? '' : ' Known are '.implode(', ', $known).'.';
    }

    private static function kind(string $type): string
    {
        return [
            'array' => 'a list', 'object' => 'an object', 'string' => 'a text', 'integer' => 'a whole number',
            'number' => 'a number', 'boolean' => 'true or false', 'null' => 'null',
        ][$type]
            ?? $type;
    }

    private static function kinds(mixed $types): string
    {
        return implode(' or ', array_map(fn (mixed $type): string => self::kind((string) $type), array_values((array) $types)));
    }

    /** @param array<array-key, int|string> $path */
    private static function path(array $path): string
    {
        $text = '';
        foreach ($path as $part) {
            $text .= is_int($part) ? "[{$part}]" : ($text === '' ? $part : ".{$part}");
        }

        return $text;
    }
}
