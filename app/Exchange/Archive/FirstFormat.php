<?php

declare(strict_types=1);

namespace App\Exchange\Archive;

/** Reads archives of the first format, in which a clutch had its dates and numbers itself and its sires no numbers. */
final class FirstFormat
{
    public const FORMAT = 'destino-collection/1';

    /** Dates and numbers of a clutch, by the kind of event and its field. */
    private const EVENTS = [
        'introduced' => ['on' => 'paired_on'],
        'laid' => ['on' => 'laid_on', 'count' => 'eggs_good', 'infertile' => 'eggs_infertile'],
        'hatched' => ['on' => 'hatched_on', 'count' => 'hatched'],
    ];

    /**
     * @param array<string, mixed> $document
     * @return array<string, mixed> the same in the present format
     */
    public static function lifted(array $document): array
    {
        $sires = $events = 0;
        foreach ($document['clutches'] as $i => $clutch) {
            $lifted = array_diff_key($clutch, array_flip(array_merge(...array_map(array_values(...), array_values(self::EVENTS)))));
            $lifted['sires'] = array_map(function (array $sire) use (&$sires): array {
                return ['id' => ++$sires] + $sire;
            }, $clutch['sires']);
            $lifted['events'] = [];
            foreach (self::EVENTS as $kind => $fields) {
                $values = array_map(fn (string $field): mixed => $clutch[$field] ?? null, $fields);
                if (array_filter($values, fn (mixed $value): bool => $value !== null) !== []) {
                    $lifted['events'][] = ['id' => ++$events, 'kind' => $kind] + $values + [
                        'on' => null, 'count' => null, 'infertile' => null, 'note' => null,
                    ];
                }
            }
            $document['clutches'][$i] = $lifted;
        }

        return ['format' => Schema::FORMAT] + $document + ['projects' => [], 'decisions' => [], 'traits' => []];
    }
}
