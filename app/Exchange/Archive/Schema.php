<?php

declare(strict_types=1);

namespace App\Exchange\Archive;

use App\Models\Kinds;
use App\Models\RecordKind;

/** The JSON Schema of a collection, made from the description of the kinds of records; docs/formats keeps it as a file. */
final class Schema
{
    public const FORMAT = 'destino-collection/2';

    private const MOST = 2_147_483_647;

    /** Of a record, in the document: whole in every program that reads JSON. */
    private const NUMBER = ['type' => 'integer', 'minimum' => 1, 'maximum' => 9_007_199_254_740_991];

    /** @return array<string, mixed> */
    public static function document(): array
    {
        $sections = [];
        foreach (Kinds::sections() as $kind) {
            $sections[$kind->section] = ['type' => 'array', 'items' => self::record($kind)];
        }

        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            'title' => 'A whole collection ('.self::FORMAT.')',
            'description'
                => 'collection.json of an archive. Numbers (id, sire, dam, rack, clutch and the like) are those of the document. Accounts '
                    .'and passwords are not part of it.',
            'type' => 'object',
            // sections that an earlier version did not have yet may be absent
            'required' => ['format', 'rules', 'animals', 'clutches', 'history'],
            'properties' => [
                'format' => ['const' => self::FORMAT],
                'rules' => ['type' => ['object', 'array'], 'description' => 'house rules that differ from the defaults'],
            ] + $sections + ['history' => self::history()],
        ];
    }

    /** @return array<string, mixed> */
    private static function record(RecordKind $kind): array
    {
        $properties = $kind->isNumbered
            ? [
                'id' => self::NUMBER,
                'taken_out' => ['type' => 'string', 'description' => 'when it was taken out of the records; absent for what is in them'],
            ]
            : [];
        foreach ($kind->fields as $field => $type) {
            $properties[$field] = self::type($type);
        }
        foreach ($kind->references as $field => $of) {
            $properties[RecordKind::plain($field)] = [
                'type' => ['integer', 'null'], 'maximum' => self::NUMBER['maximum'],
                    'description' => 'number of the '.Kinds::named($of)->words,
            ];
        }
        foreach (array_keys($kind->lists) as $field) {
            $properties[$field] = ['type' => 'array'];
        }
        foreach ($kind->children as $relation => $child) {
            $properties[$relation] = ['type' => 'array', 'items' => self::record(Kinds::named($child))];
        }
        $needed = array_keys(
            array_filter(
                $kind->fields,
                fn (string|array $type): bool => is_string($type) && ! str_ends_with($type, '?') && $type !== 'object',
            ),
        );

        return [
            'type' => 'object', 'required' => [...($kind->isNumbered ? ['id'] : []), ...$needed],
            'properties' => $properties,
        ];
    }

    /**
     * @param string|list<string|null> $type
     * @return array<string, mixed>
     */
    private static function type(string|array $type): array
    {
        return match (true) {
            is_array($type) => ['enum' => $type],
            $type === 'object' => ['type' => ['object', 'array']],
            str_ends_with($type, '?') => ['type' => [rtrim($type, '?'), 'null']] + self::within(rtrim($type, '?')),
            default => ['type' => $type] + self::within($type),
        };
    }

    /** @return array<string, int> what a database keeps as a whole number */
    private static function within(string $type): array
    {
        return $type === 'integer' ? ['minimum' => -self::MOST, 'maximum' => self::MOST] : [];
    }

    /** @return array<string, mixed> */
    private static function history(): array
    {
        return ['type' => 'array', 'items' => [
            'type' => 'object', 'required' => ['kind', 'id', 'event', 'before', 'after', 'who', 'at'],
            'properties' => [
                'kind' => ['enum' => array_keys(array_filter(Kinds::all(), fn (RecordKind $kind): bool => $kind->isNumbered))],
                'id' => self::NUMBER, 'event' => ['enum' => ['created', 'updated', 'deleted', 'restored']],
                'at' => ['type' => ['string', 'null']], 'who' => ['type' => ['string', 'null']],
                'before' => ['type' => ['object', 'array']], 'after' => ['type' => ['object', 'array']],
            ],
        ]];
    }
}
