<?php

declare(strict_types=1);

namespace Destino\Documents;

use Opis\JsonSchema\Errors\ValidationError;

/** What a validator found at one place of a document, in words. */
final readonly class SchemaFault
{
    private const KINDS = [
        'array' => 'a list', 'object' => 'an object', 'string' => 'a text', 'integer' => 'a whole number', 'number' => 'a number',
        'boolean' => 'true or false', 'null' => 'null',
    ];

    private string $where;

    private object $schema;

    private function __construct(private ValidationError $error)
    {
        $this->where = self::path($error->data()->fullPath());
        $schema = $error->schema()->info()->data();
        $this->schema = is_object($schema) ? $schema : (object) [];
    }

    /** @return list<string> what is wrong, each at its own place */
    public static function words(ValidationError $error): array
    {
        $faults = [];
        foreach (in_array($error->keyword(), ['oneOf', 'anyOf'], true) ? [] : $error->subErrors() as $inner) {
            array_push($faults, ...($inner instanceof ValidationError ? self::words($inner) : []));
        }

        return $faults === [] ? (new self($error))->own() : $faults;
    }

    /** @return list<string> */
    private function own(): array
    {
        $whole = $this->where === '' ? 'The document' : $this->where;

        return match ($this->error->keyword()) {
            'additionalProperties' => array_map(
                fn (string $field): string => "{$whole} has a field “{$field}”, which is not known there.{$this->known()}",
                    $this->unknown(),
            ),
            'required' => array_map(fn (string $field): string => "{$whole} wants “{$field}”.", self::texts($this->argument('missing'))),
            default => [$this->where.' '.$this->one()],
        };
    }

    private function one(): string
    {
        return match ($this->error->keyword()) {
            'type' => 'is '.self::kinds($this->argument('type')).', where '.self::kinds($this->argument('expected')).' is wanted.',
            'enum' => 'is not one of those that are known: '.implode(', ',
                array_map(self::json(...), (array) ($this->schema->enum ?? []))).'.',
            'const' => 'must be '.self::json($this->schema->const ?? null).'.',
            'minimum' => 'is too small: at least '.self::json($this->argument('min')).'.',
            'exclusiveMinimum' => 'is too small: more than '.self::json($this->argument('min')).'.',
            'maximum' => 'is too large: at most '.self::json($this->argument('max')).'.',
            'oneOf', 'anyOf' => 'is of another kind than wanted: '.$this->described().'.',
            default => "is not as wanted ({$this->error->keyword()}).",
        };
    }

    private function described(): string
    {
        $words = $this->schema->description ?? null;

        return is_string($words) ? $words : 'see docs/formats';
    }

    private function argument(string $name): mixed
    {
        return $this->error->args()[$name] ?? null;
    }

    /**
     * The fields that the schema does not have: the validator names those too in which it found another fault.
     *
     * @return list<string>
     */
    private function unknown(): array
    {
        return array_values(array_diff(self::texts($this->argument('properties')), $this->fields()));
    }

    private function known(): string
    {
        return $this->fields() === [] ? '' : ' Known are '.implode(', ', $this->fields()).'.';
    }

    /** @return list<string> */
    private function fields(): array
    {
        return array_map(strval(...), array_keys((array) ($this->schema->properties ?? [])));
    }

    private static function kinds(mixed $types): string
    {
        return implode(' or ', array_map(fn (string $type): string => self::KINDS[$type] ?? $type, self::texts($types)));
    }

    private static function json(mixed $value): string
    {
        return (string) json_encode($value, JSON_UNESCAPED_SLASHES);
    }

    /** @return list<string> */
    private static function texts(mixed $values): array
    {
        return array_values(array_map(fn (mixed $one): string => is_scalar($one) ? (string) $one : '', (array) $values));
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
