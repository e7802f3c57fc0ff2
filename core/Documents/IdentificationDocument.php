<?php

declare(strict_types=1);

namespace Destino\Documents;

use Destino\Genome\Sex;
use Destino\Identification\Cue;
use Destino\Identification\Hatchling;
use Destino\Identification\Identification;
use Destino\Notation\Printer;
use Destino\Probability\Rational;

/**
 * What the hatchlings of a clutch are, as the document destino-identification/1.
 *
 * @phpstan-import-type ClutchEntry from ClutchReader
 */
final class IdentificationDocument
{
    public function __construct(private readonly GeneFacts $facts) {}

    /**
     * @param ClutchReader $source the clutch document, for explanations of what cannot be
     * @return array<string, mixed>
     */
    public function of(Identification $found, ClutchReader $source, int $top): array
    {
        return [
            'format' => 'destino-identification/1',
            'hatchlings' => array_map(
                fn (Hatchling $one): array => in_array($one->id, $found->impossible, true)
                    ? ['id' => $one->id, 'label' => null, 'impossible' => true,
                        'explanations' => $this->explanations($one->id, $source->document)]
                    : $this->hatchling($found, $one->id, $top),
                $found->clutch->hatchlings,
            ),
            'sires' => array_map(
                fn (array $sire): array => ['id' => $sire['id']] + self::chance($sire['exact'], $sire['decimal']), $found->sires(),
            ),
            'dam' => ['text' => (new Printer($this->facts->catalogue()))->belief($found->clutch->dam)],
            'assumptions' => [
                'schools' => (object) $this->facts->catalogue()->schools,
                'counted' => 'living hatchlings; one sire for the whole clutch; cues independent given the genotype',
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function hatchling(Identification $found, string $id, int $top): array
    {
        [$genotypes, $total] = $found->genotypes($id, $top);
        $cues = $found->cues($id);

        return [
            'id' => $id, 'label' => $found->label($id), 'impossible' => false,
            'genes' => array_map(
                fn (array $gene): array => [
                    'key' => $gene['allele']->key, 'name' => $gene['allele']->name,
                ] + self::chance($gene['exact'], $gene['decimal']),
                $found->genes($id),
            ),
            'genotypes' => array_map(fn (array $one): array => [
                'label' => $one['label'], 'alleles' => (object) $one['alleles'],
                'sex' => $one['sex'] instanceof Sex ? $one['sex']->value : null,
            ] + self::chance($one['exact'], $one['decimal']), $genotypes),
            'genotypes_total' => $total,
            'next' => array_map(
                fn (array $one): array => ['cue' => $one['cue']->key, 'bits' => round($one['bits'], 9), 'separates' => $one['separates']],
                $cues['next'],
            ),
            'later' => array_map(fn (Cue $cue): array => ['cue' => $cue->key, 'from_days' => $cue->fromDays], $cues['later']),
        ];
    }

    /** @return array{probability: string|null, decimal: float} */
    private static function chance(?Rational $exact, float $decimal): array
    {
        return ['probability' => $exact?->toString(), 'decimal' => $exact?->toFloat() ?? $decimal];
    }

    /**
     * What may be wrong with the records where a young cannot be theirs: the same as Inference says of a family.
     *
     * @param ClutchEntry $source
     * @return list<array<string, mixed>>
     */
    private function explanations(string $id, array $source): array
    {
        $young = null;
        foreach ($source['hatchlings'] ?? [] as $one) {
            $young = (string) $one['id'] === $id ? $one : $young;
        }
        if (($young['saw'] ?? null) === null) {
            return [];
        }
        $animals = [['id' => 'dam', 'sex' => 'female', 'stated' => $source['dam']['genes']]];
        $names = [];
        foreach ($source['sires'] as $i => $sire) {
            $animals[] = ['id' => $names[] = 'sire '.($sire['id'] ?? $i + 1), 'sex' => 'male', 'stated' => $sire['genes']];
        }
        $animals[] = ['id' => $id, 'sex' => $young['sex'] ?? null, 'saw' => $young['saw'], 'dam' => 'dam', 'sires' => $names];
        $kindred = (new PedigreeReader($this->facts))->read(['format' => PedigreeReader::FORMAT, 'animals' => $animals]);
        foreach ($kindred->families() as $family => $ids) {
            foreach ($kindred->groupSetsOf($family) as $groups) {
                foreach ($kindred->posterior($family, $groups)->contradictions as $contradiction) {
                    return PosteriorDocument::explanations($contradiction, $this->facts->catalogue());
                }
            }
        }

        return [];
    }
}
