<?php

declare(strict_types=1);

namespace App\Looks;

use App\Catalogue\CatalogueShelf;
use Destino\DestinoError;
use Destino\Documents\CrossReader;
use Destino\Documents\DocumentError;
use Destino\Documents\DocumentSchema;
use Destino\Genome\Sex;
use Destino\Identification\IdentificationError;

/**
 * Confirmed readings of cues, and crosses that bear on a disputed fact, as an open file (destino-counts/1), to be given to a
 * friend: what was seen on animals of known genes at which age, which young came of which parents, and nothing else.
 *
 * @phpstan-import-type Counted from OwnEyes
 * @phpstan-import-type ConfirmedReading from ConfirmedReadings
 * @phpstan-import-type CrossEntry from CrossReader
 */
final readonly class CountsFile
{
    private const FORMAT = 'destino-counts/1';

    /**
     * @param list<Counted> $readings
     * @param list<CrossEntry> $animals
     */
    private function __construct(public array $readings, public array $animals) {}

    /**
     * @param list<ConfirmedReading> $readings
     * @param list<CrossEntry> $animals parents before their young
     */
    public static function from(array $readings, array $animals): self
    {
        return new self(array_map(fn (array $one): array => [
            'cue' => $one['cue']->key, 'state' => $one['cue']->states[$one['state']], 'days' => $one['days'], 'genes' => $one['genes'],
        ], $readings), $animals);
    }

    /** @throws DocumentError */
    public static function of(string $text): self
    {
        $document = json_decode($text, true);
        if (! is_array($document)) {
            throw DocumentError::notJson('counts');
        }
        (new DocumentSchema('counts'))->check($document);
        /** @var array{readings: list<Counted>, animals?: list<CrossEntry>} $document */
        return new self(array_map(fn (array $one): array => [
            'cue' => $one['cue'], 'state' => $one['state'], 'days' => (int) $one['days'], 'genes' => $one['genes'],
        ], $document['readings']), array_map(fn (array $one): array => [
            'id' => (int) $one['id'], 'sex' => $one['sex'] ?? null, 'sire' => self::whole($one['sire'] ?? null),
            'dam' => self::whole($one['dam'] ?? null), 'genes' => $one['genes'],
        ], $document['animals'] ?? []));
    }

    private static function whole(int|float|null $number): ?int
    {
        return $number === null ? null : (int) $number;
    }

    /**
     * That every reading is of a cue, a state and genes that are known here, and that the animals make a pedigree: nothing is to
     * be dropped in silence.
     *
     * @throws DestinoError
     */
    public function check(CatalogueShelf $shelf): void
    {
        foreach ($this->readings as $one) {
            $cue = $shelf->cues()[$one['cue']]
                ?? throw IdentificationError::unknownCue($one['cue'], array_keys($shelf->cues()));
            $cue->state($one['state']);
            self::checkGenes($one['genes'], Sex::Female, $shelf);
        }
        (new CrossReader($shelf))->check($this->animals);
        foreach ($this->animals as $one) {
            self::checkGenes($one['genes'], $one['sex'] === null ? Sex::Female : Sex::from($one['sex']), $shelf);
        }
    }

    /** @throws DestinoError */
    private static function checkGenes(string $genes, Sex $sex, CatalogueShelf $shelf): void
    {
        if (SureForms::of($shelf->reader()->read($genes, $sex)->beliefOrFail(), $shelf->catalogue()) === null) {
            throw new DocumentError(["It is not sure what “{$genes}” shows: such an animal tells nothing."]);
        }
    }

    /** @return array{format: string, readings: list<Counted>, animals: list<CrossEntry>} */
    public function document(): array
    {
        return ['format' => self::FORMAT, 'readings' => $this->readings, 'animals' => $this->animals];
    }
}
