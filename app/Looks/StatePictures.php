<?php

declare(strict_types=1);

namespace App\Looks;

use App\Catalogue\CatalogueShelf;
use App\Drawing\SnakeSvg;
use Destino\Appearance\Look;
use Destino\Appearance\LookFacts;
use Destino\Appearance\Sureness;
use Illuminate\Support\HtmlString;

/** How each state of a cue looks: a part of the drawn animal with the amounts that the state stands for. */
final readonly class StatePictures
{
    /** Regions that no view of the drawing shows well enough to tell states by. */
    private const UNSEEN = ['belly', 'scales', 'behaviour'];

    public function __construct(private CatalogueShelf $shelf) {}

    /** Whether every state of a cue has its picture: some without would only confuse. */
    public function has(string $key): bool
    {
        $cue = $this->shelf->cues()[$key] ?? null;

        return $cue !== null && count($cue->pictures) === count($cue->states) && ! in_array($cue->where, self::UNSEEN, true);
    }

    /** A picture of a state as it stands on a page; empty where there is none. */
    public function image(string $key, int $state, string $mark): HtmlString
    {
        return new HtmlString(! $this->has($key) ? '' : '<img class="state-picture" width="96" height="64" alt="" loading="lazy" src="'
            .e(route('looks.state', [$key, $state, 'code' => $mark])).'">');
    }

    public function draw(string $key, int $state): ?string
    {
        $picture = $this->has($key) ? $this->shelf->cues()[$key]->pictures[$state] ?? null : null;

        return $picture === null ? null : SnakeSvg::closeUp(
            new Look($picture['amounts'], [], Sureness::Known, [], LookFacts::ADULT, 0), $picture['crop'],
        );
    }
}
