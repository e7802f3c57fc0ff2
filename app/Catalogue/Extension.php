<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Models\GeneChange;

/** What a keeper adds to the gene facts: other names, own genes, own names for combinations. */
class Extension
{
    /** How a gene of unknown inheritance is computed until it is known. */
    public const UNKNOWN = 'unknown';

    /** @param list<GeneChange> $changes in the order in which they were made */
    private function __construct(private readonly array $changes) {}

    /** @param list<GeneChange> $changes */
    public static function of(array $changes): self
    {
        return new self($changes);
    }

    /**
     * @param array<string, mixed> $document as catalogue/schema.json describes it
     * @return array<string, mixed>
     */
    public function extend(array $document): array
    {
        foreach ($this->changes as $change) {
            if ($change->kind === 'gene') {
                $document = self::withGene($document, $change);
            }
        }
        $document['names']['questions'] = [...$document['names']['questions'], ...UnnamedGene::questions($this->changes)];
        $places = array_flip(array_column($document['genes'], 'key'));
        foreach ($this->changes as $change) {
            if ($change->kind === 'nickname' && array_diff($change->data['alleles'], array_keys($places)) === []) {
                $document['names']['nicknames'][] = ['name' => $change->data['name'], 'means' => $change->data['means']];
            }
        }
        foreach ($this->changes as $change) {
            $at = $places[$change->gene] ?? null;
            if ($at === null) {
                continue;
            }
            if ($change->kind === 'alias') {
                $document['genes'][$at]['aliases'][] = $change->data['name'];
            }
        }

        return $document;
    }

    /**
     * @param array<string, mixed> $document
     * @return array<string, mixed>
     */
    private static function withGene(array $document, GeneChange $change): array
    {
        $data = $change->data;
        $locus = $data['locus'] ?? '';
        if ($locus === '') {
            $locus = $change->gene;
            $document['loci'][] = [
                'key' => $locus, 'name' => $data['name'], 'kind' => 'autosomal', 'recombination_with_sex' => null,
                'evidence' => 'reported', 'note' => 'Added by the keeper.',
            ];
        }
        $document['genes'][] = self::factsOf($change, $locus);
        foreach (array_filter($data['compounds'] ?? []) as $compound) {
            $document['compounds'][] = [
                'alleles' => [$compound['allele'], $change->gene], 'name' => $compound['name'],
                'looks' => 'As the keeper knows it.', 'viability' => $compound['viability'], 'evidence' => 'reported',
            ];
        }
        foreach ($data['cues'] ?? [] as $cue) { // the keeper's own gene is asked first
            foreach ($document['cues'] as $i => $known) {
                if ($known['key'] === $cue['cue'] && count($known['states']) === count($cue['chances'])) {
                    $document['cues'][$i]['given'] = [['when' => $data['name'], 'chances' => $cue['chances']], ...$known['given'] ?? []];
                }
            }
        }
        foreach (array_filter($data['nicknames'] ?? []) as $nickname) {
            $document['names']['nicknames'][] = $nickname;
        }

        return $document;
    }

    /** @return array<string, mixed> of a gene, as the catalogue has them */
    private static function factsOf(GeneChange $change, string $locus): array
    {
        $data = $change->data;
        $isUnknown = $data['inheritance'] === self::UNKNOWN;

        return [
            'key' => $change->gene, 'name' => $data['name'], 'aliases' => $data['aliases'] ?? [], 'locus' => $locus,
            'position' => 1000 + (int) $change->id,
            'inheritance' => $isUnknown ? 'incomplete-dominant' : $data['inheritance'],
            'evidence' => 'reported', 'source' => 'added by the keeper', 'effect' => $data['effect'] ?? 'pattern',
            'summary' => ($data['note'] ?? '') !== '' ? $data['note'] : 'A gene that the keeper added.',
            'two_copies' => ($data['two_copies'] ?? []) + [
                'name' => $data['inheritance'] === 'recessive' ? $data['name'] : 'Super '.$data['name'],
                'looks' => 'Not described.', 'viability' => 'unknown', 'evidence' => 'reported',
                'told_apart' => $data['inheritance'] === 'dominant' ? 'no' : 'yes',
            ],
            'note' => $isUnknown
                ? 'How it is inherited is not known: until it is, it is computed as showing in one copy.'
                : 'Added by the keeper.',
        ] + (($data['effects'] ?? []) === [] ? [] : ['effects' => $data['effects']]);
    }
}
