<?php

declare(strict_types=1);

namespace App\Documents;

use App\Catalogue\CatalogueShelf;
use Destino\Genome\Sex;
use Destino\Identification\Cue;
use Destino\Identification\Hatchling;
use Destino\Identification\Identification;
use Destino\Notation\Printer;
use Destino\Probability\Rational;

/** What the hatchlings of a clutch are, as the document destino-identification/1. */
class IdentificationDocument
{
    public function __construct(private readonly CatalogueShelf $shelf) {}

    /**
     * @param array<array-key, mixed> $source the clutch document, for explanations of what cannot be
     * @return array<string, mixed>
     */
    public function of(Identification $found, array $source, int $top): array
    {
        return [
            'format' => 'destino-identification/1',
            'hatchlings' => array_map(
                fn (Hatchling $one): array => in_array($one->id, $found->impossible, true)
                    ? ['id' => $one->id, 'label' => null, 'impossible' => true, 'explanations' => $this->explanations($one->id, $source)]
                    : $this->hatchling($found, $one->id, $top),
                $found->clutch->hatchlings,
            ),
            'sires' => array_map(
                fn (array $sire): array => ['id' => $sire['id']] + self::chance($sire['exact'], $sire['decimal']), $found->sires(),
            ),
            'dam' => ['text' => (new Printer($this->shelf->catalogue()))->belief($found->clutch->dam)],
            'assumptions' => [
                'schools' => $this->shelf->catalogue()->schools ?: new \stdClass,
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
                'label' => $one['label'], 'alleles' => $one['alleles'] ?: new \stdClass,
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
     * @param array<array-key, mixed> $source
     * @return list<array<string, mixed>>
     */
    private function explanations(string $id, array $source): array
    {
        $sires = $source['sires'];
        $young = array_values(array_filter($source['hatchlings'], fn (array $one): bool => (string) $one['id'] === $id))[0];
        if (! isset($young['saw'])) {
            return [];
        }
        $animals = [['id' => 'dam', 'sex' => 'female', 'stated' => $source['dam']['genes']]];
        $names = [];
        foreach ($sires as $i => $sire) {
            $animals[] = ['id' => $names[] = 'sire '.($sire['id'] ?? $i + 1), 'sex' => 'male', 'stated' => $sire['genes']];
        }
        $animals[] = array_filter(
            [
                'id' => $id, 'sex' => $young['sex'] ?? null, 'saw' => $young['saw'], 'dam' => 'dam',
            ] + (count($names) === 1 ? ['sire' => $names[0]] : ['sires' => $names]),
        );
        $document = PosteriorDocument::of(
            (new PedigreeReader($this->shelf))->read(['format' => PedigreeReader::FORMAT, 'animals' => $animals]), $this->shelf->catalogue(),
        );

        return $document['contradictions'][0]['explanations'] ?? [];
    }
}
