<?php

declare(strict_types=1);

namespace App\Train;

use App\Collection\Opened;
use App\Models\Animal;
use Destino\Genome\Expressions;

/** Photographs of the keeper's own animals of which it is sure that one gene shows, and no other. */
class Photographed
{
    public function __construct(private readonly Opened $opened) {}

    /** @return array<int, string> gene by the number of the photograph, the newest of each animal */
    public function genes(): array
    {
        $genes = [];
        foreach ($this->opened->keeper()->animals()->whereHas('photos')->with('latestPhoto')->orderBy('id')->get() as $animal) {
            $gene = $animal->hasOpenGenes() ? null : $this->only($animal);
            if ($gene !== null && $animal->latestPhoto !== null) {
                $genes[$animal->latestPhoto->id] = $gene;
            }
        }

        return $genes;
    }

    /** The one gene that shows; null where another may, or where it is not sure. */
    private function only(Animal $animal): ?string
    {
        $shown = [];
        $expressions = new Expressions($this->opened->shelf->catalogue());
        foreach ($this->opened->beliefs()->belief($animal->id)->factors as $factor) {
            $looks = [];
            foreach ($factor->states->entries() as [$state]) {
                $names = [];
                foreach ($expressions->ofState($state) as $expression) {
                    foreach ($expression->forms as $form) {
                        $names = [...$names, ...$form->shows];
                    }
                }
                $looks[implode(' ', array_unique($names))] = array_values(array_unique($names));
            }
            if (count($looks) !== 1) {
                return null; // it may be this look or that
            }
            $shown = [...$shown, ...reset($looks)];
        }

        return count($shown) === 1 ? $shown[0] : null;
    }
}
