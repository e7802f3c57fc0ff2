<?php

declare(strict_types=1);

namespace App\Looks;

use App\Catalogue\CatalogueShelf;
use App\Drawing\SnakeSvg;
use Destino\Appearance\Look;
use Destino\Appearance\LookFacts;
use Destino\Appearance\Sureness;

/** How each state of a cue looks: a part of the drawn animal with the amounts that the state stands for. */
final class StatePictures
{
    /** Regions that no view of the drawing shows well enough to tell states by. */
    private const UNSEEN = ['belly', 'scales', 'behaviour'];

    /** @var array<string, list<array<string, mixed>|null>> pictures by cue, in the order of its states */
    private readonly array $pictures;

    public function __construct(CatalogueShelf $shelf)
    {
        $pictures = [];
        foreach ($shelf->shipped()['cues'] as $cue) {
            foreach ($cue['states'] as $state) {
                $picture = is_array($state) ? $state['picture'] ?? null : null;
                $isDrawn = $picture !== null && ! isset($picture['draw']) && ! isset($picture['crop']['style'])
                    && ! in_array($cue['where'], self::UNSEEN, true) && ! isset($picture['amounts']['before']);
                $pictures[$cue['key']][] = $isDrawn ? $picture : null;
            }
        }
        $this->pictures = $pictures;
    }

    /** Whether every state of a cue has its picture: some without would only confuse. */
    public function has(string $cue): bool
    {
        $own = $this->pictures[$cue] ?? [];

        return $own !== [] && ! in_array(null, $own, true);
    }

    public function draw(string $cue, int $state): ?string
    {
        $picture = $this->has($cue) ? $this->pictures[$cue][$state] ?? null : null;
        if ($picture === null) {
            return null;
        }
        return SnakeSvg::closeUp(
            new Look(array_map(floatval(...), $picture['amounts']), [], Sureness::Known, [], LookFacts::ADULT, 0), $picture['crop'],
        );
    }
}
