<?php

declare(strict_types=1);

namespace App\Looks;

use App\Catalogue\CatalogueShelf;
use App\Drawing\SnakeSvg;
use Destino\Appearance\Look;
use Destino\Appearance\LookFacts;
use Destino\Appearance\Sureness;
use Destino\Identification\Cue;
use Destino\Identification\Reading\Amounts;
use Destino\Identification\Reading\LookReading;
use Destino\Identification\Reading\StateChances;
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

    /**
     * A state drawn on an animal's own look, so that marks are compared and not the colours of another animal; on a normal one where the
     * states of the cue would not be told apart on it.
     */
    public function draw(string $key, int $state, ?Look $own = null): ?string
    {
        $picture = $this->has($key) ? $this->shelf->cues()[$key]->pictures[$state] ?? null : null;
        if ($picture === null) {
            return null;
        }
        $values = ($own === null ? null : $this->onOwn($this->shelf->cues()[$key], $own)[$state] ?? null) ?? $picture['amounts'];

        $look = new Look($picture['drawn'] + $values, [], Sureness::Known, [], LookFacts::ADULT, $own->seed ?? 0);

        return SnakeSvg::closeUp($look, $picture['crop'], $own !== null);
    }

    /** @return array<int, array<string, float>>|null amounts by state; null where one of them would be read as another state */
    private function onOwn(Cue $cue, Look $own): ?array
    {
        $read = [];
        foreach ($cue->reading?->readings() ?? [] as $reading) {
            foreach ($reading->terms as $term) {
                $read[$term->axis] = true;
            }
        }
        $all = [];
        foreach ($cue->reading === null ? [] : $cue->pictures as $state => $picture) {
            $all[$state] = $picture['amounts'] + array_diff_key($own->values, $read);
            if ($this->read($cue->reading, $all[$state]) !== $this->read($cue->reading, $picture['amounts'])) {
                return null;
            }
        }

        return $all === [] ? null : $all;
    }

    /**
     * @param array<string, float> $amounts
     * @return int the likeliest state of an animal that looks like this
     */
    private function read(LookReading $reading, array $amounts): int
    {
        $look = new Look($amounts, [], Sureness::Known, [], LookFacts::ADULT, 0);
        $chances = StateChances::of($reading, new Amounts($this->shelf->looks()->axes, $look), LookFacts::ADULT);

        return (int) array_search(max($chances), $chances, true);
    }

    /** How wide the pictures of a cue are for their height, drawn on an animal's own look. */
    public function shape(string $key): float
    {
        $first = $this->has($key) ? $this->shelf->cues()[$key]->pictures[0] ?? null : null;

        return $first === null ? 1.75 : SnakeSvg::shape($first['crop']);
    }

    /** The address of a picture of a state on an animal's own look. */
    public function address(string $key, int $state, Look $own, string $mark): string
    {
        return route(
            'looks.state', [$key, $state, 'look' => LoosePrint::amounts($own), 'seed' => $own->seed, 'code' => $mark], false,
        );
    }
}
