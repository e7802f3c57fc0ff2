<?php

declare(strict_types=1);

namespace App\Documents;

use App\Catalogue\CatalogueShelf;
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

/** Reads a clutch document (destino-clutch/1), and says where it is not as it should be. */
class ClutchReader
{
    /** @var array<string, Cue> by key: those of the document, or of the catalogue */
    public readonly array $cues;

    public readonly Clutch $clutch;

    /**
     * @param  array<array-key, mixed>  $document
     *
     * @throws DestinoError
     */
    public function __construct(private readonly CatalogueShelf $shelf, array $document)
    {
        (new DocumentSchema('clutch'))->check($document);
        $this->cues = isset($document['cues'])
            ? (new CueBook($shelf->catalogue(), $shelf->targets()))->read($document['cues'])
            : $shelf->cues();
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
            $counts[] = ['saw' => $this->target($count['saw'], "counts[{$i}].saw"), 'count' => $count['count']];
        }
        foreach ($document['alike'] ?? [] as $i => $set) {
            $alike[] = [
                'target' => $this->target($set['target'], "alike[{$i}].target"),
                'hatchlings' => array_map(strval(...), array_values($set['hatchlings'])),
            ];
        }
        $this->clutch = new Clutch(
            $this->belief($document['dam']['genes'], Sex::Female, 'dam.genes'), $sires, $hatchlings, $counts, $alike,
        );
    }

    /** @param array<string, mixed> $one */
    private function hatchling(array $one, string $where): Hatchling
    {
        $cues = [];
        foreach ($one['cues'] ?? [] as $key => $state) {
            $cue = $this->cues[$key] ?? throw IdentificationError::unknownCue((string) $key, array_keys($this->cues));
            $cues[$cue->key] = $cue->state($state);
        }

        return new Hatchling(
            (string) $one['id'], isset($one['sex']) ? Sex::from($one['sex']) : null, $one['age'] ?? null,
            isset($one['saw']) ? $this->target($one['saw'], "{$where}.saw") : null, $cues,
        );
    }

    private function belief(string $genes, Sex $sex, string $where): Belief
    {
        try {
            return $this->shelf->reader()->read($genes, $sex)->beliefOrFail();
        } catch (DestinoError $error) {
            throw IdentificationError::genes($where, $error->getMessage());
        }
    }

    private function target(string $text, string $where): Target
    {
        try {
            return $this->shelf->targets()->read($text);
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
