<?php

declare(strict_types=1);

namespace Destino\Documents;

use Destino\DestinoError;
use Destino\Genome\Belief;
use Destino\Genome\Sex;
use Destino\Identification\Clutch;
use Destino\Identification\Cue;
use Destino\Identification\CueBook;
use Destino\Identification\Hatchling;
use Destino\Identification\IdentificationError;
use Destino\Notation\Target;
use Destino\Probability\InvalidNumber;
use Destino\Probability\Rational;

/**
 * Reads a clutch document (destino-clutch/1), and says where it is not as it should be.
 *
 * @phpstan-type HatchlingEntry array{id: int|string, sex?: 'male'|'female'|null, age?: int|float|null, saw?: string|null, cues?: array<string, string>}
 * @phpstan-type ClutchEntry array{dam: array{genes: string}, sires: list<array{id?: int|string, genes: string, weight?: int|float|string}>,
 *     hatchlings?: list<HatchlingEntry>, counts?: list<array{saw: string, count: positive-int|float}>,
 *     alike?: list<array{target: string, hatchlings: list<int|string>}>, cues?: list<array<string, mixed>>}
 */
final class ClutchReader
{
    /** @var array<string, Cue> by key: those of the document, or of the catalogue */
    public readonly array $cues;

    public readonly Clutch $clutch;

    /** @var ClutchEntry the document itself */
    public readonly array $document;

    /**
     * @param  array<array-key, mixed>  $document
     *
     * @throws DestinoError
     */
    public function __construct(private readonly GeneFacts $facts, array $document)
    {
        (new DocumentSchema('clutch'))->check($document);
        /** @var ClutchEntry $document */
        $this->document = $document;
        $this->cues = isset($document['cues'])
            ? (new CueBook($facts->catalogue(), $facts->targets()))->read($document['cues'])
            : $facts->cues();
        $document['sires'] !== [] || throw IdentificationError::noSire();
        $sires = [];
        foreach ($document['sires'] as $i => $sire) {
            $id = (string) ($sire['id'] ?? 'sire '.($i + 1));
            $sires[] = [
                'id' => $id, 'belief' => $this->belief($sire['genes'], Sex::Male, "sires[{$i}].genes"),
                'weight' => self::weight($sire['weight'] ?? 1, $id),
            ];
        }
        $hatchlings = [];
        foreach ($document['hatchlings'] ?? [] as $i => $one) {
            $hatchlings[] = $this->hatchling($one, "hatchlings[{$i}]");
        }
        $counts = $alike = [];
        foreach ($document['counts'] ?? [] as $i => $count) {
            $counts[] = ['saw' => $this->target($count['saw'], "counts[{$i}].saw"), 'count' => (int) $count['count']];
        }
        foreach ($document['alike'] ?? [] as $i => $set) {
            $alike[] = [
                'target' => $this->target($set['target'], "alike[{$i}].target"),
                'hatchlings' => array_map(strval(...), $set['hatchlings']),
            ];
        }
        $this->clutch = new Clutch(
            $this->belief($document['dam']['genes'], Sex::Female, 'dam.genes'), $sires, $hatchlings, $counts, $alike,
        );
    }

    /** @param HatchlingEntry $one */
    private function hatchling(array $one, string $where): Hatchling
    {
        $cues = [];
        foreach ($one['cues'] ?? [] as $key => $state) {
            $cue = $this->cues[$key] ?? throw IdentificationError::unknownCue($key, array_keys($this->cues));
            $cues[$cue->key] = $cue->state($state);
        }

        return new Hatchling(
            (string) $one['id'], isset($one['sex']) ? Sex::from($one['sex']) : null, isset($one['age']) ? (int) $one['age'] : null,
            isset($one['saw']) ? $this->target($one['saw'], "{$where}.saw") : null, $cues,
        );
    }

    private function belief(string $genes, Sex $sex, string $where): Belief
    {
        try {
            return $this->facts->reader()->read($genes, $sex)->beliefOrFail();
        } catch (DestinoError $error) {
            throw IdentificationError::genes($where, $error->getMessage());
        }
    }

    private function target(string $text, string $where): Target
    {
        try {
            return $this->facts->targets()->read($text);
        } catch (DestinoError $error) {
            throw IdentificationError::genes($where, $error->getMessage());
        }
    }

    private static function weight(int|float|string $weight, string $sire): Rational
    {
        try {
            return Rational::parse(is_float($weight) ? rtrim(rtrim(sprintf('%.12F', $weight), '0'), '.') : (string) $weight);
        } catch (InvalidNumber) {
            throw IdentificationError::weight($sire, (string) $weight);
        }
    }
}
