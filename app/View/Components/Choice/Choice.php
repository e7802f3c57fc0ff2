<?php

declare(strict_types=1);

namespace App\View\Components\Choice;

use App\View\Components\Field\Field;
use App\View\Components\Part\Part;

/** A labelled list to choose from. */
class Choice extends Part
{
    /** Lists longer than this are searched by typing. */
    private const LONG = 15;

    public readonly string $id;

    public readonly string $error;

    public readonly bool $isLong;

    /** @param array<array-key, string> $options words by value */
    public function __construct(
        public readonly string $name,
        public readonly string $label,
        public readonly array $options,
        public readonly mixed $value = '',
        public readonly ?string $hint = null,
        string $bag = 'default',
        ?string $id = null,
        public readonly ?string $blank = null,
    ) {
        $this->id = $id ?? Field::idOf($name);
        $this->error = Field::errorOf($name, $bag);
        $this->isLong = count($options) > self::LONG;
    }
}
