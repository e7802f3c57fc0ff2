<?php

namespace App\Looks;

use App\Collection\Kept;
use App\Drawing\SkinSvg;
use Destino\Appearance\Look;
use Destino\Genome\Belief;
use Destino\Genome\Form;

/** The small drawings of one page: each look is drawn once, and used wherever it stands. */
class Prints
{
    /** Looks that a page draws at the most; what comes after them stands in words only. */
    private const MOST = 80;

    /** @var array<string, string> symbols by look */
    private array $symbols = [];

    /**
     * @param bool $isFine with more scales, where a drawing fills a card
     * @param Kept|null $kept where drawings of earlier pages are found again; each is drawn anew without it
     */
    public function __construct(
        private readonly Gallery $gallery, private readonly bool $isFine = false, private readonly ?Kept $kept = null,
    ) {}

    /** @param array<array-key, Form> $forms */
    public function ofForms(array $forms): string
    {
        return $this->of($this->gallery->ofForms($forms));
    }

    public function ofBelief(Belief $belief, int $days, int $seed): string
    {
        return $this->of($this->gallery->ofBelief($belief, $days, $seed));
    }

    public function of(Look $look): string
    {
        $key = serialize([$look->values, $look->seed]);
        if (! isset($this->symbols[$key])) {
            if (count($this->symbols) >= self::MOST) {
                return '';
            }
            $this->symbols[$key] = SkinSvg::symbol(
                $this->content($look, $this->isFine ? 'card' : 'small'), 'skin-'.count($this->symbols),
            );
        }
        $number = array_search($key, array_keys($this->symbols), true);

        return '<svg class="skin small" viewBox="0 0 '.SkinSvg::WIDTH.' '.SkinSvg::HEIGHT.'" aria-hidden="true"><use href="#skin-'.$number.'"/></svg>';
    }

    /**
     * As ofForms() draws it, with more scales where it stands large.
     *
     * @param array<array-key, Form> $forms
     */
    public function wide(array $forms): string
    {
        $content = $this->content($this->gallery->ofForms($forms), 'card');

        return '<svg class="skin" viewBox="0 0 '.SkinSvg::WIDTH.' '.SkinSvg::HEIGHT.'" aria-hidden="true">'.$content.'</svg>';
    }

    /** One of medium size, for a row of a few. */
    public function medium(Look $look, string $label): string
    {
        return SkinSvg::framed($this->content($look, 'medium'), $label);
    }

    /** The same look is the same drawing on every page. */
    private function content(Look $look, string $size): string
    {
        $name = "skin {$size} ".hash('xxh128', serialize([$look->values, $look->seed]));
        $found = $this->kept?->get($name);
        if (is_string($found)) {
            return $found;
        }
        $content = SkinSvg::content($look, $size);
        $this->kept?->put($name, $content);

        return $content;
    }

    /** What the drawings of the page stand on: to be printed once, anywhere. */
    public function symbols(): string
    {
        return $this->symbols === []
            ? ''
            : '<svg width="0" height="0" style="position:absolute" aria-hidden="true">'.implode('', $this->symbols).'</svg>';
    }
}
