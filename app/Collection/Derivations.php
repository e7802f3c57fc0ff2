<?php

declare(strict_types=1);

namespace App\Collection;

use App\Catalogue\CatalogueShelf;
use App\House\House;
use Destino\Inference\Descent\Derived;
use Destino\Inference\Descent\Descent;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\InferenceError;

/** What follows of each animal from statements and parents alone. */
final class Derivations
{
    private ?Descent $descent = null;

    /** @var array<int, Derived> */
    private array $derived = [];

    public function __construct(
        private readonly Individuals $individuals,
        private readonly CatalogueShelf $shelf,
        private readonly House $house,
    ) {}

    /**
     * @param bool $isBehind whether only the line of this animal is looked at
     *
     * @throws InferenceError when the records make no pedigree
     */
    public function derived(int $id, bool $isBehind): Derived
    {
        if (! isset($this->derived[$id])) {
            $line = $isBehind && $this->descent === null ? $this->individuals->line($id) : null;
            $descent = $line === null ? $this->descent ??= $this->among($this->individuals->all()) : $this->among($line);
            $this->derived[$id] = $descent->of(CoreId::of($id));
        }

        return $this->derived[$id];
    }

    /** @param array<string, Individual> $individuals */
    private function among(array $individuals): Descent
    {
        return new Descent($this->shelf->catalogue(), $individuals, null, Families::rates($this->house)->unrecorded);
    }
}
