<?php

namespace App\Catalogue;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;

/** What a keeper can say of a gene of their own beside its name: its two-copy form, its compounds, its nicknames. */
class OwnGene
{
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
     * @param  array<string, mixed>  $valid  of the form
     * @return array<string, mixed>
     */
    public static function further(array $valid, Catalogue $catalogue): array
    {
        return [
            'two_copies' => array_filter([
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
}
