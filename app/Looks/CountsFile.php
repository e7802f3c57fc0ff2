<?php

declare(strict_types=1);

namespace App\Looks;

use App\Catalogue\CatalogueShelf;
use Destino\DestinoError;
use Destino\Documents\DocumentError;
use Destino\Documents\DocumentSchema;
use Destino\Genome\Sex;
use Destino\Identification\IdentificationError;

/**
 * Confirmed readings of cues as an open file (destino-counts/1), to be given to a friend: what was seen on animals of known genes at
 * which age, and nothing else.
 *
 * @phpstan-import-type Counted from OwnEyes
 * @phpstan-import-type ConfirmedReading from ConfirmedReadings
 */
final readonly class CountsFile
{
    private const FORMAT = 'destino-counts/1';

    /** @param list<Counted> $readings */
    private function __construct(public array $readings) {}

    /** @param list<ConfirmedReading> $readings */
    public static function from(array $readings): self
    {
        return new self(array_map(fn (array $one): array => [
            'cue' => $one['cue']->key, 'state' => $one['cue']->states[$one['state']], 'days' => $one['days'], 'genes' => $one['genes'],
        ], $readings));
    }

    /** @throws DocumentError */
    public static function of(string $text): self
    {
        $document = json_decode($text, true);
        if (! is_array($document)) {
            throw DocumentError::notJson('counts');
        }
        (new DocumentSchema('counts'))->check($document);
        /** @var array{readings: list<Counted>} $document */
        return new self(array_map(fn (array $one): array => [
            'cue' => $one['cue'], 'state' => $one['state'], 'days' => (int) $one['days'], 'genes' => $one['genes'],
        ], $document['readings']));
    }

    /**
     * That every reading is of a cue, a state and genes that are known here: none is to be dropped in silence.
     *
     * @throws DestinoError
     */
    public function check(CatalogueShelf $shelf): void
    {
        foreach ($this->readings as $one) {
            $cue = $shelf->cues()[$one['cue']]
                ?? throw IdentificationError::unknownCue($one['cue'], array_keys($shelf->cues()));
            $cue->state($one['state']);
            $belief = $shelf->reader()->read($one['genes'], Sex::Female)->beliefOrFail();
            if (SureForms::of($belief, $shelf->catalogue()) === null) {
                throw new DocumentError(["It is not sure what “{$one['genes']}” shows: such a reading tells nothing of an eye."]);
            }
        }
    }

    /** @return array{format: string, readings: list<Counted>} */
    public function document(): array
    {
        return ['format' => self::FORMAT, 'readings' => $this->readings];
    }
}
