<?php

declare(strict_types=1);

namespace App\Drawing;

use Destino\Genome\Sex;

/** Small drawings that a page may need hundreds of. */
class Signs
{
    /** @var array<string, string> */
    private static array $icons = [];

    /** The sex as a sign with words. */
    public static function sex(?Sex $sex): string
    {
        return $sex === null
            ? self::icon('question-circle', 'sex not known', 'sex')
            : self::icon("gender-{$sex->value}", $sex->value, 'sex');
    }

    /** An icon of the shipped set; decorative unless it has a label. */
    public static function icon(string $name, ?string $label = null, string $class = ''): string
    {
        return '<svg class="'.$class.'" viewBox="0 0 16 16" fill="currentColor" '
            .($label === null ? 'aria-hidden="true"' : 'role="img" aria-label="'.e($label).'"').'>'.self::paths($name)
            .'</svg>';
    }

    /** What an icon of the shipped set is made of; empty where there is none of this name. */
    public static function paths(string $name): string
    {
        $file = public_path("vendor/icons/{$name}.svg");

        return self::$icons[$name] ??= is_file($file)
            ? (string) preg_replace(['/<svg[^>]*>/', '/<\/svg>/'], '', (string) file_get_contents($file))
            : '';
    }

    /** @param  list<Bead>  $beads  said in words beside them */
    public static function beads(array $beads): string
    {
        return '<span class="beads" aria-hidden="true">'
            .implode('', array_map(fn (Bead $bead): string => $bead->svg(isHidden: true), $beads)).'</span>';
    }
}
