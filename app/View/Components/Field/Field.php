<?php

declare(strict_types=1);

namespace App\View\Components\Field;

use App\View\Components\Part\Part;
use Illuminate\Support\ViewErrorBag;

/** A labelled field with its error; other attributes go to the input. */
class Field extends Part
{
    public readonly string $id;

    public readonly string $error;

    public function __construct(
        public readonly string $name,
        public readonly string $label,
        public readonly mixed $value = '',
        public readonly string $type = 'text',
        public readonly ?string $hint = null,
        string $bag = 'default',
        ?string $id = null,
        public readonly ?string $unit = null,
    ) {
        $this->id = $id ?? self::idOf($name);
        $this->error = self::errorOf($name, $bag);
    }

    public static function idOf(string $name): string
    {
        return str_replace(['[', ']', '.'], '-', $name);
    }

    public static function errorOf(string $name, string $bag): string
    {
        $errors = view()->shared('errors', new ViewErrorBag);

        return $errors->getBag($bag)->first(str_replace(['[', ']'], ['.', ''], $name));
    }
}
