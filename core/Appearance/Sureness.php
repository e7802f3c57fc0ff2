<?php

declare(strict_types=1);

namespace Destino\Appearance;

/** How far the facts support a look. */
enum Sureness: string
{
    /** Each gene as the facts describe it. */
    case Known = 'known';
    /** Several genes, or a form that nobody has described: put together from its parts. */
    case Inferred = 'inferred';
    /** Some form in it has not been described to us at all. */
    case Unknown = 'unknown';

    public function words(): string
    {
        return match ($this) {
            self::Known => 'well known',
            self::Inferred => 'inferred from its parts',
            self::Unknown => 'nobody has told us',
        };
    }

    public function and(self $other): self
    {
        $order = [self::Known, self::Inferred, self::Unknown];

        return $order[max((int) array_search($this, $order, true), (int) array_search($other, $order, true))];
    }
}
