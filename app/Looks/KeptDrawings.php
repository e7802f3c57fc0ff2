<?php

declare(strict_types=1);

namespace App\Looks;

use App\Collection\Kept;
use App\Drawing\SnakeSvg;
use Destino\Appearance\Look;

/** Drawings as pages show them: one look is one drawing, worked out once and found again on every page. */
final readonly class KeptDrawings
{
    public function __construct(private ?Kept $kept) {}

    /** What is inside the frame; null where it was not drawn before and is not to be drawn now. */
    public function content(Look $look, string $size, bool $isFoundOnly = false): ?string
    {
        $name = "snake {$size} ".hash('xxh128', serialize([$look->values, $look->seed]));
        $found = $this->kept?->get($name);
        if (is_string($found) || $isFoundOnly) {
            return is_string($found) ? $found : null;
        }
        $content = SnakeSvg::content($look, $size);
        $this->kept?->put($name, $content);

        return $content;
    }

    /** One that stands by itself, with all that it is drawn on. */
    public function alone(Look $look, string $label, string $size = 'full'): string
    {
        return SnakeSvg::alone((string) $this->content(LoosePrint::exact($look), $size), $label, $size);
    }
}
