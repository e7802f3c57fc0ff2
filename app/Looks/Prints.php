<?php

declare(strict_types=1);

namespace App\Looks;

use App\Collection\Kept;
use App\Drawing\SnakeSvg;
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

    /** @var array<string, true> sizes of which a drawing stands on the page itself */
    private array $stands = [];

    /**
     * @param bool $isFine with more scales, where a drawing fills a card
     * @param Kept|null $kept where drawings of earlier pages are found again; each is drawn anew without it
     * @param bool $isLoose a drawing that is not kept comes by itself, so that nobody waits for it
     */
    public function __construct(
        private readonly Gallery $gallery, private readonly bool $isFine = false, private readonly ?Kept $kept = null,
        private readonly bool $isLoose = false,
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
        return $this->used($look, self::image('skin lying small', '%s', ''));
    }

    /**
     * As ofForms() draws it, inside another drawing; with more scales where it stands large.
     *
     * @param array<array-key, Form> $forms
     */
    public function inDrawing(array $forms, bool $isWide): string
    {
        $image = '<image href="%s" width="100%%" height="100%%" preserveAspectRatio="xMinYMid"/>';
        $look = LoosePrint::exact($this->gallery->ofForms($forms));
        if (! $isWide) {
            return $this->used($look, $image);
        }
        $content = $this->content($look, 'card');

        return $content === null
            ? sprintf($image, $this->address($look, 'card'))
            : '<svg class="skin lying" viewBox="'.SnakeSvg::box('card').'" aria-hidden="true">'.$content.'</svg>';
    }

    /** One that comes by itself when it is scrolled to, for a page of very many. */
    public function loose(Look $look, string $size = 'card'): string
    {
        return self::image('skin lying small', $this->address(LoosePrint::exact($look), $size), '');
    }

    /** One of medium size, for a row of a few. */
    public function medium(Look $look, string $label): string
    {
        $look = LoosePrint::exact($look);
        $content = $this->content($look, 'card');

        return $content === null
            ? self::image('skin lying', $this->address($look, 'card'), e($label))
            : SnakeSvg::framed($content, $label, 'card');
    }

    private static function image(string $class, string $address, string $label): string
    {
        $size = 'width="'.SnakeSvg::WIDTH.'" height="'.SnakeSvg::HEIGHT.'"';

        return "<img class=\"{$class}\" src=\"{$address}\" {$size} alt=\"{$label}\" loading=\"lazy\">";
    }

    /** One that came by itself, as a file. */
    public function file(LoosePrint $print): string
    {
        return SnakeSvg::file((string) $this->content($print->look, $print->size), $print->size);
    }

    private function used(Look $look, string $image): string
    {
        $look = LoosePrint::exact($look);
        $key = serialize([$look->values, $look->seed]);
        if (! isset($this->symbols[$key])) {
            if (count($this->symbols) >= self::MOST) {
                return '';
            }
            $content = $this->content($look, $this->size());
            if ($content === null) {
                return sprintf($image, $this->address($look, $this->size()));
            }
            $this->symbols[$key] = '<symbol id="skin-'.count($this->symbols).'" viewBox="'.SnakeSvg::box($this->size()).'">'.$content
                .'</symbol>';
        }
        $number = array_search($key, array_keys($this->symbols), true);

        return '<svg class="skin lying small" viewBox="'.SnakeSvg::box($this->size()).'" aria-hidden="true"><use href="#skin-'.$number
            .'"/></svg>';
    }

    private function size(): string
    {
        return $this->isFine ? 'card' : 'small';
    }

    private function address(Look $look, string $size): string
    {
        return e(LoosePrint::address($look, $size, (string) $this->kept?->mark()));
    }

    /** The same look is the same drawing on every page; null where it is to come by itself. */
    private function content(Look $look, string $size): ?string
    {
        $content = (new KeptDrawings($this->kept))->content($look, $size, isFoundOnly: $this->isLoose);
        if ($content !== null) {
            $this->stands[$size] = true;
        }

        return $content;
    }

    /** What the drawings of the page stand on: to be printed once, anywhere. */
    public function symbols(): string
    {
        $common = implode('', array_map(SnakeSvg::common(...), array_keys($this->stands)));

        return $common === ''
            ? ''
            : '<svg width="0" height="0" style="position:absolute" aria-hidden="true"><defs>'.$common.'</defs>'.implode('', $this->symbols)
                .'</svg>';
    }
}
