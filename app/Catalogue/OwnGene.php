<?php

declare(strict_types=1);

namespace App\Catalogue;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;

/** What a keeper can say of a gene of their own beside its name: its two-copy form, its compounds, its nicknames. */
class OwnGene
{
    /** A chance below this is none that an eye could vouch for. */
    private const LEAST = .001;

    private const LIVES = ['lives' => 'viable', 'weak' => 'reduced', 'dies' => 'lethal'];

    /** @return list<string> */
    public static function lines(string $text): array
    {
        return array_values(array_filter(array_map(trim(...), preg_split('/\R/u', $text) ?: []), fn (string $line): bool => $line !== ''));
    }

    /**
     * "Mojave = Moonrise, dies": the other allele, the name of the compound, what becomes of it.
     *
     * @return array{allele: string, name: string, viability: string}|null null where the line says no such thing
     */
    public static function compound(string $line, Catalogue $catalogue): ?array
    {
        if (preg_match('/^(.+?)\s*=\s*([^,]+?)(?:\s*,\s*(lives|weak|dies))?$/u', $line, $part) !== 1) {
            return null;
        }
        $allele = array_values(
            array_filter(
                $catalogue->alleles,
                fn (Allele $one): bool => in_array(
                    mb_strtolower($part[1]), array_map(mb_strtolower(...), [$one->key, $one->name, ...$one->aliases]), true,
                ),
            ),
        )[0]
            ?? null;

        return $allele === null
            ? null
            : ['allele' => $allele->key, 'name' => $part[2], 'viability' => isset($part[3]) ? self::LIVES[$part[3]] : 'unknown'];
    }

    /** @return array{name: string, means: string}|null */
    public static function nickname(string $line): ?array
    {
        return preg_match('/^([^=]+?)\s*=\s*(.+)$/u', $line, $part) === 1 ? ['name' => $part[1], 'means' => $part[2]] : null;
    }

    /**
     * "yellow = 1" or "flames = 0.5": an axis by its name or key, and how much.
     *
     * @param list<array<string, mixed>> $axes of the gene facts
     * @return array{string, float}|null null where the line says no such thing
     */
    public static function effect(string $line, array $axes): ?array
    {
        if (preg_match('/^(.+?)\s*[=:]\s*([+-]?\d+(?:\.\d+)?)$/u', $line, $part) !== 1 || abs((float) $part[2]) > 3) {
            return null;
        }
        foreach ($axes as $axis) {
            if (in_array(mb_strtolower($part[1]), [$axis['key'], str_replace('_', ' ', $axis['key']), mb_strtolower($axis['name'])],
                true)) {
                return [$axis['key'], (float) $part[2]];
            }
        }

        return null;
    }

    /**
     * "Belly edge = 10, 20, 70": a cue by its name or key, and a percentage for each of its states.
     *
     * @param list<array<string, mixed>> $cues of the gene facts
     * @return array{cue: string, chances: list<float>}|null
     */
    public static function cue(string $line, array $cues): ?array
    {
        if (preg_match('/^(.+?)\s*=\s*([\d.,;\s%]+)$/u', $line, $part) !== 1) {
            return null;
        }
        $numbers = array_map(floatval(...), preg_split('/[\s,;%]+/', trim($part[2], " \t,;%")) ?: []);
        foreach ($cues as $cue) {
            if (in_array(mb_strtolower($part[1]), [$cue['key'], mb_strtolower($cue['name'])], true)) {
                return count($numbers) === count($cue['states']) && abs(array_sum($numbers) - 100) < .5 && min($numbers) >= 0
                    ? ['cue' => $cue['key'], 'chances' => self::shares($numbers)]
                    : null;
            }
        }

        return null;
    }

    /**
     * Percentages as chances that add up to 1; none of them is 0, since observers slip.
     *
     * @param non-empty-list<float> $percentages
     * @return list<float>
     */
    private static function shares(array $percentages): array
    {
        $numbers = array_map(fn (float $number): float => max(self::LEAST, $number / 100), $percentages);
        $sum = array_sum($numbers);
        $chances = array_map(fn (float $number): float => round($number / $sum, 6), $numbers);
        $chances[0] = round($chances[0] + 1 - array_sum($chances), 6);

        return $chances;
    }

    /**
     * @param  array<string, mixed>  $valid  of the form
     * @param  array<string, mixed>  $document  the gene facts
     * @return array<string, mixed>
     */
    public static function further(array $valid, Catalogue $catalogue, array $document): array
    {
        return [
            'effects' => self::effects((string) ($valid['effects'] ?? ''), $document),
            'cues' => array_values(array_filter(array_map(
                fn (string $line): ?array => self::cue($line, $document['cues']), self::lines((string) ($valid['cues'] ?? '')),
            ))),
            'two_copies' => array_filter([
                'effects' => self::effects((string) ($valid['two_effects'] ?? ''), $document) ?: null,
                'name' => $valid['two_name'] ?? null, 'looks' => $valid['two_looks'] ?? null,
                'viability' => $valid['two_viability'] ?? null, 'told_apart' => $valid['two_told_apart'] ?? null,
            ]),
            'aliases' => array_values(array_filter(array_map(trim(...), explode(',', (string) ($valid['aliases'] ?? ''))))),
            'compounds' => array_map(
                fn (string $line): ?array => self::compound($line, $catalogue), self::lines((string) ($valid['compounds'] ?? '')),
            ),
            'nicknames' => array_map(self::nickname(...), self::lines((string) ($valid['nicknames'] ?? ''))),
        ];
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<string, float>
     */
    private static function effects(string $text, array $document): array
    {
        return array_column(
            array_filter(array_map(fn (string $line): ?array => self::effect($line, $document['axes']), self::lines($text))), 1, 0,
        );
    }
}
